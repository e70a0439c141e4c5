import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import type { BoxResults } from '../../builds/index.js';
import type { Single } from '../../testing/harness.js';
import { ambients } from '../../light/glow/index.js';
import { changed, dispensary, inAssembly, evaluated, slipway, testFonts, tideTable } from '../../testing/harness.js';
import { falseColour, renderFace, renderFalseColour, renderSign, type Picture } from './index.js';

let fonts: FontBook;
let box: Single<BoxResults>;
beforeAll(async () => {
  fonts = await testFonts();
  box = evaluated(dispensary, fonts);
});

const at = ({ width, height, data }: Picture, u: number, v: number): readonly number[] => {
  const pixel = (Math.floor(v * height) * width + Math.floor(u * width)) * 4;
  return [...data.slice(pixel, pixel + 4)];
};

describe('the lit picture', () => {
  it('is opaque, a pixel a cell, brighter where the luminance is higher', () => {
    const picture = renderFace(box, 'dark', true, false);
    expect([picture.width, picture.height]).toEqual([box.glow.grid.columns, box.glow.grid.rows]);
    expect(at(picture, 0.5, 0.25)[0]).toBeGreaterThan(at(picture, 0.01, 0.02)[0]!);
    for (let pixel = 3; pixel < picture.data.length; pixel += 4) expect(picture.data[pixel]).toBe(255);
  });

  it('does not clip the brightest part of the face away, in any light', () => {
    for (const ambient of ambients) {
      const { data } = renderFace(box, ambient, true, false);
      const full = data.filter((value, index) => index % 4 === 1 && value === 255).length;
      expect(full / (data.length / 4)).toBeLessThan(0.06);
    }
  });

  it('shows lit and unlit nearly alike at noon, far apart in the dark', () => {
    const difference = (ambient: 'noon' | 'dark'): number =>
      Math.abs(
        at(renderFace(box, ambient, true, false), 0.5, 0.25)[1]! -
          at(renderFace(box, ambient, false, false), 0.5, 0.25)[1]!,
      );
    expect(difference('dark')).toBeGreaterThan(3 * difference('noon'));
  });

  it('a warm white looks warm, but less so than its chromaticity', () => {
    const warm = evaluated(changed(dispensary, { 'brief.light': { kind: 'white', cctK: 2700 } }), fonts);
    const [red, , blue] = at(renderFace(warm, 'evening', true, false), 0.5, 0.25) as [number, number, number];
    expect(red - blue).toBeGreaterThan(30);
    expect(blue).toBeGreaterThan(100);
  });

  it('a mixed colour keeps its hue', () => {
    const red = evaluated(
      changed(dispensary, {
        'brief.light': { kind: 'rgb', colour: '#ff0000' },
        ...inAssembly({ 'light.stripId': 'rgb-12v-60' }),
      }),
      fonts,
    );
    const [r, g, b] = at(renderFace(red, 'dark', true, false), 0.5, 0.25) as [number, number, number];
    expect(r).toBeGreaterThan(150);
    expect(Math.max(g, b)).toBeLessThan(40);
  });

  it('letters are dark on a lit ground, lit in a mask, coloured in colour', () => {
    const shot = (change: Readonly<Record<string, unknown>>) =>
      evaluated(
        changed(dispensary, { 'brief.text': 'I', ...inAssembly({ 'artwork.capHeightMm': 200, ...change }) }),
        fonts,
      );
    const centre = (evaluation: Single<BoxResults>) => at(renderFace(evaluation, 'dark', true, true), 0.5, 0.5);
    expect(centre(shot({}))[0]).toBeLessThan(15);
    expect(centre(shot({ 'artwork.mode': 'lit-letters' }))[0]).toBeGreaterThan(120);
    const [r, g] = centre(shot({ 'artwork.mode': 'coloured-letters', 'artwork.filmId': 'green-film' })) as [
      number,
      number,
    ];
    expect(g).toBeGreaterThan(2 * r);
  });
});

