import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { changed, evaluated, evaluatedCoarsely, inAssembly, quietRoom, testFonts } from '../../testing/harness.js';
import { usualFrame } from './holders.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

type Change = Readonly<Record<string, unknown>>;
const lit = (change: Change = {}) => evaluatedCoarsely(changed(quietRoom, inAssembly(change)), fonts);
const frame = usualFrame({
  widthMm: 240,
  heightMm: 160,
  thicknessMm: 6,
  stripWidthMm: 5,
  stripHeightMm: 1.6,
  gapMm: 0.5,
});
const framed = (change: Change) => lit({ holder: frame, hanging: { way: 'feet' }, ...change });

describe('the glow of an edge-lit panel', () => {
  it('accounts for all light, whatever is worked and painted', () => {
    for (const change of [
      {},
      { 'sheet.behind': 'painted' },
      { 'light.gapMm': 3 },
      { 'sheet.paneId': 'float-glass-4' },
      { 'sheet.litFinish': 'sawn' },
    ]) {
      const { emittedLm, outLm, absorbedFaceLm, absorbedCaseLm } = lit(change).glow.balance;
      expect(Math.abs((outLm + absorbedFaceLm + absorbedCaseLm) / emittedLm - 1)).toBeLessThan(1e-6);
    }
  });

  it('gives the same light by its LEDs before a sawn edge, of which 70 % of what a polished one takes enters', () => {
    const [polished, sawn] = [lit(), lit({ 'sheet.litFinish': 'sawn' })];
    expect(sawn.glow.emittedLm / polished.glow.emittedLm).toBeCloseTo(1, 9);
    expect(sawn.glow.entry.entered / polished.glow.entry.entered).toBeCloseTo(0.7, 9);
    // Not quite: light that comes back to a rough edge is turned about otherwise than by a flat one.
    expect(Math.abs(sawn.glow.workedLm / polished.glow.workedLm / 0.7 - 1)).toBeLessThan(0.01);
    expect(sawn.glow.entry.missed).toBeCloseTo(polished.glow.entry.missed, 9);
  });

  it('tells a luminance that gives what comes out toward the viewer', () => {
    const { glow, materials, lettering } = lit();
    // Worked on the back: what does not leave there passes the sheet once, 0.92 of it; Lambert, π.
    const toward = (1 - materials.engraving.ownSide) * 0.92;
    const mean = (glow.workedLm * toward) / (Math.PI * (Math.abs(lettering.areaMm2) / 1e6));
    expect(Math.abs(glow.patches.meanCdM2 / mean - 1)).toBeLessThan(0.02);
  });

  it('is the same on the preview and on a finer map', () => {
    const [coarse, fine] = [lit(), evaluated(quietRoom, fonts)];
    expect(Math.abs(coarse.glow.patches.meanCdM2 / fine.glow.patches.meanCdM2 - 1)).toBeLessThan(0.02);
    expect(Math.abs(coarse.glow.patches.evenShare - fine.glow.patches.evenShare)).toBeLessThan(0.05);
  });

  it('fades from one edge, less from two, and alike from left and right when it is turned about', () => {
    const one = framed({ 'light.edges': ['bottom'] });
    const two = framed({ 'light.edges': ['bottom', 'top'] });
    expect(one.glow.patches.lastToFirst).toBeLessThan(0.6);
    expect(two.glow.patches.evenShare).toBeGreaterThan(one.glow.patches.evenShare + 0.2);
    const [left, right] = [framed({ 'light.edges': ['left'] }), framed({ 'light.edges': ['right'] })];
    expect(Math.abs(left.glow.entry.entered - right.glow.entry.entered)).toBeLessThan(1e-9);
  });

  it('loses light as the strip leaves the middle of the sheet', () => {
    const entered = [0, 1, 2, 3, 5].map((offsetMm) => lit({ 'light.offsetMm': offsetMm }).glow.entry.entered);
    // An emitter 1.6 mm high before a sheet of 6 mm: all of it to 2.2 mm off, none from 3.8 mm on, but for the gap.
    expect(entered[1]! / entered[0]!).toBeGreaterThan(0.97);
    for (let at = 1; at < entered.length; at += 1) expect(entered[at]!).toBeLessThanOrEqual(entered[at - 1]! + 1e-9);
    expect(entered[4]!).toBeLessThan(0.1);
  });

  it('is dimmer by a sawn edge, brighter before a white board, as bright before a black one', () => {
    const { meanCdM2 } = lit().glow.patches;
    expect(Math.abs(lit({ 'sheet.litFinish': 'sawn' }).glow.patches.meanCdM2 / meanCdM2 - 0.7)).toBeLessThan(0.02);
    expect(lit({ 'sheet.behind': 'white' }).glow.patches.meanCdM2).toBeGreaterThan(1.3 * meanCdM2);
    expect(Math.abs(lit({ 'sheet.behind': 'black' }).glow.patches.meanCdM2 / meanCdM2 - 1)).toBeLessThan(0.06);
  });

  it('takes more light the deeper it is worked, and gives it back to the sheet by white tape', () => {
    const depths = [0.02, 0.05, 0.2].map((depthMm) => lit({ 'artwork.depthMm': depthMm }).glow.workedLm);
    expect(depths).toEqual([...depths].sort((a, b) => a - b));
    expect(lit({ 'sheet.unlit': { top: 'white' } }).glow.workedLm).toBeGreaterThan(1.1 * lit().glow.workedLm);
    expect(lit({ 'sheet.unlit': { top: 'black' } }).glow.workedLm).toBeLessThanOrEqual(1.001 * lit().glow.workedLm);
  });

  it('shows free edges that are not taped, and no others', () => {
    expect(lit().glow.edgesCdM2.top).toBeGreaterThan(1000);
    const bright = (change: Change): number => {
      const bare = changed(changed(quietRoom, inAssembly(change)), { 'brief.text': '' });
      const { grid, letters, luminance } = evaluatedCoarsely(bare, fonts).glow;
      // Away from its corners, which the edges beside it share.
      const from = (grid.rows - 1) * grid.columns;
      const [left, right] = [Math.floor(0.1 * grid.columns), Math.ceil(0.9 * grid.columns)];
      return letters
        .subarray(from + left, from + right)
        .reduce((most, share, at) => (share > 0 ? Math.max(most, luminance[from + left + at]!) : most), 0);
    };
    expect(bright({})).toBeGreaterThan(100);
    expect(bright({ 'sheet.unlit': { top: 'black' } })).toBe(0);
  });

  it('says from where on single LEDs no longer show, and none do where chips are as wide as their pitch', () => {
    const { fans, evenness } = lit({ 'light.stripId': 'white-24v-60' }).glow;
    expect(fans.touchMm).toBeCloseTo((1000 / 60 / 2) * Math.sqrt(1.49 ** 2 - 1), 1);
    expect(fans.evenFromMm).toBeGreaterThan(fans.touchMm);
    expect(evenness.dots.contrast).toBeLessThan(0.1);
    expect(lit({ 'light.stripId': 'continuous-24v-480' }).glow.fans.evenFromMm).toBe(0);
  });

  it('a mirror loses most of its light in the silver', () => {
    const { glow } = evaluatedCoarsely(demoDesigns['hat-mirror'], fonts);
    const { lostLm, emittedLm } = glow as unknown as { readonly lostLm: number; readonly emittedLm: number };
    expect(lostLm / emittedLm).toBeGreaterThan(0.5);
  });
});
