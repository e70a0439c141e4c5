import { beforeEach, describe, expect, it } from '@jest/globals';
import { demoDesigns, shippedCatalogue, type FaultReply } from '@vitrum/core';
import { fakeCircuit } from '../../testing/fake-clients';
import { connectFinder, judged, useFinder } from './finder-store';

const opened = (id: number): FaultReply => ({
  id,
  kind: 'opened',
  drawing: {
    segments: [
      { label: '1', path: [] },
      { label: '2', path: [] },
    ],
    wires: [],
    points: [],
    clamps: [],
    colours: [],
  },
  probes: [
    { probe: { kind: 'volts', point: 'end-1' }, words: 'volts at the end of segment 1', should: 23, full: 24 },
    { probe: { kind: 'amps', wire: -1 }, words: 'amperes in the lead', should: 0.7, full: 0.7 },
  ],
  faults: ['one', 'other'],
});

beforeEach(() => {
  useFinder.setState(useFinder.getInitialState(), true);
});

describe('finding the fault at the real bench', () => {
  const begun = () => {
    const threads = fakeCircuit();
    const link = connectFinder(threads.client);
    link.open(demoDesigns.dispensary, shippedCatalogue);
    threads.reply(opened(threads.last().id));
    const left = (list: readonly number[]): void =>
      threads.answer('explain', { kind: 'explained', left: list, unexplained: 0, next: null });
    return { ...threads, link, left };
  };

  it('asks again after every look and reading, and judges what is typed by the sound circuit', () => {
    const { link, last, left } = begun();
    expect(last()).toMatchObject({ kind: 'explain', signs: { looks: [null, null], readings: [] } });
    link.look(1, 'dark');
    link.read(0, 22.9);
    link.read(1, 0.34);
    left([0, 1]);
    expect(last()).toMatchObject({
      signs: { looks: [null, 'dark'], readings: [{ judged: 'right' }, { judged: 'low' }] },
    });
    // Typed again, the new reading counts; struck out, none does.
    link.read(0, 0);
    expect(useFinder.getState().readings).toEqual([
      { probe: 1, value: 0.34 },
      { probe: 0, value: 0 },
    ]);
    link.strike(0);
    expect(useFinder.getState().readings).toEqual([{ probe: 1, value: 0.34 }]);
  });

  it('passes over answers that are out of date, and forgets another design', () => {
    const { link, left, reply, last } = begun();
    link.look(0, 'dim');
    left([0, 1]);
    expect(useFinder.getState().explained).toBeNull();
    left([1]);
    expect(useFinder.getState().explained).toMatchObject({ left: [1] });
    link.open(demoDesigns.curlew, shippedCatalogue);
    expect(useFinder.getState()).toMatchObject({ opened: null, looks: [], explained: null });
    reply({ id: last().id, kind: 'refused', sentence: 'there is no strip in this design yet' });
    expect(useFinder.getState().problem).toBe('there is no strip in this design yet');
  });

  it('judges amperes by amperes and volts by volts', () => {
    const reply = opened(1);
    if (reply.kind !== 'opened') throw new Error('not opened');
    expect(judged(reply, { probe: 1, value: 0.02 })).toBe('none');
    expect(judged(reply, { probe: 0, value: -12 })).toBe('reversed');
    expect(judged(reply, { probe: 0, value: 24 })).toBe('high');
  });
});
