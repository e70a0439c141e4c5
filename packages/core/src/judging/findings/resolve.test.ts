import { describe, expect, it } from '@jest/globals';
import type { DesignChange } from '../../document/design/index.js';
import type { SignResults } from '../results/index.js';
import { judgedWith, type Judged } from './harm.js';
import { resolveRemedies } from './resolve.js';
import type { Candidate, Finding, Remedy, SignFinding } from './types.js';

/** Results of which only a figure and a price are looked at. */
const results = (figure: number, price = 100): SignResults =>
  ({ figure, cost: { perSign: price } }) as unknown as SignResults;
const figureOf = (of: SignResults): number => (of as unknown as { readonly figure: number }).figure;

const candidate = (label: string, figure: number, price = 100): Candidate => ({
  label,
  change: [{ path: 'figure', value: [figure, price] }],
});
const remedy = (id: string, ...candidates: readonly Candidate[]): Remedy => ({ id, candidates });

/** A finding that is settled at ten and more. */
const finding = (remedies: readonly Remedy[], better: 'higher' | 'lower' = 'higher'): SignFinding =>
  ({
    id: 'too-little',
    rule: 'too-little',
    assembly: null,
    severity: 'fix',
    step: 'light',
    what: 'Too little',
    why: 'It is 4 where 10 are needed.',
    numbers: [{ label: 'figure', value: 4, unit: 'cd/m²' }],
    where: null,
    target: {
      label: 'figure',
      unit: 'cd/m²',
      better,
      read: figureOf,
      settled: (of: SignResults) => (better === 'higher' ? figureOf(of) >= 10 : figureOf(of) <= 1),
    },
    remedies,
  }) as unknown as SignFinding;

/** What a figure brings on besides; nothing when left out. */
type BringsOn = (figure: number, change: DesignChange) => readonly SignFinding[];

const trying = (refused: readonly number[] = [], bringsOn: BringsOn = () => []) => {
  const [tried, shown]: [number[], number[]] = [[], []];
  const judge = (change: DesignChange, list: number[], off = 0): Judged | null => {
    const figure = change.reduce((sum, { value }) => sum + (value as [number, number])[0], 0);
    const price = change.reduce((sum, { value }) => sum + (value as [number, number])[1] - 100, 100);
    list.push(figure);
    return refused.includes(figure) ? null : judgedWith(results(figure + off, price), bringsOn(figure, change));
  };
  const trial = {
    rough: (change: DesignChange) => judge(change, tried),
    exact: (change: DesignChange) => judge(change, shown),
  };
  return { tried, shown, trial };
};

const resolved = (raw: readonly SignFinding[], trial = trying().trial) => {
  const search = resolveRemedies(judgedWith(results(4), raw), trial);
  let pauses = 0;
  let turn = search.next();
  for (; turn.done !== true; turn = search.next()) pauses += 1;
  return { findings: turn.value, pauses };
};
const fixesOf = (raw: SignFinding, trial = trying().trial): Finding['fixes'] =>
  resolved([raw], trial).findings[0]!.fixes;

