import { seededRandom } from '../base/maths/index.js';
import { usualFloor, type PlanJob, type PlanStep, type PlanTask } from '../shop/plan/index.js';

/** A step of half an hour at the bench by one person, after nothing, but for what is said. */
export const planStep = (id: string, rest: Partial<PlanStep> = {}): PlanStep => ({
  id,
  title: id,
  phase: 'wire',
  minutes: 30,
  waitMinutes: 0,
  place: 'bench',
  people: 1,
  whole: false,
  holds: false,
  attended: false,
  after: [],
  ...rest,
});

/** Steps one after another. */
export const chainOf = (...steps: readonly PlanStep[]): readonly PlanStep[] =>
  steps.map((step, at) => ({ ...step, after: at === 0 ? [] : [steps[at - 1]!.id] }));

export const planJob = (id: string, steps: readonly PlanStep[], dueOn: string | null = null): PlanJob => ({
  id,
  name: id,
  dueOn,
  steps,
});

/** A Monday. */
export const monday = '2030-01-07';

/** What is asked of the planner on a Monday at eight. */
export const planTask = (jobs: readonly PlanJob[], rest: Partial<PlanTask> = {}): PlanTask => ({
  jobs,
  floor: usualFloor,
  pins: [],
  fromDay: monday,
  now: 8 * 60,
  keep: null,
  first: [],
  ...rest,
});

/** Jobs by chance: work in quarters of an hour, some waits, saws and paint, some of it by two. */
export const jobsByChance = (seed: number, count: number, stepsEach: number, dueDays: number): readonly PlanJob[] => {
  const random = seededRandom(seed);
  const quarter = (most: number): number => 15 * (1 + Math.floor(random() * most));
  const places = ['saw', 'bench', 'bench', 'paint'] as const;
  return Array.from({ length: count }, (_, job) => {
    const steps = chainOf(
      ...Array.from({ length: stepsEach }, (__, at) => {
        const place = places[Math.floor(random() * places.length)]!;
        return planStep(`${at}`, {
          place,
          minutes: quarter(10),
          waitMinutes: random() < 0.35 ? quarter(20) : 0,
          people: random() < 0.15 ? 2 : 1,
          holds: place === 'paint',
        });
      }),
    );
    const day = Math.floor(random() * dueDays);
    return planJob(`job ${job}`, steps, dueDays === 0 ? null : `2030-01-${String(7 + day).padStart(2, '0')}`);
  });
};
