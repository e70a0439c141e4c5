import type { Design, Goal, SessionReply, SolveRoom, SweepAxes } from '@vitrum/core';
import type { LightClient } from '../workers/clients';
import { refusalOf } from '../workers/meanings';
import { addPoints, beginRun, endRun, progressTo, useTryouts } from './tryouts-store';

const failed = (message: string): void => endRun(`the try-outs failed: ${message}`);

/** Ends the run when the thread says that it cannot be. */
const hearRefusal = (reply: SessionReply): void => {
  if (reply.kind === 'crashed') failed(reply.message);
  else if (reply.kind === 'refused') endRun(refusalOf(reply));
};

const hearSweep = (reply: SessionReply): void => {
  if (reply.kind === 'tried') {
    addPoints(reply.points);
    progressTo(reply.done);
  } else if (reply.kind === 'swept') endRun(null);
  else hearRefusal(reply);
};

const hearSolve = (reply: SessionReply): void => {
  if (reply.kind === 'progress') progressTo(reply.done);
  else if (reply.kind === 'solved') {
    useTryouts.setState({ solution: reply.solution });
    endRun(null);
  } else hearRefusal(reply);
};

const hearTrace = (reply: SessionReply): void => {
  if (reply.kind !== 'tracing') return hearRefusal(reply);
  const { report, done } = reply;
  useTryouts.setState(({ trace }) => ({ trace: trace === null ? null : { ...trace, report } }));
  if (done) endRun(null);
  else progressTo(report.photons);
  return undefined;
};

/** Runs in the page’s own thread. Each gives what calls it off. */
export const localRuns = (client: LightClient) => ({
  sweep: (design: Design, plan: SweepAxes, size: number, asOpened = false): (() => void) => {
    beginRun({ kind: 'sweep', done: 0, of: size, asOpened }, { points: [] });
    return client.ask({ request: { kind: 'sweep', design, plan }, hear: hearSweep, fail: failed });
  },
  solve: (design: Design, goal: Goal, room: SolveRoom): (() => void) => {
    beginRun({ kind: 'solve', done: 0, goal }, { solution: null });
    return client.ask({ request: { kind: 'solve', design, goal, room }, hear: hearSolve, fail: failed });
  },
  trace: (design: Design, assembly: number): (() => void) => {
    beginRun({ kind: 'trace', done: 0 }, { trace: { design, assembly, report: null } });
    return client.ask({ request: { kind: 'trace', design, assembly }, hear: hearTrace, fail: failed });
  },
});
