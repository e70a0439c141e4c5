import { expect, test } from '@playwright/test';
import { takeDrawing, usualIntake, type Outline } from '@vitrum/core';
import { randomDrawing } from './support/random-drawing';

const count = 200;
const sideMm = 200;
/** Pixels to the millimetre in a coarse picture, and twice as many in a fine one. */
const perMm = 6;
/** A browser tells edges by quarters of a pixel: drawn four times, eighths further, that evens out. */
const shifts = [0, 0.125, 0.3125, 0.4375];

/** Area by the sum over its corners (mm²). */
const areaOf = (outline: Outline): number =>
  outline.reduce(
    (sum, ring) =>
      sum +
      ring.reduce((own, [x, y], at) => {
        const [nextX, nextY] = ring[(at + 1) % ring.length]!;
        return own + (x * nextY - nextX * y) / 2;
      }, 0),
    0,
  );

/** How long all edges of an area are (mm). */
const edgeOf = (outline: Outline): number =>
  outline.reduce(
    (sum, ring) =>
      sum +
      ring.reduce((own, [x, y], at) => {
        const [nextX, nextY] = ring[(at + 1) % ring.length]!;
        return own + Math.hypot(nextX - x, nextY - y);
      }, 0),
    0,
  );

test(`${count} drawings come to the area that a browser paints`, async ({ page }) => {
  test.setTimeout(240_000);
  const drawings = Array.from({ length: count }, (_, seed) => randomDrawing(seed));
  await page.setContent('<!doctype html><canvas></canvas>');
  const paint = (scale: number): Promise<number[]> =>
    page.evaluate(
      async ({ texts, px, moved }) => {
        const canvas = document.querySelector('canvas')!;
        canvas.width = canvas.height = px;
        const context = canvas.getContext('2d', { willReadFrequently: true })!;
        const found: number[] = [];
        for (const text of texts) {
          let dark = 0;
          for (const by of moved) {
            const image = new Image();
            const at = -50 - (by * 200) / px;
            const own = text.replace('viewBox="-50 -50 ', `viewBox="${at} ${at} `);
            image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(own)}`;
            await image.decode();
            context.fillStyle = 'white';
            context.fillRect(0, 0, px, px);
            context.drawImage(image, 0, 0, px, px);
            const { data } = context.getImageData(0, 0, px, px);
            for (let each = 0; each < data.length; each += 4) dark += 255 - data[each]!;
          }
          found.push(dark / 255 / moved.length);
        }
        return found;
      },
      { texts: drawings.map(({ text }) => text), px: sideMm * scale, moved: shifts },
    );
  const [coarse, fine] = [await paint(perMm), await paint(2 * perMm)];
  // It paints edges a little too light, by a share of a pixel: what is left of that in the fine picture is known from both.
  const painted = fine.map((dark, at) => (2 * dark) / (2 * perMm) ** 2 - coarse[at]! / perMm ** 2);
  const off = drawings.flatMap(({ name, text }, at) => {
    const wanted = painted[at]!;
    const taken = takeDrawing({ kind: 'svg', name, text }, usualIntake);
    const outline = taken.ok ? taken.value.outline : [];
    const found = areaOf(outline);
    // A tenth of a per cent; a picture does not tell where an edge runs to a hundredth of a millimetre.
    return Math.abs(found - wanted) > Math.max(0.001 * wanted, 0.01 * edgeOf(outline))
      ? [
          `${name}: ${found.toFixed(2)} for ${wanted.toFixed(2)} mm²; ${taken.ok ? taken.value.notes.join(', ') : 'refused'}`,
        ]
      : [];
  });
  expect(off).toEqual([]);
  expect(painted.filter((dark) => dark > 50).length).toBeGreaterThan(0.8 * count);
});
