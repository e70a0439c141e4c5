import { describe, expect, it } from '@jest/globals';
import { fakeThreads } from '../testing/fake-thread';
import type { Meaning } from './protocol';

interface Ask {
  readonly id: number;
  readonly kind: 'ask' | 'know' | 'cancel';
  readonly what?: string;
}
interface Told {
  readonly id: number;
  readonly kind: 'part' | 'all';
  readonly what?: string;
}
const meanings: Readonly<Record<Told['kind'], Meaning>> = { part: 'more', all: 'over' };

const stand = (callingOff: 'message' | 'ending' | 'silence' = 'message') => {
  const threads = fakeThreads<Ask, Told>({
    meaningOf: ({ kind }) => meanings[kind],
    callingOff: callingOff === 'message' ? (id) => ({ kind: 'cancel', id }) : callingOff,
  });
  const heard: string[] = [];
  const ask = (what: string, rest: { readonly lane?: string; readonly evenIfLate?: boolean } = {}) =>
    threads.client.ask({
      request: { kind: 'ask', what },
      hear: ({ kind, what: told }) => void heard.push(`${what}: ${kind}${told === undefined ? '' : ` ${told}`}`),
      fail: (message) => void heard.push(`${what} failed: ${message}`),
      ...rest,
    });
  return { ...threads, heard, ask, asked: () => threads.sent.map(({ kind, what }) => `${kind} ${what ?? ''}`.trim()) };
};

describe('a worker client', () => {
  it('starts its thread with the first question, not before', () => {
    const { started, ask, client } = stand();
    client.setUp('shelf', { kind: 'know', what: 'shelf' });
    expect(started()).toBe(0);
    ask('a');
    expect(started()).toBe(1);
  });

  it('tells each answer to whoever asked, whatever the order', () => {
    const { ask, reply, heard, idsOf } = stand();
    ask('a');
    ask('b');
    const [a, b] = idsOf('ask');
    reply({ id: b!, kind: 'part', what: '1' });
    reply({ id: a!, kind: 'all' });
    reply({ id: b!, kind: 'all' });
    reply({ id: a!, kind: 'all', what: 'twice' });
    reply({ id: 99, kind: 'all' });
    expect(heard).toEqual(['b: part 1', 'a: all', 'b: all']);
  });

  it('has one question of a lane in flight, and only the newest waiting', () => {
    const { ask, answer, asked, heard } = stand();
    for (const what of ['a', 'b', 'c', 'd']) ask(what, { lane: 'one' });
    expect(asked()).toEqual(['ask a']);
    answer('ask', { kind: 'all' });
    expect(asked()).toEqual(['ask a', 'ask d']);
    answer('ask', { kind: 'all' });
    // What was overtaken is not heard, nor was it ever sent.
    expect(heard).toEqual(['d: all']);
  });

  it('hears an overtaken answer where that is better than nothing, until the newer is sent', () => {
    const { ask, answer, reply, heard, idsOf } = stand();
    ask('a', { lane: 'one', evenIfLate: true });
    ask('b', { lane: 'one', evenIfLate: true });
    answer('ask', { kind: 'part' });
    answer('ask', { kind: 'all' });
    reply({ id: idsOf('ask')[0]!, kind: 'all' });
    answer('ask', { kind: 'all' });
    expect(heard).toEqual(['a: part', 'a: all', 'b: all']);
  });

  it('sends the next only when all of the one before has come', () => {
    const { ask, answer, asked, heard } = stand();
    ask('a', { lane: 'one' });
    answer('ask', { kind: 'part' });
    ask('b', { lane: 'one' });
    expect(asked()).toEqual(['ask a']);
    answer('ask', { kind: 'all' });
    expect(asked()).toEqual(['ask a', 'ask b']);
    answer('ask', { kind: 'part' });
    expect(heard).toEqual(['a: part', 'b: part']);
  });

  it('keeps lanes apart', () => {
    const { ask, asked } = stand();
    ask('a', { lane: 'one' });
    ask('b', { lane: 'other' });
    expect(asked()).toEqual(['ask a', 'ask b']);
  });

  it('may be asked again by the answer itself', () => {
    const { client, answer, asked } = stand();
    const again = (what: string): void =>
      void client.ask({
        request: { kind: 'ask', what },
        lane: 'one',
        hear: () => (what === 'a' ? again('b') : undefined),
        fail: () => undefined,
      });
    again('a');
    answer('ask', { kind: 'all' });
    expect(asked()).toEqual(['ask a', 'ask b']);
  });
});

