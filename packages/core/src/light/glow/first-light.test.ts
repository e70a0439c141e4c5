import { describe, expect, it } from '@jest/globals';
import { layPatches, type Box, type Enclosure } from '../radiosity/index.js';
import { cosineLaw, ledsAt } from '../../validation/bench.js';
import type { PointSources } from '../photometry/index.js';
import { firstLight, hasClosedForm } from './first-light.js';

const box: Box = { widthMm: 600, heightMm: 240, depthMm: 70 };
const enclosure = layPatches(box, null, 60);
const sum = (values: Iterable<number>): number => [...values].reduce((all, value) => all + value, 0);

/** LEDs in rows on the back, evenly apart. */
const rows = (count: number, perRow: number): PointSources =>
  ledsAt(
    Array.from({ length: count }, (_, led) => [
      -280 + (560 * (led % perRow)) / (perRow - 1),
      -80 + 40 * Math.floor(led / perRow),
      3,
    ]),
    cosineLaw(1),
    2,
  );

/** How far two answers are apart, over the light of a patch that gets an even part of it. */
const apart = (one: Float64Array, other: Float64Array, { count }: Enclosure): number =>
  (Math.max(...one.map((lm, patch) => Math.abs(lm - other[patch]!))) * count) / sum(one);

/** The same light thrown by rays: a table of a cosine law has no closed form. */
const thrown = (lights: PointSources, rays: number): Float64Array => {
  const polarDeg = Array.from({ length: 91 }, (_, degree) => degree);
  const candela = polarDeg.map((degree) => Math.cos((degree * Math.PI) / 180) / Math.PI);
  return firstLight(
    { ...lights, distribution: { kind: 'table', polarDeg, azimuthDeg: [0], candela: [candela] } },
    enclosure,
    rays,
  );
};

describe('first light on the patches of a case', () => {
  it('in closed form is what a great many rays find', () => {
    const lights = rows(30, 10);
    const closed = firstLight(lights, enclosure, 0);
    expect(sum(closed)).toBeCloseTo(60, 8);
    expect(apart(closed, thrown(lights, 240_000), enclosure)).toBeLessThan(0.06);
  });

  it('of a great many LEDs is that of all of them, though neighbours are taken together', () => {
    const many = rows(2000, 400);
    const together = firstLight(many, enclosure, 0);
    const part = (from: number): PointSources => ({
      ...many,
      count: 400,
      ...Object.fromEntries(
        (['x', 'y', 'z', 'nx', 'ny', 'nz', 'ux', 'uy', 'uz', 'fluxLm'] as const).map((key) => [
          key,
          many[key].slice(from, from + 400),
        ]),
      ),
    });
    const oneByOne = new Float64Array(enclosure.count);
    for (let from = 0; from < 2000; from += 400)
      firstLight(part(from), enclosure, 0).forEach((lm, patch) => (oneByOne[patch]! += lm));
    expect(sum(together)).toBeCloseTo(4000, 6);
    expect(apart(together, oneByOne, enclosure)).toBeLessThan(0.01);
  });

  it('of LEDs that look aslant is thrown by rays, beside the closed form of the others', () => {
    const lights = rows(20, 10);
    const { nx, nz, ux, uz } = lights;
    const aslant = { ...lights, nx: nx.slice(), nz: nz.slice(), ux: ux.slice(), uz: uz.slice() };
    const half = Math.SQRT1_2;
    [aslant.nx[9], aslant.nz[9], aslant.ux[9], aslant.uz[9]] = [half, half, half, -half];
    const received = firstLight(aslant, enclosure, 4000);
    expect(sum(received)).toBeCloseTo(40, 8);
    // It shines to the right: the return there gets more than from the straight one.
    const right = enclosure.panels.find(({ side }) => side === 'right')!;
    const onRight = (values: Float64Array): number =>
      sum(values.subarray(right.start, right.start + right.aCount * right.bCount));
    expect(onRight(received)).toBeGreaterThan(onRight(firstLight(lights, enclosure, 0)));
  });

  it('has a closed form for Lambertian LEDs, not for beams and measured light', () => {
    expect(hasClosedForm(cosineLaw(1))).toBe(true);
    expect(hasClosedForm(cosineLaw(12))).toBe(false);
    expect(hasClosedForm({ kind: 'table', polarDeg: [0, 90], azimuthDeg: [0], candela: [[1, 0]] })).toBe(false);
  });
});

describe('patches of a case', () => {
  it('are small in the corners where light there is exact, and alike where it is thrown', () => {
    const widths = (edges: Float64Array): readonly number[] =>
      [...edges.subarray(1)].map((edge, at) => edge - edges[at]!);
    const graded = widths(enclosure.panels[0]!.aEdges);
    expect(graded[0]).toBeCloseTo(0.06 * 70, 9);
    expect(graded[1]).toBeCloseTo(0.18 * 70, 9);
    expect(graded.at(-1)).toBeCloseTo(0.06 * 70, 9);
    expect(Math.max(...graded)).toBeGreaterThan(30);
    expect(sum(graded)).toBeCloseTo(600, 9);
    const even = widths(layPatches(box, null, 60, false).panels[0]!.aEdges);
    expect(Math.max(...even) - Math.min(...even)).toBeLessThan(1e-9);
  });
});
