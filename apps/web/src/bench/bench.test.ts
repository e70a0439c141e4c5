import { beforeEach, describe, expect, it } from '@jest/globals';
import { demoDesigns, shippedCatalogue, type Catalogue, type Evaluation, type FaultReply } from '@vitrum/core';
import { fakeCircuit, fakeLight } from '../testing/fake-clients';
import { connectBench, useBench } from './bench-store';
import { effectAt, effects } from './effects';
import { connectMeter, useMeter } from './meter-store';
import { dayOf } from '../view/day-of';
import { readingOf, withTick } from './readings';

const evaluation = {
  design: demoDesigns.slipway,
  circuit: {
    channels: [{ name: 'red' }, { name: 'green' }, { name: 'blue' }],
    segments: [{ ref: { assembly: 'box', segment: 1 } }, { ref: { assembly: 'box', segment: 2 } }],
  },
} as unknown as Evaluation;

describe('the bench', () => {
  beforeEach(() => useBench.setState({ setting: null, switchedOn: true, evaluation: null }));

  const stand = () => {
    const threads = fakeLight();
    const link = connectBench(threads.client);
    link.open(shippedCatalogue);
    const lit = () => threads.sent.flatMap((request) => (request.kind === 'evaluate' ? [request.design.power] : []));
    return { ...threads, link, lit };
  };

  it('lights the newest setting only, one at a time, and asks for no fixes', () => {
    const { link, lit, answer, kinds } = stand();
    for (const level of [0.5, 0.4, 0.3]) link.set(evaluation, { level });
    expect(lit().map(({ level }) => level)).toEqual([0.5]);
    answer('evaluate', { kind: 'evaluated', evaluation });
    expect(lit().map(({ level }) => level)).toEqual([0.5, 0.3]);
    answer('evaluate', { kind: 'evaluated', evaluation });
    expect(kinds()).toEqual(['open', 'evaluate', 'evaluate']);
    expect(useBench.getState().setting).toMatchObject({ level: 0.3, channel: null });
  });

  it('gives the view back when it is left, whatever still comes in', () => {
    const { link, lit, answer } = stand();
    link.set(evaluation, { segments: [{ assembly: 'box', segment: 2 }] });
    expect(lit()[0]!.zones).toEqual([{ segments: [{ assembly: 'box', segment: 1 }], level: 0 }]);
    link.leave();
    answer('evaluate', { kind: 'evaluated', evaluation });
    expect(useBench.getState()).toMatchObject({ setting: null, evaluation: null });
  });

  it('has one thread, whatever becomes of the catalogue, and none once it is left', () => {
    const { link, started, running, answer, passTime, kinds } = stand();
    link.set(evaluation, { level: 0.5 });
    answer('evaluate', { kind: 'evaluated', evaluation });
    for (let turn = 0; turn < 5; turn += 1) link.open({ ...shippedCatalogue });
    link.set(evaluation, { level: 0.6 });
    expect([started(), kinds().filter((kind) => kind === 'open').length]).toEqual([1, 6]);
    link.leave();
    passTime();
    expect(running()).toBe(0);
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
  const opened = (points: number): FaultReply => ({
    id: 0,
    kind: 'opened',
    drawing: {
      segments: [],
      wires: [],
      points: Array.from({ length: points }, (_, id) => ({ id: `p${id}`, name: `${id}`, at: null })),
      clamps: [],
      colours: [],
    },
    probes: [],
    faults: [],
  });
  const stand = () => {
    const threads = fakeCircuit();
    return { ...threads, link: connectMeter(threads.client) };
  };
  const openOn = (link: ReturnType<typeof stand>['link'], catalogue: Catalogue = shippedCatalogue): void =>
    link.open(demoDesigns.dispensary, catalogue);
  beforeEach(() => useMeter.setState(useMeter.getInitialState(), true));

  it('shows the newest reading and tells an open way from a short one', () => {
    const { link, sent, answer } = stand();
    link.read(3, 'all');
    link.read(4, 1);
    answer('read', { kind: 'read', value: 1 });
    expect(useMeter.getState().value).toBeNull();
    answer('read', { kind: 'read', value: 2 });
    expect([useMeter.getState().value, sent.length]).toEqual([2, 2]);
    link.ohms({ point: 'a', conductor: 0 }, { point: 'b', conductor: 0 });
    answer('ohms', { kind: 'ohms', ohm: 0.02 });
    expect(useMeter.getState().ohm).toBe(0.02);
    link.ohms({ point: 'a', conductor: 0 }, { point: 'c', conductor: 0 });
    answer('ohms', { kind: 'refused', sentence: 'no strip' });
    expect(useMeter.getState().problem).toBe('no strip');
  });

  it('opens its circuit though a reading is asked for meanwhile', () => {
    const { link, answer } = stand();
    openOn(link);
    link.read(3, 'all');
    answer('open', { ...opened(2) });
    expect(useMeter.getState().opened?.drawing.points).toHaveLength(2);
    answer('read', { kind: 'read', value: 23.5 });
    expect(useMeter.getState().value).toBe(23.5);
  });

  it('shows nothing read of the circuit before', () => {
    const { link, answer, reply, idsOf } = stand();
    openOn(link);
    link.read(3, 'all');
    openOn(link, { ...shippedCatalogue });
    reply({ ...opened(1), id: idsOf('open')[0]! });
    expect(useMeter.getState().opened).toBeNull();
    answer('open', opened(3));
    answer('read', { kind: 'read', value: 23.5 });
    expect([useMeter.getState().opened?.drawing.points.length, useMeter.getState().value]).toEqual([3, null]);
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
