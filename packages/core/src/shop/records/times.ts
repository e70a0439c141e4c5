import { workPhases, type WorkPhase } from '../../document/catalogue/index.js';
import type { PlanStep } from '../plan/index.js';
import { learnedFactor, type Learned } from './learned.js';

/** A job whose times were written down. */
export interface JobTimes {
  readonly jobId: string;
  readonly name: string;
  readonly steps: readonly Pick<PlanStep, 'id' | 'phase'>[];
  /** Minutes of each step as they are typical, for the whole order. */
  readonly typical: Readonly<Record<string, number>>;
  readonly done: readonly string[];
  /** Minutes that were written down, by step. */
  readonly taken: ReadonlyMap<string, number>;
}

/** What one job says of a phase. */
export interface PhaseOfJob {
  readonly jobId: string;
  readonly name: string;
  readonly typicalMinutes: number;
  readonly takenMinutes: number;
}

/** What the shop’s jobs say of a phase of the work. */
export interface PhaseTimes {
  readonly phase: WorkPhase;
  readonly jobs: readonly PhaseOfJob[];
  readonly learned: Learned;
}

/** Shops differ by a half or so from typical times; the same work differs by a seventh from one day to the next. */
const prior = { spread: 0.4, leastOff: 0.15 };

/** Minutes of a job by phase: of steps that are done and whose time was written down, typical and taken. */
export const phasesOf = ({
  jobId,
  name,
  steps,
  typical,
  done,
  taken,
}: JobTimes): ReadonlyMap<WorkPhase, PhaseOfJob> => {
  const isDone = new Set(done);
  const phases = new Map<WorkPhase, PhaseOfJob>();
  for (const { id, phase } of steps) {
    const minutes = taken.get(id);
    const expected = typical[id];
    if (!isDone.has(id) || minutes === undefined || minutes <= 0 || expected === undefined || expected <= 0) continue;
    const so = phases.get(phase) ?? { jobId, name, typicalMinutes: 0, takenMinutes: 0 };
    phases.set(phase, {
      ...so,
      typicalMinutes: so.typicalMinutes + expected,
      takenMinutes: so.takenMinutes + minutes,
    });
  }
  return phases;
};

/** What can be learned of each phase, in the order of the work; phases of which nothing was written down are left out. */
export const learnedTimes = (jobs: readonly JobTimes[]): readonly PhaseTimes[] => {
  const all = jobs.map(phasesOf);
  return workPhases.flatMap((phase): readonly PhaseTimes[] => {
    const own = all.flatMap((phases) => phases.get(phase) ?? []);
    const learned = learnedFactor(
      own.map(({ takenMinutes, typicalMinutes }) => takenMinutes / typicalMinutes),
      prior,
    );
    return learned === null ? [] : [{ phase, jobs: own, learned }];
  });
};
