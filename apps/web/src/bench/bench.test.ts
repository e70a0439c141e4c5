import { beforeEach, describe, expect, it } from '@jest/globals';
import {
  demoDesigns,
  type Evaluation,
  type FaultReply,
  type FaultRequest,
  type SessionReply,
  type SessionRequest,
} from '@vitrum/core';
import { connectBench, useBench, type BenchThread } from './bench-store';
import { effectAt, effects } from './effects';
import { connectMeter, useMeter } from './meter-store';
import { dayOf, readingOf, withTick } from './readings';

const stand = () => {
  const asked: SessionRequest[] = [];
  const thread: BenchThread = { postMessage: (request) => void asked.push(request), onmessage: null };
  const answer = (reply: SessionReply): void => thread.onmessage!({ data: reply } as MessageEvent<SessionReply>);
  return { asked, thread, answer };
};
const evaluation = {
  design: demoDesigns.slipway,
  circuit: {
    channels: [{ name: 'red' }, { name: 'green' }, { name: 'blue' }],
    segments: [{ ref: { assembly: 'box', segment: 1 } }, { ref: { assembly: 'box', segment: 2 } }],
  },
} as unknown as Evaluation;

describe('the bench', () => {
  beforeEach(() => useBench.setState({ setting: null, switchedOn: true, evaluation: null }));

  it('lights the newest setting only, one at a time, and asks for no fixes', () => {
    const { asked, thread, answer } = stand();
    const link = connectBench(thread, {} as never);
    link.set(evaluation, { level: 0.5 });
    link.set(evaluation, { level: 0.4 });
    link.set(evaluation, { level: 0.3 });
    const lit = asked.filter((request) => request.kind === 'evaluate');
    expect(lit.map(({ design }) => design.power.level)).toEqual([0.5]);
    answer({ kind: 'evaluated', id: lit[0]!.id, evaluation });
    expect(asked.filter(({ kind }) => kind === 'cancel')).toHaveLength(1);
    const last = asked.at(-1)!;
    expect(last.kind === 'evaluate' && last.design.power.level).toBe(0.3);
    expect(useBench.getState().setting).toMatchObject({ level: 0.3, channel: null });
  });

  it('gives the view back when it is left, whatever still comes in', () => {
    const { asked, thread, answer } = stand();
    const link = connectBench(thread, {} as never);
    link.set(evaluation, { segments: [{ assembly: 'box', segment: 2 }] });
    const [, request] = asked;
    expect(request!.kind === 'evaluate' && request.design.power.zones).toEqual([
      { segments: [{ assembly: 'box', segment: 1 }], level: 0 },
    ]);
    link.leave();
    answer({ kind: 'evaluated', id: request!.id, evaluation });
    expect(useBench.getState()).toMatchObject({ setting: null, evaluation: null });
  });
});

describe('effects', () => {
  it('stay between dim and full, and walk through every colour', () => {
    const levels = Array.from({ length: 30 }, (_, tick) => effectAt('breathe', tick, 1).level!);
    expect([Math.min(...levels), Math.max(...levels)]).toEqual([0.2, 1]);
    expect([0, 1, 2, 3].map((tick) => effectAt('colours', tick, 3).channel)).toEqual([0, 1, 2, 0]);
    expect(effectAt('steady', 5, 3)).toEqual({});
    expect(effects.filter(({ needs }) => needs <= 1).map(({ value }) => value)).toEqual(['steady', 'breathe']);
  });
});

describe('the meter', () => {
  it('shows the newest reading and tells an open way from a short one', () => {
    const asked: FaultRequest[] = [];
    const thread = {
      postMessage: (request: FaultRequest) => void asked.push(request),
      onmessage: null as ((event: MessageEvent<FaultReply>) => void) | null,
    };
    const link = connectMeter(thread);
    const answer = (reply: FaultReply): void => thread.onmessage!({ data: reply } as MessageEvent<FaultReply>);
    link.read(3, 'all');
    link.read(4, 1);
    answer({ id: asked[0]!.id, kind: 'read', value: 1 });
    expect(useMeter.getState().value).toBeNull();
    answer({ id: asked[1]!.id, kind: 'read', value: 2 });
    expect(useMeter.getState().value).toBe(2);
    link.ohms({ point: 'a', conductor: 0 }, { point: 'b', conductor: 0 });
    answer({ id: asked[2]!.id, kind: 'ohms', ohm: null });
    expect(useMeter.getState().ohm).toBeNull();
    answer({ id: asked[2]!.id, kind: 'refused', sentence: 'no strip' });
    expect(useMeter.getState().problem).toBe('no strip');
  });
});

describe('ticks of tests', () => {
  it('are kept once each, and taken away again', () => {
    expect(withTick(['a'], 'b', true)).toEqual(['a', 'b']);
    expect(withTick(['a', 'b'], 'b', true)).toEqual(['a', 'b']);
    expect(withTick(['a', 'b'], 'a', false)).toEqual(['b']);
    expect(withTick([], 'a', false)).toEqual([]);
  });
});

describe('readings', () => {
  it('are found by the step they belong to, and dated where the user is', () => {
    const reading = { id: 'full-amps', value: 4.1, on: '2026-11-26' };
    const one = { id: 'segment', at: { assembly: 'box', segment: 2 }, value: 0.4, on: '2026-11-26' };
    const proof = { readings: [reading, one] };
    expect(readingOf({ proof }, { id: 'full-amps', at: null })).toEqual(reading);
    expect(readingOf({ proof }, { id: 'segment', at: { assembly: 'box', segment: 2 } })).toEqual(one);
    expect(readingOf({ proof }, { id: 'segment', at: { assembly: 'sign', segment: 2 } })).toBeNull();
    expect(readingOf({ proof: undefined }, { id: 'full-amps', at: null })).toBeNull();
    expect(dayOf(new Date(2026, 0, 5, 23, 59))).toBe('2026-01-05');
  });
});
