import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { luminanceOf } from '../../light/glow/index.js';
import { behindOf, clearRgb, towardViewer, workedRgb } from './look.js';

const engraving = shippedCatalogue.tools.find(({ id }) => id === 'engrave-beam')!.engraves!;
const kinds = ['open', 'black', 'white', 'painted', 'mirror'] as const;

describe('how a clear sheet looks unlit', () => {
  it('shows what is behind it, less what its faces take; a mirror the room', () => {
    expect(luminanceOf(clearRgb('white'))).toBeGreaterThan(luminanceOf(clearRgb('open')));
    expect(luminanceOf(clearRgb('black'))).toBeLessThan(0.08);
    expect(luminanceOf(clearRgb('mirror'))).toBeGreaterThan(luminanceOf(clearRgb('black')));
    for (const kind of kinds) for (const share of clearRgb(kind)) expect(share).toBeLessThan(1);
  });

  it('is paler where it is worked before black, darker before white', () => {
    expect(luminanceOf(workedRgb('black'))).toBeGreaterThan(luminanceOf(clearRgb('black')));
    expect(luminanceOf(workedRgb('white'))).toBeLessThan(luminanceOf(clearRgb('white')));
  });

  it('is a mirror where the sheet is silvered, whatever the design says', () => {
    expect(behindOf({ behind: 'white' }, { silver: 0.93 })).toBe('mirror');
    expect(behindOf({}, {})).toBe('open');
  });
});

describe('what goes toward the viewer', () => {
  it('is never more than there is, and more before white than before black', () => {
    for (const behind of kinds)
      for (const mirrored of [true, false]) {
        const share = towardViewer(engraving, mirrored, behind);
        expect(share).toBeGreaterThan(0);
        expect(share).toBeLessThan(1);
      }
    expect(towardViewer(engraving, false, 'white')).toBeGreaterThan(towardViewer(engraving, false, 'black'));
  });

  it('of a mirror comes back but for what its silver takes, where it is worked on the front', () => {
    expect(towardViewer(engraving, false, 'mirror')).toBeCloseTo(engraving.ownSide + 0.85 * (1 - engraving.ownSide), 9);
    // Through the silver the rest is lost behind it.
    expect(towardViewer(engraving, true, 'mirror')).toBeCloseTo(0.92 * (1 - engraving.ownSide), 9);
  });
});
