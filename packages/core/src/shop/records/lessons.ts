/** What a lesson may be about: it comes up again wherever that is met. */
export const lessonSubjects = ['finding', 'item', 'step', 'build'] as const;
export type LessonSubject = (typeof lessonSubjects)[number];

/** Something the shop learned the hard way. */
export interface Lesson {
  readonly id: string;
  readonly about: LessonSubject;
  /** A finding’s rule, an item of the shelf, a step of a build (`box:rip`), or a build. */
  readonly key: string;
  readonly words: string;
  readonly by: string;
  /** The job that it was learned at. */
  readonly jobId: string | null;
  /** ISO 8601. */
  readonly madeAt: string;
}

/** What is met at a place of a job. */
export interface Met {
  readonly builds: readonly string[];
  readonly rules?: readonly string[];
  readonly items?: readonly string[];
  readonly steps?: readonly string[];
}

/** A step of a build by its name: the same step of any job of that build. */
export const stepKey = (build: string, stepId: string, assemblyId: string): string =>
  `${build}:${stepId.startsWith(`${assemblyId}-`) ? stepId.slice(assemblyId.length + 1) : stepId}`;

/** The lessons that apply where something is met, the newest first. */
export const lessonsFor = (lessons: readonly Lesson[], { builds, rules, items, steps }: Met): readonly Lesson[] => {
  const met: Readonly<Record<LessonSubject, readonly string[]>> = {
    build: builds,
    finding: rules ?? [],
    item: items ?? [],
    step: steps ?? [],
  };
  return lessons
    .filter(({ about, key }) => met[about].includes(key))
    .sort((a, b) => (a.madeAt < b.madeAt ? 1 : a.madeAt > b.madeAt ? -1 : 0));
};