describe('false colour', () => {
  it('rises in lightness all the way, and holds outside its scale', () => {
    const light = Array.from({ length: 40 }, (_, step) => {
      const [r, g, b] = falseColour(step / 39);
      return 0.3 * r + 0.59 * g + 0.11 * b;
    });
    light.slice(1).forEach((value, index) => expect(value).toBeGreaterThan(light[index]!));
    expect(falseColour(-3)).toEqual(falseColour(0));
    expect(falseColour(9)).toEqual(falseColour(1));
    expect(falseColour(Number.NaN)).toEqual(falseColour(0));
  });

  it('paints the map by its luminance', () => {
    const picture = renderFalseColour(box, box.glow.evenness.maxCdM2);
    const brightest = box.glow.luminance.indexOf(Math.max(...box.glow.luminance));
    const [column, row] = [brightest % picture.width, picture.height - 1 - Math.floor(brightest / picture.width)];
    expect([...picture.data.slice((row * picture.width + column) * 4, (row * picture.width + column) * 4 + 3)]).toEqual(
      [...falseColour(1)],
    );
  });
});

describe('the whole sign', () => {
  it.each([
    ['a box', dispensary],
    ['a print', tideTable],
    ['letters', slipway],
  ])('is as smooth of %s as one that is looked at twice as closely everywhere', (_, design) => {
    const sign = evaluated(design, fonts);
    const [own, closely] = [renderSign(sign, 'evening', 300), renderSign(sign, 'evening', 600, { samples: 1 })];
    expect(closely.height - 2 * own.height).toBeLessThanOrEqual(1);
    const toLinear = (byte: number): number => (byte / 255) ** 2.2;
    const rows = Math.min(own.height, Math.floor(closely.height / 2));
    let [changed, off] = [0, 0];
    for (let row = 0; row < rows; row += 1)
      for (let column = 0; column < own.width; column += 1)
        for (let channel = 0; channel < 3; channel += 1) {
          const four = [0, 1, 2, 3].map((each) => {
            const [x, y] = [2 * column + (each % 2), 2 * row + (each >> 1)];
            return closely.data[4 * (y * closely.width + x) + channel]!;
          });
          const mean = 255 * (four.reduce((sum, byte) => sum + toLinear(byte), 0) / 4) ** (1 / 2.2);
          if (Math.max(...four) - Math.min(...four) > 20) changed += 1;
          if (Math.abs(mean - own.data[4 * (row * own.width + column) + channel]!) > 6) off += 1;
        }
    // There are edges, and they are met; the few that are not run where a pixel of the picture has two.
    expect(changed).toBeGreaterThan(500);
    expect(off).toBeLessThan(changed / 50);
  });

  it('keeps its proportions, wall round case round face', () => {
    const picture = renderSign(box, 'evening', 500);
    expect(picture.height / picture.width).toBeCloseTo((300 + 2 * 126) / (900 + 2 * 126), 1);
    const [wall, edge, face] = [at(picture, 0.02, 0.5), at(picture, 0.113, 0.5), at(picture, 0.5, 0.3)];
    expect(face[0]).toBeGreaterThan(wall[0]!);
    expect(edge[0]).toBeLessThan(wall[0]!);
  });

  it('has the colours of a print, lit and by day', () => {
    const half = { name: 'red and white', columns: 2, rows: 2, rgb: '/wAA/////wAA////' };
    const print = evaluated(changed(tideTable, inAssembly({ 'shows.picture': half })), fonts);
    for (const ambient of ['evening', 'noon'] as const) {
      const picture = renderSign(print, ambient, 400);
      const [left, right] = [at(picture, 0.36, 0.6), at(picture, 0.64, 0.6)];
      expect(left[0]! - left[1]!).toBeGreaterThan(60);
      expect(Math.abs(right[0]! - right[1]!)).toBeLessThan(45);
    }
  });
});
