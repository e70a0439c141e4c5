import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { newDesign } from '../../sign/demo/index.js';
import type { HaloAssembly } from '../halo/schema.js';
import type { DesignOf } from '../../document/design/index.js';
import { evaluatedCoarsely, testFonts } from '../../testing/harness.js';
import { besideStripMm, seedStrips } from './seed-strips.js';
import { meanStrokeMm, roundMmOf } from './stroke.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const letters = (capHeightMm: number, text = 'TO') =>
  evaluatedCoarsely(
    newDesign('halo', { name: 'N', text, readingDistanceMm: 3000, sizesMm: { capHeightMm } }) as DesignOf<HaloAssembly>,
    fonts,
  );
const strip = (id: string) => shippedCatalogue.strips.find((each) => each.id === id)!;

describe('strip that suits letters', () => {
  it('leaves roomy edges where the stroke has them, and tight ones where it has not', () => {
    expect(besideStripMm(60, strip('white-24v-120'))).toBe(2);
    expect(besideStripMm(7, strip('single-12v-120'))).toBe(0.9);
    expect(besideStripMm(5, strip('single-12v-120'))).toBe(0.5);
  });

  it('is cut finely in small letters, and narrower than their strokes', () => {
    const results = letters(60);
    const stroke = meanStrokeMm(results);
    const offered = seedStrips(results, shippedCatalogue, stroke).map((seed) => seed.strip);
    expect(offered.length).toBeGreaterThan(0);
    for (const { cutPitchMm, widthMm } of offered) {
      expect(cutPitchMm).toBeLessThanOrEqual(12);
      expect(widthMm).toBeLessThan(stroke);
    }
  });

  it('may be cut coarsely in large ones, which counts against it', () => {
    const results = letters(600);
    const seeds = seedStrips(results, shippedCatalogue, meanStrokeMm(results));
    const penalty = (id: string): number => seeds.find((seed) => seed.strip.id === id)!.penalty;
    expect(penalty('white-24v-60')).toBeGreaterThan(penalty('fine-24v-120'));
    expect(seeds.every((seed) => seed.strip.form !== 'modules' && seed.strip.addressable !== true)).toBe(true);
  });
});

describe('the strokes of letters', () => {
  it('are as wide on average as twice their area over their outline, whatever their size', () => {
    const [small, large] = [letters(100), letters(200)];
    expect(meanStrokeMm(large) / meanStrokeMm(small)).toBeCloseTo(2, 2);
    expect(roundMmOf(large) / roundMmOf(small)).toBeCloseTo(2, 2);
    expect(meanStrokeMm(small)).toBeGreaterThan(10);
    expect(meanStrokeMm(small)).toBeLessThan(35);
  });
});
