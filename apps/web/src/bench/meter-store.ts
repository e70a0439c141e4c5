import type { Catalogue, Design, FaultReply, FaultRequest } from '@vitrum/core';
import { create } from 'zustand';
import type { FaultThread } from '../practice/practice-store';

type Opened = Extract<FaultReply, { kind: 'opened' }>;
type Tip = Extract<FaultRequest, { kind: 'ohms' }>['one'];

interface MeterState {
  readonly opened: Opened | null;
  readonly value: number | null;
  /** Resistance between the tips; null when nothing joins them. */
  readonly ohm: number | null;
  readonly problem: string | null;
}

export const useMeter = create<MeterState>(() => ({ opened: null, value: null, ohm: null, problem: null }));

/** Joins the bench’s meter to the circuit in a thread. Only the newest answers count. */
export const connectMeter = (thread: FaultThread) => {
  let id = 0;
  thread.onmessage = ({ data }) => {
    if (data.id !== id) return;
    if (data.kind === 'opened') useMeter.setState({ opened: data, value: null, problem: null });
    if (data.kind === 'read') useMeter.setState({ value: data.value });
    if (data.kind === 'ohms') useMeter.setState({ ohm: data.ohm });
    if (data.kind === 'refused') useMeter.setState({ problem: data.sentence });
  };
  const ask = (request: FaultRequest): void => thread.postMessage(request);
  return {
    open: (design: Design, catalogue: Catalogue): void => {
      id += 1;
      ask({ id, kind: 'open', design, catalogue });
    },
    read: (probe: number, on: 'all' | 'none' | number): void => {
      id += 1;
      ask({ id, kind: 'read', probe, on });
    },
    ohms: (one: Tip, other: Tip): void => {
      id += 1;
      ask({ id, kind: 'ohms', one, other });
    },
  };
};

export type MeterLink = ReturnType<typeof connectMeter>;

let link: MeterLink | null = null;

/** The page’s one meter, started on first use. */
export const meterLink = (): MeterLink => {
  link ??= connectMeter(
    new Worker(new URL('../practice/worker.ts', import.meta.url), { type: 'module', name: 'meter' }),
  );
  return link;
};
