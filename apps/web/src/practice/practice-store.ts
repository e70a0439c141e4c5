import {
  demoDesigns,
  scoreOf,
  type FaultReply,
  type FaultRequest,
  type ReadingGrade,
  type Level,
  type Symptoms,
} from '@vitrum/core';
import { create } from 'zustand';
import { workers, type CircuitClient } from '../workers/clients';
import type { Unnumbered } from '../workers/protocol';

type Opened = Extract<FaultReply, { kind: 'opened' }>;
type Hidden = Extract<FaultReply, { kind: 'hidden' }>;

export type CircuitName = keyof typeof demoDesigns;

/** A reading taken: where, by its place among the probes, and how it was judged. */
export interface Taken {
  readonly probe: number;
  readonly value: number;
  readonly judged: ReadingGrade;
}

interface PracticeState {
  readonly circuit: CircuitName;
  readonly level: Level;
  readonly seed: number;
  readonly opened: Opened | null;
  readonly hidden: Hidden | null;
  readonly readings: readonly Taken[];
  /** Faults named wrongly, by their places. */
  readonly wrong: readonly number[];
  readonly hints: number;
  /** What the last hint proposed, and how many faults were left then. */
  readonly hint: { readonly probe: number | null; readonly left: number } | null;
  /** The fault, once it was named. */
  readonly answer: string | null;
  readonly problem: string | null;
}

const fresh = { hidden: null, readings: [], wrong: [], hints: 0, hint: null, answer: null, problem: null } as const;

export const usePractice = create<PracticeState>(() => ({
  circuit: 'curlew',
  level: 'easy',
  seed: 1,
  opened: null,
  ...fresh,
}));

/** The points so far. */
export const scoreSoFar = ({
  readings,
  hints,
  hidden,
  wrong,
}: Pick<PracticeState, 'readings' | 'hints' | 'hidden' | 'wrong'>): number =>
  scoreOf(readings.length + hints, hidden?.par ?? 0, wrong.length);

/** What has been seen and measured so far, as the bench takes it. */
const signsOf = ({ hidden, readings, opened }: PracticeState): Symptoms => ({
  looks: hidden?.looks ?? [],
  readings: readings.map(({ probe, judged }) => ({ probe: opened!.probes[probe]!.probe, judged })),
});

/** Joins the page’s state to the bench in its thread. Answers about a fault that is no longer hidden are not heard. */
export const connectPractice = (client: CircuitClient) => {
  let callOff: readonly (() => void)[] = [];
  const fail = (problem: string): void => usePractice.setState({ problem });
  const hide = (): void => {
    const { level, seed } = usePractice.getState();
    const hear = (reply: FaultReply): void => {
      if (reply.kind === 'hidden') usePractice.setState({ hidden: reply });
      else if (reply.kind === 'refused') fail(reply.sentence);
    };
    client.setUp('fault', { kind: 'hide', level, seed }, { hear, fail });
  };
  const open = (circuit: CircuitName): void => {
    const hear = (reply: FaultReply): void => {
      if (reply.kind === 'opened') {
        usePractice.setState({ opened: reply });
        hide();
      } else if (reply.kind === 'refused') fail(reply.sentence);
    };
    client.setUp('circuit', { kind: 'open', design: demoDesigns[circuit] }, { hear, fail });
  };
  const ask = (request: Unnumbered<FaultRequest>, take: (reply: FaultReply) => void): void => {
    const hear = (reply: FaultReply): void => (reply.kind === 'refused' ? fail(reply.sentence) : take(reply));
    callOff = [...callOff, client.ask({ request, hear, fail })];
  };
  const takeMeasured = (reply: FaultReply): void => {
    if (reply.kind !== 'measured') return;
    const { probe, value, judged } = reply;
    usePractice.setState(({ readings }) => ({ readings: [...readings, { probe, value, judged }], hint: null }));
  };
  const takeHint = (reply: FaultReply): void => {
    if (reply.kind !== 'explained') return;
    const hint = { probe: reply.next, left: reply.left.length };
    usePractice.setState(({ hints }) => ({ hints: hints + 1, hint }));
  };
  return {
    /** Lays a circuit on the bench and hides a fault in it. */
    start: (circuit: CircuitName, level: Level, seed: number): void => {
      for (const one of callOff) one();
      callOff = [];
      const known = usePractice.getState();
      const same = known.circuit === circuit && known.opened !== null;
      usePractice.setState({ ...fresh, circuit, level, seed, ...(same ? {} : { opened: null }) });
      if (same) hide();
      else open(circuit);
    },
    measure: (probe: number): void => ask({ kind: 'measure', probe }, takeMeasured),
    name: (fault: number): void =>
      ask({ kind: 'name', fault }, (reply) => {
        if (reply.kind !== 'named') return;
        if (reply.right) usePractice.setState({ answer: reply.answer });
        else usePractice.setState(({ wrong }) => ({ wrong: [...wrong, fault] }));
      }),
    hint: (): void => ask({ kind: 'explain', signs: signsOf(usePractice.getState()) }, takeHint),
    hold: client.hold,
  };
};

export type PracticeLink = ReturnType<typeof connectPractice>;

/** The page’s one practice bench. */
export const practiceLink: PracticeLink = connectPractice(workers.practice);
