import type { Catalogue, Design, FaultReply, FaultRequest } from '@vitrum/core';
import { create } from 'zustand';
import { workers, type CircuitClient } from '../workers/clients';

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

const fail = (problem: string): void => useMeter.setState({ problem });

const hear = (reply: FaultReply): void => {
  if (reply.kind === 'opened') useMeter.setState({ opened: reply, value: null, problem: null });
  if (reply.kind === 'read') useMeter.setState({ value: reply.value });
  if (reply.kind === 'ohms') useMeter.setState({ ohm: reply.ohm });
  if (reply.kind === 'refused') fail(reply.sentence);
};

/** Joins the bench’s meter to the circuit in a thread. Of readings, and of ohms, only the newest counts. */
export const connectMeter = (client: CircuitClient) => {
  let stopRead = (): void => undefined;
  let stopOhms = (): void => undefined;
  return {
    open: (design: Design, catalogue: Catalogue): void => {
      // What was read of the circuit before is of no account.
      stopRead();
      stopOhms();
      client.setUp('circuit', { kind: 'open', design, catalogue }, { hear, fail });
    },
    read: (probe: number, on: 'all' | 'none' | number): void => {
      stopRead = client.ask({ request: { kind: 'read', probe, on }, lane: 'read', hear, fail });
    },
    ohms: (one: Tip, other: Tip): void => {
      stopOhms = client.ask({ request: { kind: 'ohms', one, other }, lane: 'ohms', hear, fail });
    },
    hold: client.hold,
  };
};

export type MeterLink = ReturnType<typeof connectMeter>;

/** The page’s one meter. */
export const meterLink: MeterLink = connectMeter(workers.meter);
