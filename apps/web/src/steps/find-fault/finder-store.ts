import {
  judgeProbe,
  type Catalogue,
  type Design,
  type FaultReply,
  type FaultRequest,
  type Appearance,
  type Symptoms,
} from '@vitrum/core';
import { create } from 'zustand';
import type { FaultThread } from '../../practice/practice-store';

type Opened = Extract<FaultReply, { kind: 'opened' }>;
type Explained = Extract<FaultReply, { kind: 'explained' }>;

/** A reading from the real bench, typed in. */
export interface TypedReading {
  readonly probe: number;
  readonly value: number;
}

interface FinderState {
  readonly opened: Opened | null;
  /** How each segment looks; null where nobody looked. */
  readonly looks: readonly (Appearance | null)[];
  readonly readings: readonly TypedReading[];
  readonly explained: Explained | null;
  readonly problem: string | null;
}

const nothing = { opened: null, looks: [], readings: [], explained: null, problem: null } as const;

export const useFinder = create<FinderState>(() => nothing);

/** What a reading is beside the sound circuit’s. */
export const judged = ({ probes }: Opened, { probe, value }: TypedReading) => {
  const { should, full, probe: held } = probes[probe]!;
  return judgeProbe(held, value, should, full);
};

const signsOf = ({ opened, looks, readings }: FinderState): Symptoms => ({
  looks,
  readings: readings.map((reading) => ({
    probe: opened!.probes[reading.probe]!.probe,
    judged: judged(opened!, reading),
  })),
});

/** Joins what is seen at the real bench to the suspects in a thread. Only the newest answers count. */
export const connectFinder = (thread: FaultThread) => {
  let id = 0;
  const ask = (request: FaultRequest): void => thread.postMessage(request);
  const explain = (): void => {
    if (useFinder.getState().opened === null) return;
    id += 1;
    ask({ id, kind: 'explain', signs: signsOf(useFinder.getState()) });
  };
  thread.onmessage = ({ data }) => {
    if (data.id !== id) return;
    if (data.kind === 'opened') {
      useFinder.setState({ opened: data, looks: data.drawing.segments.map(() => null), readings: [], explained: null });
      return explain();
    }
    if (data.kind === 'explained') useFinder.setState({ explained: data });
    if (data.kind === 'refused') useFinder.setState({ problem: data.sentence });
  };
  return {
    /** Lays the design’s circuit out; what was seen of another is forgotten. */
    open: (design: Design, catalogue: Catalogue): void => {
      useFinder.setState(nothing);
      id += 1;
      ask({ id, kind: 'open', design, catalogue });
    },
    look: (segment: number, look: Appearance | null): void => {
      useFinder.setState(({ looks }) => ({ looks: looks.map((each, index) => (index === segment ? look : each)) }));
      explain();
    },
    read: (probe: number, value: number): void => {
      useFinder.setState(({ readings }) => ({
        readings: [...readings.filter((each) => each.probe !== probe), { probe, value }],
      }));
      explain();
    },
    strike: (probe: number): void => {
      useFinder.setState(({ readings }) => ({ readings: readings.filter((each) => each.probe !== probe) }));
      explain();
    },
  };
};

export type FinderLink = ReturnType<typeof connectFinder>;
