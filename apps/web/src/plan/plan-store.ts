import type { PlanPaper, PlanView } from '@vitrum/contract';
import { stepsLeft, startsOf, type Floor, type LateJob, type Plan, type PlanTask, type WayOut } from '@vitrum/core';
import { create } from 'zustand';
import { ApiError } from '../api/client';
import { updateJob } from '../api/jobs';
import { getPlan, keepFloor, keepPlan } from '../api/plan';
import { workers } from '../workers/clients';
import { nowHere } from './time-words';

interface Known {
  readonly view: PlanView;
  readonly task: PlanTask;
  readonly plan: Plan;
  readonly late: readonly LateJob[];
}

interface PlanState {
  /** What the plan is made from, and the plan; null until both are there. */
  readonly known: Known | null;
  readonly busy: boolean;
  readonly problem: string | null;
  /** Papers as they were before each change, the last at the end. */
  readonly before: readonly PlanPaper[];
  /** The step that is looked at. */
  readonly chosen: { readonly jobId: string; readonly stepId: string } | null;
  /** What can be done about late jobs, where it was asked for. */
  readonly ways: Readonly<Record<string, readonly WayOut[]>>;
}

export const usePlan = create<PlanState>()(() => ({
  known: null,
  busy: false,
  problem: null,
  before: [],
  chosen: null,
  ways: {},
}));

const taskOf = ({ jobs, floor }: PlanView, { pins, first, starts }: PlanPaper, keep: boolean): PlanTask => ({
  jobs: jobs.map(({ id, name, dueOn, steps, done }) => ({ id, name, dueOn, steps: stepsLeft(steps, done) })),
  floor: floor.paper,
  pins,
  first,
  keep: keep && starts.length > 0 ? starts : null,
  ...nowHere(),
});

const asked = (task: PlanTask): Promise<Pick<Known, 'plan' | 'late'>> =>
  new Promise((resolve, reject) => {
    workers.plan.ask({
      request: { kind: 'plan', task },
      hear: (reply) => {
        if (reply.kind === 'planned') resolve(reply);
      },
      fail: (message) => reject(new Error(message)),
    });
  });

const wordsOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/** Work on the plan goes one after another, so that each begins from what the last has kept. */
let last: Promise<void> = Promise.resolve();
const inTurn = (work: () => Promise<void>): Promise<void> => {
  last = last.then(async () => {
    usePlan.setState({ busy: true, problem: null });
    try {
      await work();
    } catch (error) {
      usePlan.setState({ problem: wordsOf(error) });
    } finally {
      usePlan.setState({ busy: false });
    }
  });
  return last;
};

const read = async (): Promise<void> => {
  const view = await getPlan();
  const task = taskOf(view, view.plan.paper, true);
  usePlan.setState({ known: { view, task, ...(await asked(task)) }, ways: {} });
};

/** Reads jobs, hours and the plan that is kept, and lays what has come since beside it. */
export const readPlan = (): Promise<void> => inTurn(read);

/** Lays a changed paper, and keeps it with what came of it. */
const lay = async (paper: PlanPaper, keep: boolean): Promise<void> => {
  const { known } = usePlan.getState();
  if (known === null) return;
  const task = taskOf(known.view, paper, keep);
  const found = await asked(task);
  try {
    const plan = await keepPlan({ ...paper, starts: startsOf(found.plan) }, known.view.plan.version);
    usePlan.setState({ known: { view: { ...known.view, plan }, task, ...found }, ways: {} });
  } catch (error) {
    if (!(error instanceof ApiError) || error.status !== 409) throw error;
    await read();
    throw error;
  }
};

const change = (next: (paper: PlanPaper) => PlanPaper, keep: boolean): Promise<void> =>
  inTurn(async () => {
    const { known, before } = usePlan.getState();
    if (known === null) return;
    const was = { ...known.view.plan.paper, starts: startsOf(known.plan) };
    await lay(next(was), keep);
    usePlan.setState({ before: [...before, was] });
  });

/** Lays all steps anew; pins stay. */
export const planAnew = (): Promise<void> => change((paper) => paper, false);

/** Pins a step to a time, or takes its pin away; the rest moves as little as it can. */
export const pinStep = (jobId: string, stepId: string, at: string | null): Promise<void> =>
  change(
    (paper) => ({
      ...paper,
      pins: [
        ...paper.pins.filter((pin) => pin.jobId !== jobId || pin.stepId !== stepId),
        ...(at === null ? [] : [{ jobId, stepId, at }]),
      ],
    }),
    true,
  );

/** Lets a job that goes before all others wait its turn again. */
export const notFirst = (jobId: string): Promise<void> =>
  change((paper) => ({ ...paper, first: paper.first.filter((id) => id !== jobId) }), false);

/** Takes the last change of the plan back. */
export const undoPlan = (): Promise<void> =>
  inTurn(async () => {
    const { before } = usePlan.getState();
    const was = before.at(-1);
    if (was === undefined) return;
    await lay(was, true);
    usePlan.setState({ before: before.slice(0, -1) });
  });

/** Keeps other hours of the shop, and plans anew by them. */
export const changeFloor = (floor: Floor): Promise<void> =>
  inTurn(async () => {
    const { known } = usePlan.getState();
    if (known === null) return;
    const kept = await keepFloor(floor, known.view.floor.version).catch(async (error: unknown) => {
      if (error instanceof ApiError && error.status === 409) await read();
      throw error;
    });
    usePlan.setState({ known: { ...known, view: { ...known.view, floor: kept } } });
    await lay({ ...known.view.plan.paper, starts: startsOf(known.plan) }, false);
  });

/** Asks what can be done about a late job. */
export const askWaysOut = (jobId: string): void => {
  const { known } = usePlan.getState();
  if (known === null) return;
  workers.plan.ask({
    request: { kind: 'ways-out', task: known.task, plan: known.plan, jobId },
    hear: (reply) => {
      if (reply.kind === 'ways-out' && usePlan.getState().known?.plan === known.plan)
        usePlan.setState(({ ways }) => ({ ways: { ...ways, [jobId]: reply.ways } }));
    },
    fail: (problem) => usePlan.setState({ problem }),
  });
};

/** Goes a way out: what it asks for is kept, and the plan is made by it. */
export const takeWayOut = ({ kind, jobId, task, dueOn }: WayOut): Promise<void> => {
  if (kind === 'first') return change((paper) => ({ ...paper, first: task.first }), false);
  if (kind !== 'due-later') return changeFloor(task.floor);
  return inTurn(async () => {
    await updateJob(jobId, { dueOn });
    await read();
  });
};
