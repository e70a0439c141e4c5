import type { JobStatus } from '../../sign/demo/index.js';
import type { Evaluation } from '../../sign/evaluate/index.js';
import type { PlanStep } from './types.js';

/** From this weight on (kg) two people turn a sign over, close it and carry it. */
const heavyKg = 25;
const handled: ReadonlySet<PlanStep['phase']> = new Set(['assemble', 'prove', 'hang']);

/** Nobody plans to the minute. */
const grainMinutes = 5;
const planned = (minutes: number): number => Math.ceil(minutes / grainMinutes) * grainMinutes;

/** The steps of an evaluated design for the plan; work for as many signs as are ordered, as the cost counts it. */
export const planStepsOf = ({ buildList, parts, design }: Evaluation): readonly PlanStep[] =>
  buildList.steps.map(({ id, title, phase, minutes, waitMinutes, work }) => ({
    ...work,
    id,
    title,
    phase,
    minutes: planned(minutes * design.brief.quantity),
    waitMinutes: Math.round(waitMinutes),
    people: parts.kg > heavyKg && handled.has(phase) ? Math.max(2, work.people) : work.people,
  }));

/** Steps that are done: those that are ticked, and of a job that is proved all before it is put up. */
export const doneSteps = (
  status: JobStatus,
  steps: readonly PlanStep[],
  ticked: readonly string[],
): readonly string[] => {
  if (status === 'delivered') return steps.map(({ id }) => id);
  const proved = status === 'proved' ? steps.filter(({ place }) => place !== 'site').map(({ id }) => id) : [];
  return [...new Set([...ticked, ...proved])];
};

/** What is left of steps of which some are done; one that was passed over is still left. */
export const stepsLeft = (steps: readonly PlanStep[], done: readonly string[]): readonly PlanStep[] =>
  steps.filter(({ id }) => !done.includes(id));
