import { beforeEach, describe, expect, it } from '@jest/globals';
import { createFaultSession, type FaultReply, type FaultRequest } from '@vitrum/core';
import { connectPractice, scoreSoFar, usePractice, type FaultThread } from './practice-store';

/** A thread that is told what to answer. */
const standIn = () => {
  const asked: FaultRequest[] = [];
  const thread: FaultThread = { postMessage: (request) => void asked.push(request), onmessage: null };
  const answer = (reply: FaultReply): void => thread.onmessage?.({ data: reply } as MessageEvent<FaultReply>);
  return { asked, thread, answer, last: () => asked[asked.length - 1]! };
};

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
    const bench = standIn();
    const link = connectPractice(bench.thread);
    link.start('curlew', 'fair', 7);
    bench.answer(opened(bench.last().id));
    expect(bench.last()).toMatchObject({ kind: 'hide', level: 'fair', seed: 7 });
    bench.answer(hidden(bench.last().id));
    return { ...bench, link };
  };

  it('opens the circuit, hides a fault, keeps readings and counts', () => {
    const { link, answer, last } = begun();
    link.measure(0);
    answer({ id: last().id, kind: 'measured', probe: 0, value: 0, judged: 'none' });
    expect(usePractice.getState().readings).toEqual([{ probe: 0, value: 0, judged: 'none' }]);
    expect(scoreSoFar(usePractice.getState())).toBe(100);
    link.hint();
    expect(last()).toMatchObject({ kind: 'explain', signs: { looks: ['dark'], readings: [{ judged: 'none' }] } });
    answer({ id: last().id, kind: 'explained', left: [0], unexplained: 0, next: null });
    expect(usePractice.getState()).toMatchObject({ hints: 1, hint: { probe: null, left: 1 } });
    link.name(1);
    answer({ id: last().id, kind: 'named', right: false, answer: null });
    expect(usePractice.getState()).toMatchObject({ wrong: [1], answer: null });
    expect(scoreSoFar(usePractice.getState())).toBe(60);
    link.name(0);
    answer({ id: last().id, kind: 'named', right: true, answer: 'the supply gives nothing' });
    expect(usePractice.getState().answer).toBe('the supply gives nothing');
  });

  it('begins afresh with another fault in the same circuit, and passes over answers about the last', () => {
    const { link, answer, last, asked } = begun();
    link.measure(0);
    const late = last().id;
    link.start('curlew', 'hard', 8);
    expect(asked.filter(({ kind }) => kind === 'open')).toHaveLength(1);
    answer({ id: late, kind: 'measured', probe: 0, value: 2, judged: 'right' });
    expect(usePractice.getState().readings).toEqual([]);
    link.start('tern', 'hard', 8);
    expect(last()).toMatchObject({ kind: 'open' });
    expect(usePractice.getState().opened).toBeNull();
  });

  it('says why the bench refused', () => {
    const { link, answer, last } = begun();
    link.measure(3);
    answer({ id: last().id, kind: 'refused', sentence: 'there is no such place to measure' });
    expect(usePractice.getState().problem).toBe('there is no such place to measure');
    expect(typeof createFaultSession).toBe('function');
  });
});
