import type { Alone, Network } from './network.js';

/** So late that it is after all that was promised. */
const neverDue = 1e7;
const beforeAll = 1e9;

const dueOf = (network: Network, job: number): number => {
  const due = network.dueAt[job]!;
  return Number.isFinite(due) ? due : neverDue;
};

/** Orders in which steps may be laid, each by a rule of its own, the most promising first; jobs in `first` go before all others. */
export const ordersOf = (network: Network, alone: Alone, first: ReadonlySet<number>): readonly Float64Array[] => {
  const { nodes } = network;
  const by = (rule: (job: number, at: number) => number): Float64Array =>
    Float64Array.from(nodes, ({ job }, at) => rule(job, at) - (first.has(job) ? beforeAll : 0));
  const jobEnds = new Map<number, number>();
  nodes.forEach(({ job }, at) => jobEnds.set(job, Math.max(jobEnds.get(job) ?? 0, alone.until[at]!)));
  return [
    // What has to be begun soonest, so that its job may be in time.
    by((job, at) => dueOf(network, job) - alone.tail[at]!),
    // Whole jobs, by when they are due.
    by((job, at) => dueOf(network, job) + at * 1e-6),
    // Jobs that are soon done.
    by((job, at) => jobEnds.get(job)! + at * 1e-6),
    // What most depends on.
    by((_, at) => -alone.tail[at]!),
    // As each could be begun, were its job alone.
    by((_, at) => alone.readyAt[at]!),
  ];
};
