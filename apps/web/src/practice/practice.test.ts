import { beforeEach, describe, expect, it } from '@jest/globals';
import type { FaultReply } from '@vitrum/core';
import { fakeCircuit } from '../testing/fake-clients';
import { connectPractice, scoreSoFar, usePractice } from './practice-store';

const opened = (id: number): FaultReply => ({
  id,
  kind: 'opened',
  drawing: { segments: [], wires: [], points: [], clamps: [], colours: [] },
  probes: [{ probe: { kind: 'amps', wire: -1 }, words: 'amperes in the lead', should: 2, full: 2 }],
  faults: ['the supply gives nothing', 'a loose joint in the lead'],
});
const hidden = (id: number): FaultReply => ({ id, kind: 'hidden', lights: [], tints: [], looks: ['dark'], par: 1 });

beforeEach(() => usePractice.setState(usePractice.getInitialState(), true));

describe('practice', () => {
  const begun = () => {
    const bench = fakeCircuit();
    const link = connectPractice(bench.client);
    link.start('curlew', 'fair', 7);
    bench.reply(opened(bench.last().id));
    expect(bench.last()).toMatchObject({ kind: 'hide', level: 'fair', seed: 7 });
    bench.reply(hidden(bench.last().id));
    return { ...bench, link };
  };

  it('opens the circuit, hides a fault, keeps readings and counts', () => {
    const { link, reply, last } = begun();
    link.measure(0);
    reply({ id: last().id, kind: 'measured', probe: 0, value: 0, judged: 'none' });
    expect(usePractice.getState().readings).toEqual([{ probe: 0, value: 0, judged: 'none' }]);
    expect(scoreSoFar(usePractice.getState())).toBe(100);
    link.hint();
    expect(last()).toMatchObject({ kind: 'explain', signs: { looks: ['dark'], readings: [{ judged: 'none' }] } });
    reply({ id: last().id, kind: 'explained', left: [0], unexplained: 0, next: null });
    expect(usePractice.getState()).toMatchObject({ hints: 1, hint: { probe: null, left: 1 } });
    link.name(1);
    reply({ id: last().id, kind: 'named', right: false, answer: null });
    expect(usePractice.getState()).toMatchObject({ wrong: [1], answer: null });
    expect(scoreSoFar(usePractice.getState())).toBe(60);
    link.name(0);
    reply({ id: last().id, kind: 'named', right: true, answer: 'the supply gives nothing' });
    expect(usePractice.getState().answer).toBe('the supply gives nothing');
  });

  it('begins afresh with another fault in the same circuit, and passes over answers about the last', () => {
    const { link, reply, last, kinds } = begun();
    link.measure(0);
    const late = last().id;
    link.start('curlew', 'hard', 8);
    expect(kinds().filter((kind) => kind === 'open')).toHaveLength(1);
    reply({ id: late, kind: 'measured', probe: 0, value: 2, judged: 'right' });
    expect(usePractice.getState().readings).toEqual([]);
    link.start('tern', 'hard', 8);
    expect(last()).toMatchObject({ kind: 'open' });
    expect(usePractice.getState().opened).toBeNull();
  });

  it('says why the bench refused', () => {
    const { link, reply, last } = begun();
    link.measure(3);
    reply({ id: last().id, kind: 'refused', sentence: 'there is no such place to measure' });
    expect(usePractice.getState().problem).toBe('there is no such place to measure');
  });

  it('goes on where it was in a thread that starts anew: the same circuit, the same fault', () => {
    const { link, fail, kinds, sent } = begun();
    fail('boom');
    link.measure(0);
    expect(kinds()).toEqual(['open', 'hide', 'open', 'hide', 'measure']);
    expect(sent[3]).toMatchObject({ level: 'fair', seed: 7 });
  });
});
