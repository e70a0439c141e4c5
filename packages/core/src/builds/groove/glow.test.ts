import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { bandLuminance, domeSpill, grooveLight } from '../../light/line/index.js';
import { changed, evaluated, inAssembly, lateSoup, testFonts } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

/** One straight line of whole cuts. */
const bar = (change: Readonly<Record<string, unknown>> = {}) =>
  evaluated(
    changed(lateSoup, {
      ...inAssembly({
        'lines.drawn': { name: 'bar', scale: 1, lines: [{ points: [-200, 0, 200, 0], closed: false }] },
        'lines.ends': [],
        'carrier.shape': 'margin',
        ...change,
      }),
      'power.level': 1,
      'power.jointId': undefined,
    }),
    fonts,
  );

describe('the glow of a line', () => {
  it('is its light by the millimetre over the skin that shines: 2 F / (π² D) under a dome', () => {
    const { glow, materials, geometry, share } = bar();
    const mean = share.fluxShare.reduce((sum, each) => sum + each, 0) / share.fluxShare.length;
    const lmPerMm = (glow.emittedLm / mean / 400) * mean * glow.way.out;
    expect(glow.evenness.meanCdM2).toBeCloseTo(bandLuminance(lmPerMm, materials.cover!.litMm, 'dome'), 0);
    expect(geometry.groove.cover).toBe('dome');
  });

  it('comes out of the map as it went in: luminance over the band is the mean of the line', () => {
    const { glow, geometry } = bar();
    const { grid, luminance } = glow;
    const cellMm2 = grid.cellWidthMm * grid.cellHeightMm;
    let sum = 0;
    // Of what is on the band alone: spill beside it is some hundredths of it.
    luminance.forEach((cdM2, cell) => (sum += glow.letters[cell]! > 0 ? cdM2 * cellMm2 : 0));
    const round = (Math.PI * geometry.groove.litMm ** 2) / 4;
    const band = 400 * geometry.groove.litMm + round;
    expect(sum / band / glow.evenness.meanCdM2).toBeGreaterThan(0.95);
    expect(sum / band / glow.evenness.meanCdM2).toBeLessThan(1.06);
  });

  it('shows dots where strip lies bare, fewer the deeper it lies under its cover', () => {
    const bare = bar({ 'groove.coverId': null, 'light.stripId': 'fine-24v-120' });
    const dome = bar({ 'light.stripId': 'fine-24v-120' });
    const tube = bar({ 'light.stripId': 'fine-24v-120', 'groove.coverId': 'soft-tube-8' });
    expect(bare.glow.way.dotContrast).toBeGreaterThan(0.4);
    expect(dome.glow.way.dotContrast).toBeLessThan(bare.glow.way.dotContrast);
    expect(tube.glow.way.dotContrast).toBeLessThan(dome.glow.way.dotContrast / 3);
  });

  it('gives more out of a white groove, and from its floor more than from its wall', () => {
    const plain = bar({ 'groove.coverId': null });
    const white = bar({ 'groove.coverId': null, 'carrier.whiteGroove': true });
    expect(white.glow.way.out).toBeGreaterThan(1.1 * plain.glow.way.out);
    const groove = { widthMm: 10, depthMm: 10, floorReflects: 0, wallsReflect: 0 };
    // From the middle of the floor (w/2) / √(w²/4 + d²); from the middle of a wall half of 1 − (d/2) / √(w² + d²/4).
    expect(grooveLight(groove, 'floor').out).toBeCloseTo(5 / Math.hypot(5, 10), 6);
    expect(grooveLight(groove, 'wall').out).toBeCloseTo((1 - 5 / Math.hypot(10, 5)) / 2, 6);
  });

  it('has a dark end where strip is missing, and is judged by it', () => {
    const whole = bar();
    const short = bar({
      'lines.drawn': { name: 'bar', scale: 1, lines: [{ points: [-200, 0, 200, 0, 200, 70], closed: false }] },
    });
    expect(whole.glow.evenness.minOverMean).toBeGreaterThan(0.8);
    expect(short.glow.evenness.minOverMean).toBeLessThan(whole.glow.evenness.minOverMean);
  });

  it('over its whole rectangle is what a room gets of it', () => {
    const { glow } = bar();
    expect(glow.overAllCdM2).toBeLessThanOrEqual(glow.evenness.meanCdM2);
    const { glow: word } = evaluated(lateSoup, fonts);
    expect(word.overAllCdM2 / word.evenness.meanCdM2).toBeLessThan(0.25);
  });
});

describe('light beside a proud line', () => {
  it('is that of a band as high as the dome: π L (1 − cos β) / 2 beside a long one', () => {
    for (const x of [5, 10, 30]) {
      const lux = domeSpill([-1e5, 0], [1e5, 0], 4, 1000, [0, x]);
      expect(lux / ((Math.PI * 1000 * (1 - x / Math.hypot(x, 4))) / 2)).toBeCloseTo(1, 4);
    }
  });

  it('on the map is the same as in closed form', () => {
    const { glow, geometry } = bar();
    const { grid, luminance } = glow;
    const [line] = geometry.lines;
    const [from, to] = [line!.points[0]!, line!.points.at(-1)!];
    const radius = Math.min(geometry.groove.proudMm, geometry.groove.litMm / 2);
    const column = grid.columns >> 1;
    const told: number[] = [];
    for (let row = 0; row < grid.rows; row += 1) {
      const place = [
        grid.area.x + (column + 0.5) * grid.cellWidthMm,
        grid.area.y + (row + 0.5) * grid.cellHeightMm,
      ] as const;
      const aside = Math.abs(place[1] - from[1]);
      if (aside < 8 || aside > 16) continue;
      const here = luminance[row * grid.columns + column]!;
      const lux = domeSpill(from, to, radius, glow.evenness.meanCdM2, place);
      // All by the same reflectance.
      told.push(here / lux);
    }
    expect(told.length).toBeGreaterThan(4);
    const mean = told.reduce((sum, each) => sum + each, 0) / told.length;
    for (const each of told) expect(each / mean).toBeCloseTo(1, 0);
    expect(Math.max(...told) / Math.min(...told)).toBeLessThan(1.12);
  });
});
