export { planOf, startsOf } from './plan.js';
export { dayAfter, dayMinutes, daysBetween, isDay, minuteOf, timeOf, weekday } from './days.js';
export { usualFloor } from './floor.js';
export { openStretches } from './hours.js';
export { answerPlan, type PlanReply, type PlanRequest } from './answer.js';
export { lateJobs, type LateJob, type WaitsFor } from './late.js';
export { doneSteps, planStepsOf, stepsLeft } from './plan-steps.js';
export { waysOut, type WayOut, type WayOutKind } from './ways-out.js';
export type {
  Bar,
  BrokenPin,
  Floor,
  NotLaid,
  Person,
  Plan,
  PlanJob,
  PlanStep,
  PlanTask,
  StepTime,
  Stretch,
} from './types.js';
