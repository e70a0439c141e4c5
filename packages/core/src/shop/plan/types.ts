import type { Step, StepWork, WorkPlace } from '../../making/steps/index.js';

/** A step of a job as the plan sees it. */
export interface PlanStep extends StepWork {
  readonly id: string;
  readonly title: string;
  readonly phase: Step['phase'];
  /** Work of each of its people (min). */
  readonly minutes: number;
  /** Until what follows may begin (min by the clock, nights too). */
  readonly waitMinutes: number;
}

/** A job with what is still to be done of it. */
export interface PlanJob {
  readonly id: string;
  readonly name: string;
  /** Day by whose last hour of work it is to be done: 2030-01-31; null where none was promised. */
  readonly dueOn: string | null;
  readonly steps: readonly PlanStep[];
}

/** Hours of a day as minutes after midnight. */
export type Stretch = readonly [from: number, to: number];

/** Somebody who works in the shop. */
export interface Person {
  readonly id: string;
  readonly name: string;
  /** Hours from Monday to Sunday. */
  readonly hours: readonly (readonly Stretch[])[];
  /** Days away, both counted: 2030-01-31. */
  readonly away: readonly (readonly [from: string, to: string])[];
}

/** Who works in the shop, and at how many places of each kind. */
export interface Floor {
  readonly people: readonly Person[];
  readonly places: Readonly<Record<WorkPlace, number>>;
  /** Days on which nobody works. */
  readonly closed: readonly string[];
  /** Hours that all who are there work beside their own. */
  readonly extra: readonly { readonly on: string; readonly hours: Stretch }[];
}

/** When a step begins: 2030-01-31T09:15, by the clock of the shop. */
export interface StepTime {
  readonly jobId: string;
  readonly stepId: string;
  readonly at: string;
}

/** A step laid: times are minutes after midnight of the first day of the plan. */
export interface Bar {
  readonly jobId: string;
  readonly stepId: string;
  readonly people: readonly string[];
  readonly place: WorkPlace;
  /** Which of the places of that kind, from 0. */
  readonly unit: number;
  readonly start: number;
  /** When its work is done. */
  readonly end: number;
  /** When what follows may begin. */
  readonly until: number;
}

/** A step that found no time, and why. */
export interface NotLaid {
  readonly jobId: string;
  readonly stepId: string;
  readonly why: 'nobody' | 'no-place' | 'never';
}

/** A pin that could not be kept: what comes before it is not ready by then, or somebody is busy with another pinned step. */
export interface BrokenPin {
  readonly pin: StepTime;
  /** When what comes before it is ready. */
  readonly readyAt: number;
}

/** Steps laid over people, places and hours. */
export interface Laid {
  readonly bars: readonly Bar[];
  readonly notLaid: readonly NotLaid[];
  readonly brokenPins: readonly BrokenPin[];
}

/** What is asked of the planner. */
export interface PlanTask {
  readonly jobs: readonly PlanJob[];
  readonly floor: Floor;
  /** Steps that are to begin at that very time. */
  readonly pins: readonly StepTime[];
  /** First day of the plan: 2030-01-31. */
  readonly fromDay: string;
  /** Nothing begins before that (min after midnight of the first day). */
  readonly now: number;
  /** When steps begin by the plan that is to be kept as far as it can be; null plans anew. */
  readonly keep: readonly StepTime[] | null;
  /** Jobs that go before all others. */
  readonly first: readonly string[];
}

/** A plan, how good it is, and how good one could be at best. */
export interface Plan extends Laid {
  readonly fromDay: string;
  readonly now: number;
  /** Sum of what jobs come after the last hour of their due days (min by the clock). */
  readonly lateMinutes: number;
  /** When the last step is done, its wait too. */
  readonly endsAt: number;
  /** No plan can be less late, or end sooner. */
  readonly atLeast: { readonly lateMinutes: number; readonly endsAt: number };
}
