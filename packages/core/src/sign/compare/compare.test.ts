import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import type { Design } from '../design/index.js';
import { quietRoom, testFonts, pageEvaluator } from '../../testing/harness.js';
import { compareWays, mostCompared } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const edges = (...value: readonly string[]) => [{ path: 'assemblies.0.light.edges', value }];

describe('ways beside one another', () => {
  it('are each evaluated whole, the one that is told, and what is amiss with each', () => {
    const { quick } = pageEvaluator(fonts);
    const design = quietRoom as unknown as Design;
    const ways = [
      ...compareWays(
        design,
        0,
        [
          { label: 'as it is', change: edges('bottom') },
          { label: 'both', change: edges('bottom', 'top') },
          { label: 'no such sheet', change: [{ path: 'assemblies.0.sheet.paneId', value: 'nothing' }] },
          { label: 'no such field', change: [{ path: 'assemblies.0.light.edges', value: [] }] },
        ],
        quick,
      ),
    ];
    expect(ways.map(({ label, isNow }) => [label, isNow])).toEqual([
      ['as it is', true],
      ['both', false],
      ['no such sheet', false],
      ['no such field', false],
    ]);
    const [now, both, gone, none] = ways;
    expect(both!.figures['evenness']!.value).toBeGreaterThan(now!.figures['evenness']!.value);
    expect(both!.figures['watts']!.value).toBeGreaterThan(1.5 * now!.figures['watts']!.value);
    expect(now!.figures['cost']!.text).toMatch(/^€/);
    // A base holds the lower edge alone.
    expect(both!.amiss).toMatchObject({ severity: 'stop' });
    expect(gone!.amiss?.what).toContain('not in the catalogue');
    expect(none!.figures).toEqual({});
  });

  it('are no more than can be looked at', () => {
    const { quick } = pageEvaluator(fonts);
    const many = Array.from({ length: mostCompared + 5 }, () => ({ label: 'x', change: edges() }));
    expect([...compareWays(quietRoom as unknown as Design, 0, many, quick)]).toHaveLength(mostCompared);
  });
});
