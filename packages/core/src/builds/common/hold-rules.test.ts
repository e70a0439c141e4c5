import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import type { AssemblyResults } from '../../judging/results/index.js';
import type { Segment } from '../../light/runs/index.js';
import { clipEveryMm, clipsOf } from '../../making/parts/index.js';
import { changed, dispensary, evaluatedCoarsely, testFonts } from '../../testing/harness.js';
import { isNoFinish, tapeLetsGo } from './hold-rules.js';

let plain: AssemblyResults;
let ceiling: AssemblyResults;
beforeAll(async () => {
  const fonts: FontBook = await testFonts();
  plain = evaluatedCoarsely(dispensary, fonts);
  ceiling = evaluatedCoarsely(changed(dispensary, { 'brief.place': 'ceiling' }), fonts);
});

const segment = (lengthMm: number, upright: boolean, on: Segment['on'] = 'left'): Segment => {
  const to = upright ? ([0, lengthMm, 2] as const) : ([lengthMm, 0, 2] as const);
  return { ...plain.runs.segments[0]!, from: [0, 0, 2], to, path: [[0, 0, 2], to], lengthMm, on };
};
const at = (stripC: number, segments: readonly Segment[], results = plain): AssemblyResults => ({
  ...results,
  heat: { ...results.heat, stripC: { low: stripC - 3, high: stripC + 3 } },
  runs: { ...results.runs, segments },
});
const asked = (results: AssemblyResults, bare = false) =>
  tapeLetsGo<AssemblyResults>({ isBare: () => bare, finish: () => ({ id: 'finish', candidates: [] }) })({
    results,
    catalogue: shippedCatalogue,
  });

describe('tape that lets go', () => {
  it('is no matter for cool strip on a painted board', () => {
    expect(asked(at(40, [segment(700, false), segment(600, true)]))).toBeNull();
  });

  it('creeps when it is warm, on long runs alone', () => {
    expect(asked(at(58, [segment(200, false)]))).toBeNull();
    expect(asked(at(54, [segment(700, false)]))).toBeNull();
    expect(asked(at(58, [segment(700, false), segment(200, false)]))!.numbers[1]!.value).toBe(1);
  });

  it('does not carry the weight of a long upright run; strip in letters bends every which way', () => {
    expect(asked(at(40, [segment(900, true)]))!.why).toContain('by its own weight over more than 800 mm');
    expect(asked(at(40, [segment(900, false)]))).toBeNull();
    expect(asked(at(40, [segment(900, true, 'letter')]))).toBeNull();
  });

  it('hangs from a ceiling, and from bare wood, whatever its warmth', () => {
    expect(asked(at(40, [segment(700, false)], ceiling))!.why).toContain('ceiling');
    expect(asked(at(40, [segment(100, false)]), true)!.why).toContain('bare wood');
  });

  it('tells all reasons in one sentence that begins with a capital', () => {
    const { why } = asked(at(58, [segment(900, true)], ceiling), true)!;
    expect(why).toMatch(/^At about 58 °C .*; it hangs by .*; hung from .*; tape does not keep/);
  });

  it('is held by a clip at each end and one at most every 300 mm', () => {
    const runs = { segments: [segment(100, false), segment(300, false), segment(301, false)] };
    expect(clipEveryMm).toBe(300);
    expect(clipsOf(runs, 'clips')).toBe(2 + 2 + 3);
    expect(clipsOf(runs, 'tape')).toBe(0);
    const held = {
      ...at(58, runs.segments),
      assembly: { ...plain.assembly, light: { ...plain.assembly.light, hold: 'clips' as const } },
    };
    expect(asked(held)).toBeNull();
  });

  it('knows a finish that is none by its weight', () => {
    const bare = shippedCatalogue.linings.filter(isNoFinish).map(({ id }) => id);
    expect(bare).toEqual(['bare-ply']);
  });
});
