import { describe, expect, it } from '@jest/globals';
import { benchStandingOf, entryProblem, logWhats, type LogEntry } from './index.js';

let count = 0;
const entry = (what: LogEntry['what'], more: Partial<LogEntry> = {}): LogEntry => {
  count += 1;
  return {
    id: `e${String(count).padStart(4, '0')}`,
    stepId: 'rip',
    what,
    by: 'First maker',
    at: `2030-01-07T08:${String(count % 60).padStart(2, '0')}:00.000Z`,
    value: what === 'time' ? 20 : null,
    words: '',
    of: null,
    ...more,
  };
};

/** A list in an order of its own, the same for the same seed. */
const shuffled = <T>(list: readonly T[], seed: number): readonly T[] =>
  list
    .map((each, at) => ({ each, key: Math.sin(seed * 97 + at * 13.7) }))
    .sort((a, b) => a.key - b.key)
    .map(({ each }) => each);

describe('a bench log', () => {
  it('comes to the same in whichever order entries of several people arrive', () => {
    count = 0;
    const entries = [
      entry('done'),
      entry('time'),
      entry('not-done', { by: 'Second maker' }),
      entry('done', { stepId: 'glue' }),
      entry('time', { by: 'Second maker', value: 25 }),
      entry('wait-begun', { stepId: 'glue' }),
      entry('done', { stepId: 'wire' }),
      entry('not-done', { stepId: 'template' }),
    ];
    const first = benchStandingOf(entries, ['template', 'brief']);
    expect([...first.done].sort()).toEqual(['brief', 'glue', 'wire']);
    expect(first.minutes).toEqual(new Map([['rip', 45]]));
    expect([...first.waits.keys()]).toEqual(['glue']);
    for (let seed = 1; seed < 30; seed += 1) {
      const again = benchStandingOf(shuffled(entries, seed), ['template', 'brief']);
      expect(again.told).toEqual(first.told);
      expect([...again.done].sort()).toEqual([...first.done].sort());
      expect(again.minutes).toEqual(first.minutes);
    }
  });

  it('leaves out what was taken back, from sums too', () => {
    count = 0;
    const wrong = entry('wrong', { words: 'The router slipped.' });
    const time = entry('time', { value: 600 });
    const spent = [entry('spent', { value: 12.5, words: 'A new bit' }), entry('spent', { value: -2, words: 'Back' })];
    const all = [wrong, time, ...spent];
    expect(benchStandingOf(all, []).spent).toBe(10.5);
    const back = benchStandingOf(
      [...all, entry('taken-back', { of: time.id }), entry('taken-back', { of: spent[0]!.id })],
      [],
    );
    expect(back.told.map(({ id }) => id)).toEqual([wrong.id, spent[1]!.id]);
    expect([back.minutes.size, back.spent]).toEqual([0, -2]);
  });

  it('knows a wait that was begun anew by its last beginning, and none that is over', () => {
    const begun = (at: string, what: LogEntry['what'] = 'wait-begun') => entry(what, { at });
    const of = (...entries: readonly LogEntry[]) => benchStandingOf(entries, []).waits.get('rip');
    expect(of(begun('2030-01-07T09:00:00.000Z'), begun('2030-01-07T08:00:00.000Z'))).toBe('2030-01-07T09:00:00.000Z');
    expect(of(begun('2030-01-07T09:00:00.000Z'), begun('2030-01-07T10:00:00.000Z', 'wait-over'))).toBeUndefined();
  });
});

describe('an entry', () => {
  it('is sound, or says what it lacks', () => {
    expect(entryProblem(entry('done'))).toBeNull();
    expect(entryProblem(entry('done', { stepId: null }))).toBe('say which step it is about');
    for (const value of [null, 0, -5, 1441]) expect(entryProblem(entry('time', { value }))).toMatch(/^time is more/);
    expect(entryProblem(entry('wrong', { words: '  ' }))).toBe('say in a few words what it was');
    expect(entryProblem(entry('wrong', { stepId: null, words: 'Late' }))).toBeNull();
    expect(entryProblem(entry('spent', { value: 0, words: 'x' }))).toMatch(/how much/);
    expect(entryProblem(entry('taken-back'))).toBe('say which entry is taken back');
    expect(logWhats.filter((what) => entryProblem(entry(what, { words: 'x', value: 5, of: 'e' })) !== null)).toEqual(
      [],
    );
  });
});
