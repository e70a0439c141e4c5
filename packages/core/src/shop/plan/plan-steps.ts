import type { Evaluation } from '../../sign/evaluate/index.js';
import type { PlanStep } from './types.js';

/** From this weight on (kg) two people turn a sign over, close it and carry it. */
const heavyKg = 25;
const handled: ReadonlySet<PlanStep['phase']> = new Set(['assemble', 'prove', 'hang']);

/** The steps of an evaluated design for the plan; work for as many signs as are ordered, as the cost counts it. */
export const planStepsOf = ({ buildList, parts, design }: Evaluation): readonly PlanStep[] =>
  buildList.steps.map(({ id, title, phase, minutes, waitMinutes, work }) => ({
    ...work,
    id,
    title,
    phase,
    minutes: Math.round(minutes * design.brief.quantity),
    waitMinutes: Math.round(waitMinutes),
    people: parts.kg > heavyKg && handled.has(phase) ? Math.max(2, work.people) : work.people,
  }));

/** What is left of steps of which some are done; one that was passed over is still left. */
export const stepsLeft = (steps: readonly PlanStep[], done: readonly string[]): readonly PlanStep[] =>
  steps.filter(({ id }) => !done.includes(id));