describe('calling a question off', () => {
  it('says so to the thread, and hears nothing more of it', () => {
    const { ask, reply, sent, heard } = stand();
    const callOff = ask('a');
    callOff();
    callOff();
    reply({ id: 0, kind: 'all' });
    expect([sent.slice(1), heard]).toEqual([[{ kind: 'cancel', id: 0 }], []]);
  });

  it('that only waits never sends it', () => {
    const { ask, answer, asked } = stand();
    ask('a', { lane: 'one' });
    ask('b', { lane: 'one' })();
    answer('ask', { kind: 'all' });
    expect(asked()).toEqual(['ask a']);
  });

  it('lets the one that waits behind it go', () => {
    const { ask, asked } = stand();
    const callOff = ask('a', { lane: 'one' });
    ask('b', { lane: 'one' });
    callOff();
    expect(asked()).toEqual(['ask a', 'cancel', 'ask b']);
  });

  it('ends a thread that nothing else stops, and another starts for the next', () => {
    const { ask, started, ended, answer, heard } = stand('ending');
    ask('a')();
    expect([started(), ended()]).toEqual([1, 1]);
    ask('b');
    answer('ask', { kind: 'all' });
    expect([started(), heard]).toEqual([2, ['b: all']]);
  });

  it('is mere silence where answers are quick', () => {
    const { ask, sent, ended, answer, heard } = stand('silence');
    ask('a')();
    answer('ask', { kind: 'all' });
    expect([sent.length, ended(), heard]).toEqual([1, 0, []]);
  });
});

describe('what a thread must know', () => {
  it('is told first, again when it changes, and to threads that start later', () => {
    const { client, ask, asked, fail } = stand();
    client.setUp('shelf', { kind: 'know', what: 'shelf' });
    client.setUp('job', { kind: 'know', what: 'job' });
    ask('a');
    client.setUp('shelf', { kind: 'know', what: 'shelf' });
    client.setUp('shelf', { kind: 'know', what: 'shelf 2' });
    fail('boom');
    ask('b');
    expect(asked()).toEqual(['know shelf', 'know job', 'ask a', 'know shelf 2', 'know shelf 2', 'know job', 'ask b']);
  });

  it('is answered to who wants it, once, and not when it is set up otherwise meanwhile', () => {
    const { client, reply, started, fail, ask } = stand();
    const heard: string[] = [];
    const know = (what: string): void =>
      client.setUp(
        'job',
        { kind: 'know', what },
        { hear: ({ what: told }) => void heard.push(told!), fail: (message) => void heard.push(message) },
      );
    know('one');
    expect(started()).toBe(1);
    know('two');
    reply({ id: 0, kind: 'all', what: 'one' });
    reply({ id: 1, kind: 'all', what: 'two' });
    fail('boom');
    ask('a');
    reply({ id: 2, kind: 'all', what: 'again' });
    expect(heard).toEqual(['two']);
  });
});

describe('a thread', () => {
  it('ends a while after its last answer, and not while it is asked or held', () => {
    const { ask, answer, running, passTime, client } = stand();
    const release = client.hold();
    expect(running()).toBe(1);
    passTime();
    ask('a');
    release();
    release();
    passTime();
    expect(running()).toBe(1);
    answer('ask', { kind: 'all' });
    ask('b');
    passTime();
    expect(running()).toBe(1);
    answer('ask', { kind: 'all' });
    passTime();
    expect(running()).toBe(0);
  });

  it('that fails tells all who wait, and the next question starts another', () => {
    const { ask, fail, heard, started, answer } = stand();
    ask('a', { lane: 'one' });
    ask('b', { lane: 'one' });
    ask('c');
    fail('boom');
    expect(heard).toEqual(['c failed: boom', 'b failed: boom']);
    ask('d', { lane: 'one' });
    answer('ask', { kind: 'all' });
    expect([started(), heard.at(-1)]).toEqual([2, 'd: all']);
  });
});
