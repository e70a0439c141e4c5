import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import {
  exchangeAreas,
  foldExchange,
  layPatches,
  patchHit,
  solveExchange,
  exchangeResidual,
  solveMirrored,
  type Block,
  type Box,
} from './index.js';

const box: Box = { widthMm: 600, heightMm: 300, depthMm: 80 };
const block: Block = { x0: -120, x1: 60, y0: -60, y1: 40, heightMm: 35 };

const sum = (values: Iterable<number>): number => [...values].reduce((total, value) => total + value, 0);

describe('patches', () => {
  it.each([null, block])('cover every side once (block: %j)', (inside) => {
    const enclosure = layPatches(box, inside, 500);
    const outer = 2 * (600 * 300 + 600 * 80 + 300 * 80);
    const own = inside === null ? 0 : 2 * 35 * (180 + 100);
    expect(sum(enclosure.areaMm2)).toBeCloseTo(outer + own, 3);
    // Narrow ones at the ends come on top.
    expect(enclosure.count).toBeLessThan(inside === null ? 900 : 700);
  });

  it('are met where a ray ends', () => {
    const enclosure = layPatches(box, block, 500);
    const side = (from: readonly [number, number, number], way: readonly [number, number, number]): string => {
      const patch = patchHit(enclosure, ...from, ...way);
      return enclosure.panels.filter(({ start }) => start <= patch).at(-1)!.side;
    };
    expect(side([200, 0, 5], [0, 0, 1])).toBe('face');
    expect(side([200, 0, 5], [0, 0, -1])).toBe('back');
    expect(side([200, 0, 5], [1, 0, 0])).toBe('right');
    expect(side([200, 0, 5], [-1, 0, 0])).toBe('block');
    expect(side([200, 0, 50], [-1, 0, 0])).toBe('left');
    expect(side([0, 0, 70], [0, 0, -1])).toBe('block');
  });
});

describe('exchange areas', () => {
  it.each([
    [900, 300, 60],
    [100, 100, 100],
    [3000, 60, 200],
    [40, 40, 400],
  ])('in an empty box %d × %d × %d close: each row sums to its patch', (widthMm, heightMm, depthMm) => {
    const enclosure = layPatches({ widthMm, heightMm, depthMm }, null, 400);
    const { count, areaMm2 } = enclosure;
    const exchange = exchangeAreas(enclosure);
    for (let row = 0; row < count; row += 1)
      expect(sum(exchange.subarray(row * count, (row + 1) * count)) / areaMm2[row]!).toBeCloseTo(1, 8);
    expect(exchange.every((value) => value > -1e-9)).toBe(true);
  });

  it('with a block in the way close too, answer each other, and are nothing through it', () => {
    const enclosure = layPatches(box, block, 300);
    const { count, areaMm2, panels } = enclosure;
    const exchange = exchangeAreas(enclosure);
    let unequal = 0;
    for (let row = 0; row < count; row += 1) {
      const own = sum(exchange.subarray(row * count, (row + 1) * count));
      if (own > 0) expect(own / areaMm2[row]!).toBeCloseTo(1, 3);
      for (let column = 0; column < row; column += 1)
        unequal = Math.max(unequal, Math.abs(exchange[row * count + column]! - exchange[column * count + row]!));
    }
    expect(unequal).toBeLessThan(1e-9);
    // Left and right side of the block never see each other.
    const [left, right] = [panels[7]!, panels[8]!];
    expect(exchange[left.start * count + right.start]).toBe(0);
  });

  it('thrown, in a box as good as empty, settle the same light as the analytic ones within 1 %', () => {
    const speck: Block = { x0: 299.98, x1: 299.99, y0: 149.98, y1: 149.99, heightMm: 0.01 };
    const faceOf = (inside: Block | null): number => {
      const enclosure = layPatches(box, inside, 300);
      const first = new Float64Array(enclosure.count);
      // Evenly over one side, whatever its patches are.
      for (let patch = enclosure.panels[4]!.start; patch < enclosure.panels[5]!.start; patch += 1)
        first[patch] = enclosure.areaMm2[patch]!;
      const { incidentLm } = solveExchange(
        enclosure,
        exchangeAreas(enclosure),
        first,
        new Float64Array(enclosure.count).fill(0.8),
      );
      const [, face, left] = enclosure.panels;
      return sum(incidentLm.subarray(face!.start, left!.start));
    };
    expect(faceOf(speck) / faceOf(null)).toBeCloseTo(1, 2);
  });
});

