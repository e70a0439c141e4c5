import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { changed, evaluatedCoarsely, inAssembly, lateSoup, testFonts } from '../../testing/harness.js';
import { findingOn, mendedBy } from '../../testing/mended.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

type Change = Readonly<Record<string, unknown>>;

/** The word as it should be: on the large machine, all runs even, soldered, the groove white. */
const good = changed(lateSoup, {
  ...inAssembly({
    'artwork.toolId': 'bit-3',
    'lines.ends': [
      { line: 1, startMm: -1.7, endMm: -1.7 },
      { line: 6, startMm: 3.6, endMm: 3.6 },
      { line: 8, startMm: -0.4, endMm: -0.4 },
      { line: 11, startMm: 2.5, endMm: 2.5 },
    ],
    'carrier.whiteGroove': true,
  }),
  'power.joint': 'solder',
  'brief.outsideQuote': null,
});

const bars = (...ys: readonly number[]): Change => ({
  'lines.drawn': {
    name: 'bars',
    scale: 1,
    lines: ys.map((y) => ({ points: [-100, y, 100, y], closed: false })),
  },
  'lines.ends': [],
});

describe('findings of strip in a groove', () => {
  it('leave a good one alone', () => {
    const { findings } = evaluatedCoarsely(good, fonts);
    expect(findings.map(({ id }) => id)).toEqual([]);
  });

  it('are the three of the demo, each one fix away', () => {
    const { findings } = evaluatedCoarsely(lateSoup, fonts);
    expect(
      findings
        .filter(({ severity }) => severity !== 'note')
        .map(({ rule }) => rule)
        .sort(),
    ).toEqual(['over-bed', 'over-rating', 'runs-uneven']);
    expect(mendedBy(lateSoup, fonts, 'runs-uneven', 'even-ends-moved').gone).toBe(true);
    expect(mendedBy(lateSoup, fonts, 'over-bed', 'split').gone).toBe(true);
  });

  it.each<[string, string, Change]>([
    [
      'no-strip',
      'change-strip',
      { ...bars(0), 'lines.scale': 0.2, 'light.stripId': 'white-24v-60', 'groove.coverId': null },
    ],
    ['runs-uneven', 'even-ends-moved', { 'lines.ends': [] }],
    ['groove-narrow', 'fitting-groove', { 'groove.widthMm': 7 }],
    ['groove-loose', 'fitting-groove', { 'groove.widthMm': 11 }],
    ['floor-thin', 'fitting-groove', { 'groove.depthMm': 15 }],
    ['floor-thin', 'thicker-sheet', { 'carrier.boardId': 'ply-12', 'groove.depthMm': 9.5 }],
    ['bit-too-wide', 'finer-tool', { 'artwork.toolId': 'bit-6', 'groove.coverId': null }],
    ['walls-thin', 'larger-lines', bars(0, 11)],
    ['grooves-meet', 'larger-lines', { ...bars(0, 7), 'carrier.shape': 'margin' }],
    ['walls-thin', 'larger-carrier', { 'carrier.shape': 'margin', 'carrier.marginMm': 6, 'carrier.cornerMm': 0 }],
    ['lines-outside', 'larger-carrier', { 'carrier.widthMm': 560 }],
    ['no-room-behind', 'spacers', { 'carrier.spacerMm': 2, hanging: { way: 'holes' } }],
    ['dots-show', 'other-cover', { 'groove.coverId': null }],
    ['dots-show', 'change-strip', { 'light.stripId': 'fine-24v-120', 'groove.coverId': null, ...bars(0) }],
    ['split-misses', 'no-seam', { 'carrier.splits': [{ xMm: 900, yMm: 0, angleDeg: 90 }] }],
    ['seam-through-run', 'move-seam', { 'carrier.splits': [{ xMm: 70, yMm: 0, angleDeg: 90 }] }],
  ])('%s is found, and mended by %s', (rule, fix, change) => {
    const design = changed(good, inAssembly(change));
    expect(mendedBy(design, fonts, rule, fix).gone).toBe(true);
  });

  it('two lines melt into one from afar, and are told apart from near', () => {
    const near = changed(good, inAssembly(bars(0, 13)));
    expect(findingOn(near, fonts, 'lines-melt')).toBeNull();
    const far = changed(near, { 'brief.readingDistanceMm': 20_000 });
    expect(findingOn(far, fonts, 'lines-melt')).toMatchObject({ severity: 'fix' });
  });

  it('a corner sharper than the cover bends is told with how strip gets round it', () => {
    const corner = changed(
      good,
      inAssembly({
        'lines.drawn': {
          name: 'corner',
          scale: 1,
          lines: [{ points: [-100, -50, 100, -50, 100, 75], closed: false }],
        },
        'lines.ends': [],
      }),
    );
    expect(findingOn(corner, fonts, 'bends-too-tight')).toMatchObject({ severity: 'note' });
  });

  it('much cut away from one side of a thin board bows it', () => {
    const design = changed(
      good,
      inAssembly({
        ...bars(...Array.from({ length: 9 }, (_, at) => 13 * at - 52)),
        'carrier.shape': 'margin',
        'carrier.marginMm': 12,
        'carrier.boardId': 'ply-12',
      }),
    );
    expect(findingOn(design, fonts, 'board-warps')).toMatchObject({ severity: 'note' });
  });

  it('is too bright by its whole rectangle, not by the line: a neon-bright line in a dark room is', () => {
    const dark = changed(good, { 'brief.ambient': 'evening', 'power.level': 1 });
    expect(findingOn(dark, fonts, 'too-bright')).toMatchObject({ severity: 'fix' });
    expect(findingOn(good, fonts, 'too-bright')).toBeNull();
  });
});

describe('24 V strip in series', () => {
  it('takes a voltage that no supply gives: it is said so, and wired in parallel again', () => {
    const design = changed(good, { 'power.arrangement': 'series-groups' });
    const { finding, gone } = mendedBy(design, fonts, 'supply-too-small', 'all-parallel');
    expect(finding.what).toBe('No supply in the catalogue gives 48 V');
    expect(finding.why).toContain('in series strip takes twice its voltage');
    expect(gone).toBe(true);
  });
});
