import { describe, expect, it } from '@jest/globals';
import type { SignResults } from '../results/index.js';
import { harmOf, judgedWith, type Judged } from './harm.js';
import type { Severity, SignFinding } from './types.js';

const found = (id: string, severity: Severity, read = (of: SignResults) => (of as unknown as { n: number }).n) =>
  ({ id, severity, target: { better: 'lower', read } }) as unknown as SignFinding;
const judged = (n: number, ...findings: readonly SignFinding[]): Judged =>
  judgedWith({ n } as unknown as SignResults, findings);
const ids = (list: readonly SignFinding[]): readonly string[] => list.map(({ id }) => id);
const mended = found('mended', 'fix');

describe('what a change does that nobody asked for', () => {
  it('is every new stop and fix, the gravest first, but no new note', () => {
    const then = judged(1, found('note', 'note'), found('fix', 'fix'), found('stop', 'stop'));
    expect(ids(harmOf(mended, judged(1, mended), then))).toEqual(['stop', 'fix']);
  });

  it('of a remedy for a note is every new note as well', () => {
    const note = found('mended', 'note');
    expect(ids(harmOf(note, judged(1, note), judged(1, found('other', 'note'))))).toEqual(['other']);
  });

  it('is what was a note and is graver now, and not what is less grave', () => {
    const now = judged(1, mended, found('up', 'note'), found('down', 'stop'));
    expect(ids(harmOf(mended, now, judged(1, found('up', 'stop'), found('down', 'note'))))).toEqual(['up']);
  });

  it('is what stays and gets worse by more than is noticed', () => {
    const known = found('known', 'fix');
    expect(ids(harmOf(mended, judged(100, mended, known), judged(109, known)))).toEqual([]);
    expect(ids(harmOf(mended, judged(100, mended, known), judged(115, known)))).toEqual(['known']);
    expect(ids(harmOf(mended, judged(100, mended, known), judged(50, known)))).toEqual([]);
  });

  it('is never the finding itself', () => expect(harmOf(mended, judged(1, mended), judged(9, mended))).toEqual([]));
});
