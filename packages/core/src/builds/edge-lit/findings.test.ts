import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { changed, evaluatedCoarsely, inAssembly, quietRoom, testFonts } from '../../testing/harness.js';
import { findingOn, mendedBy } from '../../testing/mended.js';
import { usualFrame } from './holders.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

type Change = Readonly<Record<string, unknown>>;

/** A panel that nothing is wrong with: its fill thin enough to reach the far side. */
const good = changed(quietRoom, {
  ...inAssembly({ 'artwork.fill': 'hatch', 'artwork.spacingMm': 0.8 }),
  'brief.outsideQuote': null,
});
const held = { widthMm: 240, heightMm: 160, thicknessMm: 6, stripWidthMm: 5, stripHeightMm: 1.6, gapMm: 0.5 };
const frame = usualFrame(held);
const mirror = demoDesigns['hat-mirror'];
const counter = demoDesigns['counter-top'];

describe('findings of an edge-lit panel', () => {
  it('leave a good one alone, but for what is worth knowing', () => {
    const { findings } = evaluatedCoarsely(good, fonts);
    expect(findings.filter(({ severity }) => severity !== 'note')).toEqual([]);
  });

  it.each<[string, string, Change]>([
    ['light-misses-edge', 'centred', { 'light.offsetMm': 2.5 }],
    ['light-misses-edge', 'closer-to-edge', { 'light.gapMm': 5, 'holder.slotMm': 12 }],
    [
      'light-misses-edge',
      'thicker-sheet',
      { 'light.stripId': 'white-24v-60', 'sheet.paneId': 'clear-acrylic-3', 'light.gapMm': 1.5 },
    ],
    ['tool-works-no-faces', 'engraver', { 'artwork.toolId': 'laser' }],
    ['lit-edge-rough', 'polish', { 'sheet.litFinish': 'sawn' }],
    ['fades', 'even-fill', { 'artwork.fill': 'solid' }],
    ['fades', 'lighter-fill', { 'artwork.fill': 'solid', 'sheet.paneId': 'clear-acrylic-10' }],
    [
      'fans-show',
      'artwork-away',
      { 'artwork.offsetYMm': -48, 'artwork.capHeightMm': 14, 'light.stripId': 'white-24v-60' },
    ],
    [
      'fans-show',
      'change-strip',
      { 'artwork.offsetYMm': -48, 'artwork.capHeightMm': 14, 'light.stripId': 'white-24v-60' },
    ],
    ['paint-takes-light', 'board-behind', { 'sheet.behind': 'painted' }],
    ['artwork-outside', 'centre-artwork', { 'artwork.offsetXMm': 90 }],
    ['artwork-outside', 'smaller-artwork', { 'artwork.capHeightMm': 90 }],
    [
      'depth-out-of-range',
      'usual-depth',
      { 'artwork.toolId': 'engrave-bit', 'artwork.depthMm': 1.9, 'sheet.paneId': 'clear-acrylic-5' },
    ],
    ['too-many-marks', 'all-over', { 'artwork.fill': 'dots', 'artwork.spacingMm': 0.1, 'artwork.capHeightMm': 43 }],
    ['lines-merge', 'farther-apart', { 'artwork.spacingMm': 0.2 }],
    ['edge-uncovered', 'lower-edge', { 'light.edges': ['bottom', 'top'] }],
    ['edge-uncovered', 'frame-it', { 'light.edges': ['bottom', 'top'] }],
    ['slot-fit', 'usual-play', { 'holder.playMm': 0.02 }],
    ['slot-fit', 'usual-play', { 'holder.playMm': 0.9 }],
    [
      'exit-near-edge',
      'shallower-slot',
      { 'holder.boardId': 'oak-block-30', 'holder.lidBoardId': 'composite-3', 'holder.slotMm': 20 },
    ],
    ['strip-over-cavity', 'shorter-strip', { 'light.endMarginMm': 5 }],
    ['base-tips', 'deeper-base', { 'holder.depthMm': 24 }],
    ['edge-bare', 'change-strip', { 'light.stripId': 'white-24v-60', 'sheet.widthMm': 270 }],
    ['no-strip', 'no-margin', { 'light.endMarginMm': 110 }],
  ])('%s is found, and mended by %s', (rule, fix, change) => {
    const design = changed(good, inAssembly(change));
    expect(mendedBy(design, fonts, rule, fix).gone).toBe(true);
  });

  it.each<[string, string, Change]>([
    ['strip-shut-in', 'screwed-corners', { holder: { ...frame, joint: 'mitre' }, hanging: { way: 'chain' } }],
    ['slot-fit', 'usual-play', { holder: { ...frame, playMm: 1.2, seatMm: 6 }, hanging: { way: 'chain' } }],
  ])('%s is found on a framed one, and mended by %s', (rule, fix, change) => {
    const design = changed(good, inAssembly(change));
    expect(mendedBy(design, fonts, rule, fix).gone).toBe(true);
  });

  it('worked too shallow it stays pale, and that is told', () => {
    const finding = findingOn(changed(good, inAssembly({ 'artwork.depthMm': 0.02 })), fonts, 'depth-out-of-range');
    expect(finding).toMatchObject({ severity: 'note' });
  });

  it('a mirror is worked through its silver', () => {
    const design = changed(mirror, inAssembly({ 'artwork.mirrored': false }));
    expect(mendedBy(design, fonts, 'mirror-from-behind', 'from-behind').gone).toBe(true);
  });

  it('a lead thicker than the cavity takes a thinner one', () => {
    const low = { 'holder.boardId': 'oak-block-30', 'holder.lidBoardId': 'composite-3', 'holder.slotMm': 20 };
    const thick = changed(good, { ...inAssembly(low), 'power.wireId': 'pair-2.5' });
    expect(mendedBy(thick, fonts, 'lead-too-thick', 'thinner-lead').gone).toBe(true);
    expect(findingOn(changed(good, { 'power.wireId': 'pair-2.5' }), fonts, 'lead-too-thick')).toBeNull();
  });

  it('a controller inside wants a pocket', () => {
    const design = changed(good, { 'brief.control': 'knob', 'power.controllerPlace': 'inside' });
    const finding = findingOn(design, fonts, 'gear-inside');
    expect(finding).toMatchObject({ severity: 'stop' });
  });

  it('a sheet larger than it is sold is told with those that are', () => {
    const design = changed(counter, inAssembly({ 'sheet.widthMm': 1250 }));
    const finding = findingOn(design, fonts, 'larger-than-sheet');
    expect(finding?.what).toBe('The sheet is larger than it is sold');
  });

  it('says that nothing is worked where there is nothing to show', () => {
    const finding = findingOn(changed(good, { 'brief.text': '' }), fonts, 'nothing-worked');
    expect(finding).toMatchObject({ severity: 'stop' });
    expect(finding?.fixes).toEqual([]);
    expect(finding?.whyNone).toContain('text');
  });

  it('too bright, and too dim, as any sign', () => {
    const bright = changed(good, {
      ...inAssembly({
        'light.stripId': 'continuous-24v-480',
        'sheet.paneId': 'clear-acrylic-10',
        'artwork.fill': 'solid',
      }),
      'brief.surroundings': 'country',
    });
    expect(findingOn(bright, fonts, 'too-bright')).not.toBeNull();
    const dim = changed(good, { 'brief.ambient': 'noon' });
    expect(findingOn(dim, fonts, 'too-dim')).not.toBeNull();
  });
});