describe('light settled in a closed box', () => {
  const settled = (inside: Block | null, rho: (side: string) => number, first: (patch: number) => number) => {
    const enclosure = layPatches(box, inside, 350);
    const reflectance = new Float64Array(enclosure.count);
    for (const { side, start, aCount, bCount } of enclosure.panels)
      reflectance.fill(rho(side), start, start + aCount * bCount);
    const firstLm = enclosure.areaMm2.map((area, patch) => (area > 0 ? first(patch) : 0));
    return {
      enclosure,
      reflectance,
      firstLm,
      light: solveExchange(enclosure, exchangeAreas(enclosure), firstLm, reflectance),
    };
  };

  it.each([0.1, 0.5, 0.88, 0.97])('all of reflectance %d and evenly lit: Φ / (1 − ρ) on every patch', (rho) => {
    const enclosure = layPatches(box, null, 350);
    const all = sum(enclosure.areaMm2);
    const firstLm = enclosure.areaMm2.map((area) => area / all);
    const { incidentLm } = solveExchange(
      enclosure,
      exchangeAreas(enclosure),
      firstLm,
      new Float64Array(enclosure.count).fill(rho),
    );
    incidentLm.forEach((flux, patch) => expect(flux / firstLm[patch]!).toBeCloseTo(1 / (1 - rho), 5));
  });

  it.each([
    [null, 0.88],
    [null, 0.97],
    [block, 0.9],
  ])('balances within 0.1 %%: absorbed and passed equal emitted (block %j, lining %d)', (inside, lining) => {
    const random = seededRandom(4);
    const { light, reflectance, firstLm, enclosure } = settled(
      inside,
      (side) => (side === 'face' ? 0.45 : lining),
      () => random(),
    );
    const kept = sum(light.incidentLm.map((flux, patch) => flux * (1 - reflectance[patch]!)));
    expect(Math.abs(kept / sum(firstLm) - 1)).toBeLessThan(inside === null ? 1e-6 : 1e-3);
    expect(exchangeResidual(enclosure, light, reflectance)).toBeLessThan(1e-6);
  });

  it('black everywhere leaves only the first light', () => {
    const { light, firstLm } = settled(
      null,
      () => 0,
      (patch) => patch + 1,
    );
    expect(light.incidentLm).toEqual(firstLm);
  });
});

describe('a case that is the same in both mirrors', () => {
  const at = (widthMm: number, heightMm: number, depthMm: number) =>
    layPatches({ widthMm, heightMm, depthMm }, null, 260);

  it.each([
    [400, 400, 100],
    [610, 230, 40],
    [120, 90, 200],
  ] as const)('%d × %d × %d is solved a quarter at a time as whole, however it is lit', (w, h, d) => {
    const enclosure = at(w, h, d);
    const exchange = exchangeAreas(enclosure);
    const random = seededRandom(w);
    const first = Float64Array.from({ length: enclosure.count }, () => random());
    const reflectance = new Float64Array(enclosure.count).fill(0.9);
    const { start, aCount, bCount } = enclosure.panels[1]!;
    reflectance.fill(0.45, start, start + aCount * bCount);
    const mirrored = solveMirrored(foldExchange(enclosure, exchange), first, reflectance);
    const whole = solveExchange(enclosure, exchange, first, reflectance);
    mirrored.incidentLm.forEach((lm, patch) => expect(Math.abs(lm / whole.incidentLm[patch]! - 1)).toBeLessThan(2e-5));
    expect(exchangeResidual(enclosure, mirrored, reflectance)).toBeLessThan(1e-5);
    const absorbed = mirrored.incidentLm.reduce((total, lm, patch) => total + lm * (1 - reflectance[patch]!), 0);
    expect(absorbed / sum(first)).toBeCloseTo(1, 5);
  });

  it('black on some sides gives nothing back there, and is solved all the same', () => {
    const enclosure = at(300, 200, 80);
    const exchange = exchangeAreas(enclosure);
    const reflectance = new Float64Array(enclosure.count).fill(0.8);
    const { start, aCount, bCount } = enclosure.panels[0]!;
    reflectance.fill(0, start, start + aCount * bCount);
    const first = Float64Array.from(enclosure.areaMm2, (area, patch) => (patch % 3 === 0 ? area : 0));
    const found = solveMirrored(foldExchange(enclosure, exchange), first, reflectance);
    expect(exchangeResidual(enclosure, found, reflectance)).toBeLessThan(1e-5);
    for (let patch = start; patch < start + aCount * bCount; patch += 1) expect(found.radiosity[patch]).toBe(0);
  });

  it('has small patches at the ends of every side, mirrored, and none of no width', () => {
    for (const { panels } of [at(400, 300, 100), at(1200, 60, 30), at(50, 40, 200)])
      for (const { aEdges, bEdges } of panels)
        for (const edges of [aEdges, bEdges]) {
          const widths = Array.from(edges.subarray(1), (edge, cell) => edge - edges[cell]!);
          expect(Math.min(...widths)).toBeGreaterThan(0);
          widths.forEach((width, cell) => expect(width).toBeCloseTo(widths[widths.length - 1 - cell]!, 6));
        }
  });
});
