import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { answerPlan, type WayOut } from '@vitrum/core';
import { fakeServer, problem } from '../testing/fake-server';
import { jobB, planServer } from '../testing/plan-server';
import { workers } from '../workers/clients';
import {
  askWaysOut,
  changeFloor,
  notFirst,
  pinStep,
  planAnew,
  readPlan,
  takeWayOut,
  undoPlan,
  usePlan,
} from './plan-store';

let server: ReturnType<typeof planServer>;

beforeEach(() => {
  server = planServer();
  jest.spyOn(workers.plan, 'ask').mockImplementation(({ request, hear }) => {
    hear(answerPlan({ ...request, id: 1 }));
    return () => undefined;
  });
  usePlan.setState(usePlan.getInitialState(), true);
});
afterEach(() => {
  server.end();
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
    expect(server.lines()).toEqual(['GET /api/plan']);
    await planAnew();
    expect(server.lines().at(-1)).toBe('PUT /api/plan');
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
    expect(server.lines()).toContain(`PATCH /api/jobs/${jobB}`);
  });

  it('lets a job go first, and wait its turn again', async () => {
    await readPlan();
    const { known } = usePlan.getState();
    const way = { kind: 'first', jobId: jobB, task: { ...known!.task, first: [jobB] } } as unknown as WayOut;
    await takeWayOut(way);
    expect(server.kept().first).toEqual([jobB]);
    await notFirst(jobB);
    expect(server.kept().first).toEqual([]);
  });

  it('is made anew by other hours, which are kept before it', async () => {
    await readPlan();
    const { known } = usePlan.getState();
    const { paper } = known!.view.floor;
    const closed = [known!.plan.fromDay];
    await changeFloor({ ...paper, closed });
    expect(server.lines().slice(-2)).toEqual(['PUT /api/plan/floor', 'PUT /api/plan']);
    expect(server.floor().closed).toEqual(closed);
    const then = usePlan.getState().known!;
    expect(then.view.floor.version).toBe(1);
    expect(Math.min(...then.plan.bars.map(({ start }) => start))).toBeGreaterThanOrEqual(1440);
  });

  it('says what went wrong, and goes on from what was there', async () => {
    await readPlan();
    server.end();
    const failing = fakeServer(() => problem(500, 'The shop is shut.'));
    await planAnew();
    failing.end();
    expect(usePlan.getState()).toMatchObject({ busy: false, problem: 'The shop is shut.' });
    expect(bars()).toHaveLength(3);
  });
});