describe('remedies that are tried', () => {
  it('are offered with the figure that came out, not the one hoped for, and what they cost', () => {
    expect(fixesOf(finding([remedy('deeper', candidate('12 deeper', 12.5, 117))]))).toEqual([
      {
        id: 'deeper',
        label: '12 deeper',
        change: [{ path: 'figure', value: [12.5, 117] }],
        measure: 'figure',
        unit: 'cd/m²',
        before: 4,
        after: 12.5,
        settles: true,
        priceChange: 17,
      },
    ]);
  });

  it('are gone through in their order; the first that settles is shown, tried on the page’s map', () => {
    const { tried, trial } = trying();
    const [fix] = fixesOf(
      finding([remedy('rows', ...[5, 8, 11, 15].map((each) => candidate(`${each}`, each)))]),
      trial,
    );
    expect([fix!.label, tried]).toEqual(['11', [5, 8, 11]]);
  });

  it('are halved where there are many: the least that settles is found in few trials', () => {
    const { tried, trial } = trying();
    const many = Array.from({ length: 200 }, (_, index) => candidate(`${index}`, index / 10));
    const [fix] = fixesOf(finding([remedy('depth', ...many)]), trial);
    expect(fix!.label).toBe('100');
    expect(tried.length).toBeLessThanOrEqual(Math.ceil(Math.log2(200)) + 1);
  });

  it('of which the last does not settle are not halved in vain', () => {
    const { tried, trial } = trying();
    const many = Array.from({ length: 50 }, (_, index) => candidate(`${index}`, 4 + index / 10));
    const [fix] = fixesOf(finding([remedy('depth', ...many)]), trial);
    expect(fix).toMatchObject({ label: '49', settles: false, after: 8.9 });
    expect(tried).toEqual([8.9]);
  });

  it('stand by what they do: those that settle first, then the cheaper', () => {
    const fixes = fixesOf(
      finding([
        remedy('helps', candidate('helps', 8, 80)),
        remedy('dear', candidate('dear', 12, 150)),
        remedy('cheap', candidate('cheap', 11, 120)),
      ]),
    );
    expect(fixes.map(({ id }) => id)).toEqual(['cheap', 'dear', 'helps']);
  });

  it.each([
    ['hardly moves its figure', 4.1],
    ['makes it worse', 3],
    ['leaves it as it is', 4],
  ])('are not offered when one %s', (_, figure) => {
    expect(fixesOf(finding([remedy('idle', candidate('idle', figure))]))).toEqual([]);
  });

  it('count downwards where less is better', () => {
    const lower = (figure: number) => fixesOf(finding([remedy('dim', candidate('dim', figure))], 'lower'));
    expect(lower(5)).toEqual([]);
    expect(lower(2)).toMatchObject([{ settles: false, after: 2 }]);
    expect(lower(0.5)).toMatchObject([{ settles: true }]);
  });

  it('that make no valid design are passed over', () => {
    const { trial } = trying([11, 12]);
    expect(fixesOf(finding([remedy('never', candidate('never', 12))]), trial)).toEqual([]);
    const [fix] = fixesOf(finding([remedy('later', candidate('a', 11), candidate('b', 13))]), trial);
    expect(fix!.label).toBe('b');
  });

  it('pause before every trial, so that they can be called off', () => {
    const two = finding([remedy('a', candidate('a', 5), candidate('b', 6)), remedy('c', candidate('c', 20))]);
    // Three candidates roughly, and of each remedy the one to show.
    expect(resolved([two, two]).pauses).toBe(2 * (3 + 2));
  });

  const harm = (severity: Finding['severity'], remedies: readonly Remedy[] = [], id = 'harm'): SignFinding => ({
    ...finding(remedies),
    id,
    severity,
    what: 'Harm is done',
    target: { ...finding([]).target, settled: () => true },
  });

  it.each(['stop', 'fix'] as const)('that bring on a %s are not offered, and the finding says so', (severity) => {
    const { trial } = trying([], (figure) => (figure === 12 ? [harm(severity)] : []));
    const raw = finding([remedy('bad', candidate('Twelve', 12)), remedy('idle', candidate('Four', 4))]);
    const [found] = resolved([raw], trial).findings;
    expect(found!.fixes).toEqual([]);
    expect(found!.whyNone).toContain('“Twelve” brings on: harm is done');
  });

  it('may bring on a note, unless it is a note that they settle', () => {
    const { trial } = trying([], (figure) => (figure === 12 ? [harm('note')] : []));
    const raw = finding([remedy('deeper', candidate('Twelve', 12))]);
    expect(fixesOf(raw, trial)).toMatchObject([{ settles: true }]);
    const [found] = resolved([{ ...raw, severity: 'note' }], trial).findings;
    expect([found!.fixes, found!.whyNone]).toEqual([[], null]);
  });

  it('of which the first does harm are gone through for one that does none', () => {
    const { trial } = trying([], (figure) => (figure === 12 ? [harm('stop')] : []));
    const raw = finding([remedy('rows', candidate('Twelve', 12), candidate('Thirteen', 13))]);
    expect(fixesOf(raw, trial)).toMatchObject([{ label: 'Thirteen' }]);
  });

  it('are joined with what mends the harm, at the price of both', () => {
    const second = { label: 'Larger supply', change: [{ path: 'supply', value: [0, 130] }] };
    const bringsOn: BringsOn = (figure, change) =>
      figure >= 10 && change.length === 1 ? [harm('stop', [remedy('larger', second)])] : [];
    const { trial } = trying([], bringsOn);
    const [fix] = fixesOf(finding([remedy('rows', candidate('Nine rows', 12, 90))]), trial);
    expect(fix).toMatchObject({ label: 'Nine rows and larger supply', settles: true, priceChange: 20 });
    expect(fix!.change).toHaveLength(2);
  });

  it('do not count what was there already, unless they make it worse', () => {
    const known = harm('fix', [], 'known');
    const { trial } = trying([], () => [known]);
    const raw = finding([remedy('deeper', candidate('Twelve', 12))]);
    expect(resolved([raw, known], trial).findings[0]!.fixes).toHaveLength(1);
    const lower: SignFinding = { ...known, target: { ...known.target, better: 'lower' } };
    const worse = trying([], () => [lower]).trial;
    expect(resolved([raw, lower], worse).findings[0]!.fixes).toHaveLength(0);
    const graver = trying([], () => [{ ...known, severity: 'stop' }]).trial;
    expect(resolved([raw, known], graver).findings[0]!.fixes).toHaveLength(0);
  });

  it('are not called settled while the same is found again as gravely', () => {
    const raw = finding([remedy('deeper', candidate('Twelve', 12))]);
    const again = trying([], () => [raw]).trial;
    expect(fixesOf(raw, again)).toMatchObject([{ settles: false }]);
    const lesser = trying([], () => [{ ...raw, severity: 'note' }]).trial;
    expect(fixesOf(raw, lesser)).toMatchObject([{ settles: true }]);
  });

  it('are left alone where only others are asked for', () => {
    const { tried, trial } = trying();
    const search = resolveRemedies(judgedWith(results(4), [finding([])]), trial, () => false);
    expect(search.next()).toMatchObject({ done: true, value: [{ fixes: [], whyNone: null }] });
    expect(tried).toEqual([]);
  });

  it('leave a finding that has none as it is, without its functions', () => {
    const [bare] = resolved([finding([])]).findings;
    expect(bare).toEqual(structuredClone(bare));
    expect(bare).toMatchObject({ id: 'too-little', severity: 'fix', fixes: [] });
    expect(Object.keys(bare!)).not.toContain('target');
  });
});
