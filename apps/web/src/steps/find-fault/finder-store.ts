import { judgeProbe, type Catalogue, type Design, type FaultReply, type Appearance, type Symptoms } from '@vitrum/core';
import { create } from 'zustand';
import { workers, type CircuitClient } from '../../workers/clients';

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
export const connectFinder = (client: CircuitClient) => {
  let callOff = (): void => undefined;
  const fail = (problem: string): void => useFinder.setState({ problem });
  const explain = (): void => {
    if (useFinder.getState().opened === null) return;
    callOff = client.ask({
      request: { kind: 'explain', signs: signsOf(useFinder.getState()) },
      lane: 'explain',
      hear: (reply) => {
        if (reply.kind === 'explained') useFinder.setState({ explained: reply });
        if (reply.kind === 'refused') fail(reply.sentence);
      },
      fail,
    });
  };
  const hearOpened = (reply: FaultReply): void => {
    if (reply.kind === 'refused') fail(reply.sentence);
    if (reply.kind !== 'opened') return;
    const looks = reply.drawing.segments.map(() => null);
    useFinder.setState({ opened: reply, looks, readings: [], explained: null });
    explain();
  };
  return {
    /** Lays the design’s circuit out; what was seen of another is forgotten. */
    open: (design: Design, catalogue: Catalogue): void => {
      callOff();
      useFinder.setState(nothing);
      client.setUp('circuit', { kind: 'open', design, catalogue }, { hear: hearOpened, fail });
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
    hold: client.hold,
  };
};

export type FinderLink = ReturnType<typeof connectFinder>;

/** The page’s one finder of faults in the open design’s circuit. */
export const finderLink: FinderLink = connectFinder(workers.faultFinder);
