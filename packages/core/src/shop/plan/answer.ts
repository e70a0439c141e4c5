import { lateJobs, type LateJob } from './late.js';
import { planOf } from './plan.js';
import type { Plan, PlanTask } from './types.js';
import { waysOut, type WayOut } from './ways-out.js';

/** What a page asks of the thread that plans. */
export type PlanRequest =
  | { readonly id: number; readonly kind: 'plan'; readonly task: PlanTask }
  | {
      readonly id: number;
      readonly kind: 'ways-out';
      readonly task: PlanTask;
      readonly plan: Plan;
      readonly jobId: string;
    };

export type PlanReply =
  | { readonly id: number; readonly kind: 'planned'; readonly plan: Plan; readonly late: readonly LateJob[] }
  | { readonly id: number; readonly kind: 'ways-out'; readonly jobId: string; readonly ways: readonly WayOut[] };

/** Answers one question about the plan. */
export const answerPlan = (request: PlanRequest): PlanReply => {
  const { id, task } = request;
  if (request.kind === 'ways-out')
    return { id, kind: 'ways-out', jobId: request.jobId, ways: waysOut(task, request.plan, request.jobId) };
  const plan = planOf(task);
  return { id, kind: 'planned', plan, late: lateJobs(task, plan) };
};
