import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import { edgeEntry } from './entry.js';
import { thrownBackAt } from './fresnel.js';

const at = (thicknessMm: number, emitterMm: number, gapMm: number, offsetMm = 0, index = 1.49) =>
  edgeEntry({ index, thicknessMm }, { emitterMm, gapMm, offsetMm });

/** View factor from a strip to a parallel strip right before it, by crossed strings. */
const crossedStrings = (emitter: number, edge: number, gap: number): number =>
  (Math.hypot((emitter + edge) / 2, gap) - Math.hypot((edge - emitter) / 2, gap)) / emitter;

/** Diffuse light that a smooth boundary throws back, in closed form (Walsh). */
const walsh = (n: number): number =>
  0.5 +
  ((n - 1) * (3 * n + 1)) / (6 * (n + 1) ** 2) +
  ((n * n * (n * n - 1) ** 2) / (n * n + 1) ** 3) * Math.log((n - 1) / (n + 1)) -
  (2 * n ** 3 * (n * n + 2 * n - 1)) / ((n * n + 1) * (n ** 4 - 1)) +
  ((8 * n ** 4 * (n ** 4 + 1)) / ((n * n + 1) * (n ** 4 - 1) ** 2)) * Math.log(n);

describe('light that enters by an edge', () => {
  it.each([
    [4, 2, 0.5],
    [4, 2, 3],
    [3, 3, 1],
    [10, 2.8, 2],
    [2, 5, 0.4],
  ])(
    'a sheet of %d mm, an emitter of %d mm, a gap of %d mm: meets the edge as crossed strings say',
    (edge, emitter, gap) => {
      const { entered, thrownBack, missed } = at(edge, emitter, gap);
      expect(entered + thrownBack).toBeCloseTo(crossedStrings(emitter, edge, gap), 2);
      expect(entered + thrownBack + missed).toBeCloseTo(1, 12);
    },
  );

  it.each([1.46, 1.49, 1.52])('close to the edge, index %d: throws back what Walsh’s form says', (index) => {
    expect(at(4, 2, 0, 0, index).thrownBack).toBeCloseTo(walsh(index), 3);
  });

  it.each([
    [4, 2.8, 1, 1.5],
    [3, 2.8, 0.5, 0],
    [6, 3.5, 2, 3],
  ])(
    '%d mm, emitter %d mm, gap %d mm, offset %d mm: agrees with rays at random',
    (thicknessMm, emitterMm, gapMm, offsetMm) => {
      const random = seededRandom(7);
      const count = 200_000;
      let [entered, missed] = [0, 0];
      for (let ray = 0; ray < count; ray += 1) {
        const [radius, angle] = [Math.sqrt(random()), 2 * Math.PI * random()];
        const forward = Math.sqrt(1 - radius * radius);
        const z = offsetMm + (random() - 0.5) * emitterMm + (gapMm * radius * Math.sin(angle)) / forward;
        if (Math.abs(z) > thicknessMm / 2) missed += 1;
        else if (random() >= thrownBackAt(forward, 1 / 1.49)) entered += 1;
      }
      const found = at(thicknessMm, emitterMm, gapMm, offsetMm);
      expect(Math.abs(found.entered - entered / count)).toBeLessThan(0.004);
      expect(Math.abs(found.missed - missed / count)).toBeLessThan(0.004);
    },
  );

  it('goes no wider than the critical angle, and no steeper', () => {
    const { fan } = at(4, 2, 0);
    const critical = Math.asin(1 / 1.49);
    expect(fan.limits.at(-1)!).toBeLessThanOrEqual(critical + 1e-9);
    expect(fan.limits.at(-1)!).toBeGreaterThan(critical - 0.01);
    for (const tangents of fan.tangents) for (const each of tangents) expect(Math.atan(each)).toBeLessThan(critical);
  });

  it('wants the strip on the middle plane, near, and no higher than the sheet is thick', () => {
    const onMiddle = at(4, 2.8, 0.5).entered;
    expect(at(4, 2.8, 0.5, 2).entered).toBeLessThan(0.65 * onMiddle);
    expect(at(4, 2.8, 5).entered).toBeLessThan(0.6 * onMiddle);
    expect(at(2, 5, 0.5).entered).toBeLessThan(0.5 * onMiddle);
  });

  it('is none where the emitter stands beside the edge', () => {
    expect(at(4, 2, 0, 6)).toMatchObject({ entered: 0, missed: 1 });
  });
});
