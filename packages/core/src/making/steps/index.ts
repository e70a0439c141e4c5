import { usualDrawing, type StepDrawing } from './step-drawing.js';

export type { StepDrawing, StepView } from './step-drawing.js';

/** One thing to do at the bench. */
export interface Step {
  readonly id: string;
  readonly phase: 'prepare' | 'cut' | 'finish' | 'wire' | 'assemble' | 'prove' | 'hang';
  readonly title: string;
  readonly detail: string;
  /** Hands-on time, typical. */
  readonly minutes: number;
  /** Waiting for glue or paint. */
  readonly waitMinutes: number;
  /** What can hurt at this step; null when nothing out of the ordinary. */
  readonly caution: string | null;
  /** Done once for the whole sign, whichever assembly tells of it. */
  readonly ofSign: boolean;
  /** The assembly that tells of it, by its place in the sign. */
  readonly assembly: number;
  /** What is drawn beside it. */
  readonly shows: StepDrawing;
}

/** A step as a build tells it: where it names no drawing it has the usual one. */
export type ToldStep = Omit<Step, 'shows' | 'assembly'> & Partial<Pick<Step, 'shows'>>;

/** The build list in order. */
export interface BuildList {
  readonly steps: readonly Step[];
  readonly workMinutes: number;
  readonly waitMinutes: number;
}

/** The steps of an assembly, and what it is called among several. */
export interface AssemblySteps {
  readonly id: string;
  readonly label: string;
  readonly index: number;
  readonly steps: readonly ToldStep[];
}

/** Parts bear the label of their assembly before their name. */
const ownParts = ({ label }: AssemblySteps, shows: StepDrawing): StepDrawing =>
  label === '' || shows.parts === undefined
    ? shows
    : { ...shows, parts: shows.parts.map((name) => `${label} ${name}`) };

const drawn = (own: AssemblySteps, told: ToldStep): Step => ({
  ...told,
  assembly: own.index,
  shows: ownParts(own, told.shows ?? usualDrawing(told)),
});

const named = (own: AssemblySteps, told: ToldStep): Step => {
  const step = drawn(own, told);
  return own.label === '' ? step : { ...step, id: `${own.id}-${step.id}`, title: `${own.label}: ${step.title}` };
};

/**
 * The steps of all assemblies in one order: each keeps its own, and what is done once for the sign waits until every
 * assembly that tells of it has come so far.
 */
export const mergeSteps = (assemblies: readonly AssemblySteps[]): readonly Step[] => {
  const left = assemblies.map((own) => ({ own, steps: [...own.steps] }));
  const merged: Step[] = [];
  while (left.some(({ steps }) => steps.length > 0)) {
    for (const { own, steps } of left) while (steps[0]?.ofSign === false) merged.push(named(own, steps.shift()!));
    const teller = left.find(({ steps }) => steps.length > 0);
    const next = teller?.steps[0];
    if (teller === undefined || next === undefined) break;
    merged.push(drawn(teller.own, next));
    for (const each of left) if (each.steps[0]?.id === next.id) each.steps.shift();
  }
  return merged;
};

/** The build list: steps in order, their times summed. */
export const buildListOf = (steps: readonly Step[]): BuildList => ({
  steps,
  workMinutes: steps.reduce((sum, { minutes }) => sum + minutes, 0),
  waitMinutes: steps.reduce((sum, { waitMinutes }) => sum + waitMinutes, 0),
});
