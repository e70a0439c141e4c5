import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { changed, dispensary, inAssembly } from '../../testing/harness.js';
import type { Design } from '../design/index.js';
import { designDifferences, differenceWords } from './index.js';

const told = (now: Design, was: Design = dispensary) =>
  designDifferences(was, now).map((each) => Object.values(differenceWords(each, now, shippedCatalogue)).join(' | '));

describe('two revisions', () => {
  it('differ in nothing but what was changed, in words with units and names', () => {
    expect(told(dispensary)).toEqual([]);
    const [box] = dispensary.assemblies;
    const { case: own, light } = box as unknown as {
      case: { depthInsideMm: number };
      light: { rowCount: number; stripId: string };
    };
    const other = shippedCatalogue.strips.find(({ id }) => id !== light.stripId)!;
    const name = shippedCatalogue.strips.find(({ id }) => id === light.stripId)!.name;
    const next = changed(dispensary, {
      'brief.quantity': 3,
      ...inAssembly({ 'case.depthInsideMm': own.depthInsideMm + 15.5, 'light.stripId': other.id }),
    });
    expect([...told(next)].sort()).toEqual(
      [
        'quantity | 1 | 3',
        `case, depth inside | ${own.depthInsideMm} mm | ${own.depthInsideMm + 15.5} mm`,
        `light, strip | ${name} | ${other.name}`,
      ]
        .map((line) => (line.startsWith('quantity') ? `brief, ${line}` : line))
        .sort(),
    );
    // Told the other way round, it is the other way round.
    expect(told(dispensary, next).some((line) => line.endsWith(`| ${other.name} | ${name}`))).toBe(true);
  });

  it('leave out ticks and readings, and tell of lists as wholes', () => {
    const proved = changed(dispensary, { proof: { readings: [{ id: 'full-amps', value: 1, on: '2030-01-07' }] } });
    expect(told(proved)).toEqual([]);
    const [was, now] = [
      { points: [[0, 0]] },
      {
        points: [
          [0, 0],
          [1, 1],
        ],
      },
    ] as unknown as [Design, Design];
    const [difference, ...rest] = designDifferences(was, now);
    expect([difference!.path, rest]).toEqual(['points', []]);
    expect(designDifferences({ text: 'a' } as unknown as Design, {} as unknown as Design)).toEqual([
      { path: 'text', was: 'a', now: undefined },
    ]);
  });
});
