import type { PlanPaper, PlanView } from '@vitrum/contract';
import { usualFloor, type Floor } from '@vitrum/core';
import { fakeServer, problem } from './fake-server';
import { planStep } from './plan-step';

export const jobA = 'aaaaaaaa-0000-4000-8000-000000000001';
export const jobB = 'bbbbbbbb-0000-4000-8000-000000000002';

/** Two jobs of two steps each, of the first of which one is done. */
const usualJobs: PlanView['jobs'] = [jobA, jobB].map((id) => ({
  id,
  name: `Job ${id.slice(0, 1)}`,
  dueOn: null,
  status: 'cutting',
  known: true,
  steps: [planStep('one'), planStep('two', { minutes: 120 })],
  done: id === jobA ? ['one'] : [],
}));

/** A server of one plan: what was asked of it, and what it keeps. */
export const planServer = (jobs: PlanView['jobs'] = usualJobs) => {
  let shown = jobs;
  let plan: { version: number; paper: PlanPaper } = { version: 0, paper: { pins: [], starts: [], first: [] } };
  let floor: { version: number; paper: Floor } = { version: 0, paper: usualFloor };
  let refuses = false;
  const server = fakeServer(({ method, path, body, headers }) => {
    if (method === 'GET') return [200, { jobs: shown, floor, plan, learnedPhases: [] } satisfies PlanView];
    if (method === 'PATCH') {
      shown = shown.map((job) => (path.endsWith(job.id) ? { ...job, ...(body as object) } : job));
      return [200, {}];
    }
    if (refuses) return problem(409, 'The plan was changed elsewhere');
    const kept = path.endsWith('floor') ? floor : plan;
    if (headers.get('if-match') !== `"${kept.version}"`) return problem(409, 'of another version');
    const now = { version: kept.version + 1, paper: body };
    if (path.endsWith('floor')) floor = now as typeof floor;
    else plan = now as typeof plan;
    return [200, now];
  });
  return {
    ...server,
    kept: () => plan.paper,
    floor: () => floor.paper,
    refuse: (): void => {
      refuses = true;
    },
  };
};
