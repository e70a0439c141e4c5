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

/** The part of a worker that is used; tests bring a stand-in. */
export interface FaultThread {
  postMessage: (request: FaultRequest) => void;
  onmessage: ((event: MessageEvent<FaultReply>) => void) | null;
}

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
export const scoreSoFar = ({ readings, hints, hidden, wrong }: PracticeState): number =>
  scoreOf(readings.length + hints, hidden?.par ?? 0, wrong.length);

/** What has been seen and measured so far, as the bench takes it. */
const signsOf = ({ hidden, readings, opened }: PracticeState): Symptoms => ({
  looks: hidden?.looks ?? [],
  readings: readings.map(({ probe, judged }) => ({ probe: opened!.probes[probe]!.probe, judged })),
});

/** Joins the page’s state to the bench in its thread. Answers that are out of date are passed over. */
export const connectPractice = (thread: FaultThread) => {
  let id = 0;
  // Work that only counts while the same fault is hidden.
  let round = 0;
  const asked = new Map<number, { readonly round: number; readonly request: FaultRequest }>();
  const ask = (
    request: FaultRequest extends infer Each ? (Each extends unknown ? Omit<Each, 'id'> : never) : never,
  ): void => {
    id += 1;
    const whole = { ...request, id } as FaultRequest;
    asked.set(id, { round, request: whole });
    thread.postMessage(whole);
  };
  const hide = (): void => {
    const { level, seed } = usePractice.getState();
    ask({ kind: 'hide', level, seed });
  };
  thread.onmessage = ({ data }) => {
    const question = asked.get(data.id);
    asked.delete(data.id);
    if (question === undefined || question.round !== round) return;
    switch (data.kind) {
      case 'opened':
        usePractice.setState({ opened: data });
        return hide();
      case 'hidden':
        return usePractice.setState({ hidden: data });
      case 'measured': {
        const { probe, value, judged } = data;
        return usePractice.setState(({ readings }) => ({
          readings: [...readings, { probe, value, judged }],
          hint: null,
        }));
      }
      case 'named':
        if (data.right) return usePractice.setState({ answer: data.answer });
        return usePractice.setState(({ wrong }) => ({
          wrong: question.request.kind === 'name' ? [...wrong, question.request.fault] : wrong,
        }));
      case 'explained':
        return usePractice.setState(({ hints }) => ({
          hints: hints + 1,
          hint: { probe: data.next, left: data.left.length },
        }));
      case 'refused':
        return usePractice.setState({ problem: data.sentence });
      // Practice measures by probes alone.
      case 'read':
      case 'ohms':
        return undefined;
    }
  };
  return {
    /** Lays a circuit on the bench and hides a fault in it. */
    start: (circuit: CircuitName, level: Level, seed: number): void => {
      round += 1;
      const known = usePractice.getState();
      const same = known.circuit === circuit && known.opened !== null;
      usePractice.setState({ ...fresh, circuit, level, seed, ...(same ? {} : { opened: null }) });
      if (same) hide();
      else ask({ kind: 'open', design: demoDesigns[circuit] });
    },
    measure: (probe: number): void => ask({ kind: 'measure', probe }),
    name: (fault: number): void => ask({ kind: 'name', fault }),
    hint: (): void => ask({ kind: 'explain', signs: signsOf(usePractice.getState()) }),
  };
};

export type PracticeLink = ReturnType<typeof connectPractice>;
