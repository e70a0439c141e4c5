import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import type { PlanPaper, PlanView } from '@vitrum/contract';
import { answerPlan, usualFloor } from '@vitrum/core';
import { planStep } from '../testing/plan-step';
import { workers } from '../workers/clients';
import { askWaysOut, pinStep, planAnew, readPlan, takeWayOut, undoPlan, usePlan } from './plan-store';

const jobA = 'aaaaaaaa-0000-4000-8000-000000000001';
const jobB = 'bbbbbbbb-0000-4000-8000-000000000002';

/** A server of one plan: what was asked of it, and what it keeps. */
const standIn = () => {
  const asked: string[] = [];
  let kept: PlanPaper = { pins: [], starts: [], first: [] };
  let version = 0;
  let refuse = false;
  const view = (): PlanView => ({
    jobs: [jobA, jobB].map((id) => ({
      id,
      name: id.slice(0, 1),
      dueOn: null,
      status: 'cutting',
      known: true,
      steps: [planStep('one'), planStep('two', { minutes: 120 })],
      done: id === jobA ? ['one'] : [],
    })),
    floor: { version: 0, paper: usualFloor },
    plan: { version, paper: kept },
  });
  const answer = (status: number, body: unknown): Response =>
    ({
      ok: status < 300,
      status,
      headers: new Headers(),
      text: () => Promise.resolve(JSON.stringify(body)),
    }) as Response;
  const fetched = (path: string, { method = 'GET', body, headers }: RequestInit = {}): Promise<Response> => {
    asked.push(`${method} ${path}`);
    if (method === 'GET') return Promise.resolve(answer(200, view()));
    if (path.startsWith('/api/jobs')) return Promise.resolve(answer(200, {}));
    if (refuse)
      return Promise.resolve(answer(409, { statusCode: 409, message: 'The plan was changed elsewhere', problems: [] }));
    expect(new Headers(headers).get('if-match')).toBe(`"${version}"`);
    kept = JSON.parse(body as string) as PlanPaper;
    version += 1;
    return Promise.resolve(answer(200, { version, paper: kept }));
  };
  return { asked, fetched, kept: () => kept, refuse: () => (refuse = true) };
};

let server: ReturnType<typeof standIn>;
const fetchBefore = globalThis.fetch;

beforeEach(() => {
  server = standIn();
  globalThis.fetch = server.fetched as typeof fetch;
  jest.spyOn(workers.plan, 'ask').mockImplementation(({ request, hear }) => {
    hear(answerPlan({ ...request, id: 1 }));
    return () => undefined;
  });
  usePlan.setState({ known: null, busy: false, problem: null, before: [], chosen: null, ways: {} });
});
afterEach(() => {
  globalThis.fetch = fetchBefore;
  jest.restoreAllMocks();
});

const bars = () => usePlan.getState().known!.plan.bars;

describe('the plan of the page', () => {
  it('is laid from what is left to do, and kept only when somebody changes it', async () => {
    await readPlan();
    expect(
      bars()
        .map(({ jobId, stepId }) => `${jobId[0]} ${stepId}`)
        .sort(),
    ).toEqual(['a two', 'b one', 'b two']);
    expect(server.asked).toEqual(['GET /api/plan']);
    await planAnew();
    expect(server.asked.at(-1)).toBe('PUT /api/plan');
    expect(server.kept().starts).toHaveLength(3);
  });

  it('pins a step, keeps the rest where it was, and takes it back', async () => {
    await readPlan();
    await planAnew();
    const before = bars();
    const { fromDay } = usePlan.getState().known!.plan;
    const at = `${Number(fromDay.slice(0, 4)) + 1}${fromDay.slice(4)}T10:00`;
    await pinStep(jobB, 'two', at);
    expect(server.kept().pins).toEqual([{ jobId: jobB, stepId: 'two', at }]);
    for (const bar of bars()) if (bar.stepId !== 'two' || bar.jobId !== jobB) expect(before).toContainEqual(bar);
    await undoPlan();
    expect(server.kept().pins).toEqual([]);
    expect(bars()).toEqual(before);
  });

  it('tells of a change that somebody else was before with, and shows theirs', async () => {
    await readPlan();
    server.refuse();
    await pinStep(jobB, 'two', '2099-01-05T10:00');
    const { problem, known, before } = usePlan.getState();
    expect(problem).toBe('The plan was changed elsewhere');
    expect(known!.view.plan.paper.pins).toEqual([]);
    expect(before).toEqual([]);
  });

  it('asks what can be done about a late job, and goes that way', async () => {
    await readPlan();
    const { known } = usePlan.getState();
    const jobs = known!.task.jobs.map((job) => (job.id === jobB ? { ...job, dueOn: '2020-01-01' } : job));
    const task = { ...known!.task, jobs };
    const reply = answerPlan({ id: 1, kind: 'plan', task });
    if (reply.kind !== 'planned') throw new Error('no plan');
    usePlan.setState({ known: { ...known!, task, plan: reply.plan, late: reply.late } });
    askWaysOut(jobB);
    const ways = usePlan.getState().ways[jobB]!;
    expect(ways.at(-1)?.kind).toBe('due-later');
    await takeWayOut(ways.at(-1)!);
    expect(server.asked).toContain(`PATCH /api/jobs/${jobB}`);
  });
});
