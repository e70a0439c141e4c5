import { seededRandom } from '../base/maths/index.js';
import type { Brief } from '../document/design/index.js';
import { allBuilds, sizeProblems } from '../builds/index.js';
import { newDesign } from '../sign/demo/index.js';
import type { Design } from '../sign/design/index.js';

/** A job as the questions of a new one are answered. */
export interface NewJob {
  readonly name: string;
  readonly design: Design;
}

const job = (
  build: string,
  text: string,
  sizesMm: Readonly<Record<string, number>>,
  readingDistanceMm: number,
  brief: Partial<Brief>,
): NewJob => {
  const design = newDesign(build, { name: 'New', text, readingDistanceMm, sizesMm });
  const where = brief.exposure ?? 'indoors';
  const light = brief.light?.kind ?? 'white';
  return {
    name: `${build} ${Object.values(sizesMm).join(' × ')} mm, “${text}”, ${where}, ${light}, from ${readingDistanceMm / 1000} m`,
    design: { ...design, brief: { ...design.brief, ...brief } },
  };
};

/** Whether the questions of a build take such sizes. */
const takes = (build: string, sizesMm: Readonly<Record<string, number>>): boolean =>
  allBuilds
    .filter(({ name }) => name === build)
    .every(({ sizes }) => Object.keys(sizeProblems(sizes, sizesMm)).length === 0);

/** The nearest sizes that the questions of a build take. */
const within = (build: string, sizesMm: Readonly<Record<string, number>>): Readonly<Record<string, number>> => {
  const questions = allBuilds.find(({ name }) => name === build)?.sizes ?? [];
  return Object.fromEntries(
    Object.entries(sizesMm).map(([id, mm]) => {
      const { leastMm = mm, mostMm = mm } = questions.find((question) => question.id === id) ?? {};
      return [id, Math.max(leastMm, Math.min(mm, mostMm))];
    }),
  );
};

/** Builds by what a new job asks of their size: how wide and high, or how high their letters are. */
const asksFor = (size: string): readonly string[] =>
  allBuilds.filter(({ sizes }) => sizes.some(({ id }) => id === size)).map(({ name }) => name);
const [boxes, letters] = [asksFor('widthMm'), asksFor('capHeightMm')];

/** One of each size that is usual, as a new job asks for it and no more. */
export const usualJobs: readonly NewJob[] = [
  ...boxes.flatMap((build) =>
    (
      [
        [200, 100],
        [300, 300],
        [400, 150],
        [600, 200],
        [600, 600],
        [800, 300],
        [900, 600],
        [1000, 1000],
        [1200, 400],
        [1500, 300],
        [1800, 900],
        [2000, 500],
        [2400, 1200],
        [2700, 300],
        [3000, 500],
      ] as const
    )
      .filter(([widthMm, heightMm]) => takes(build, { widthMm, heightMm }))
      .map(([widthMm, heightMm]) => job(build, 'OPEN', { widthMm, heightMm }, 3000, {})),
  ),
  ...[50, 80, 120, 160, 200, 300, 500, 800].flatMap((capHeightMm) =>
    letters.map((build) => job(build, 'TO LET', { capHeightMm }, 3000, {})),
  ),
];

const texts = ['OPEN', 'HARBOUR', 'Rye & Salt', 'TO LET', '24', 'Tern'] as const;
const capHeights = [80, 100, 120, 150, 180, 200, 250, 300, 400, 500] as const;

/** So many jobs by chance: sizes, distances, indoors and out, white and coloured, of every build that a new job offers. */
export const jobsByChance = (count: number, seed = 13): readonly NewJob[] => {
  const random = seededRandom(seed);
  const pick = <T>(items: readonly T[]): T => items[Math.floor(random() * items.length)]!;
  return Array.from({ length: count }, () => {
    const build = pick([...boxes, ...letters]);
    const brief: Partial<Brief> = {
      light:
        random() < 0.75
          ? { kind: 'white', cctK: pick([2700, 3000, 4000, 6500]) }
          : { kind: 'rgb', colour: pick(['#ff5a36', '#00c080', '#4060ff']) },
      ...pick<Partial<Brief>>([
        {},
        { ambient: 'evening' },
        { exposure: 'damp', ambient: 'evening', surroundings: 'low' },
        { exposure: 'outdoors', ambient: 'evening', surroundings: 'town' },
        { exposure: 'outdoors', ambient: 'evening', surroundings: 'city' },
      ]),
    };
    const sizes = boxes.includes(build)
      ? { widthMm: Math.round(200 + random() ** 2 * 2800), heightMm: Math.round(100 + random() ** 2 * 1100) }
      : { capHeightMm: pick(capHeights) };
    return job(build, pick(texts), within(build, sizes), pick([1500, 3000, 5000, 10_000]), brief);
  });
};
