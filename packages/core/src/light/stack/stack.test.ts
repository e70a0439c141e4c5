import { describe, expect, it } from '@jest/globals';
import { measureLine, rectRing, type Outline, type Point, type Ring } from '../../base/outlines/index.js';
import { gridOver } from '../../base/raster/index.js';
import { sourcesFrom, type Distribution, type PointSources } from '../photometry/index.js';
import {
  cutRoom,
  edgeViews,
  isConvex,
  lightStack,
  thicker,
  throughPocket,
  traceStack,
  wallGlow,
  type StackRoom,
} from './index.js';

const roundRing = (radiusMm: number, corners = 48): Ring =>
  Array.from({ length: corners }, (_, corner): Point => {
    const turn = (corner * 2 * Math.PI) / corners;
    return [radiusMm * Math.cos(turn), radiusMm * Math.sin(turn)];
  });

const lambertian: Distribution = { kind: 'cosine', exponent: 1 };
const narrow: Distribution = { kind: 'cosine', exponent: 4 };

/** LEDs along a ring at a height, looking out of it or into it. */
const along = (ring: Ring, z: number, pitchMm: number, way: 'in' | 'out', distribution = lambertian): PointSources => {
  const line = measureLine(ring, true);
  const count = Math.round(line.lengthMm / pitchMm);
  return sourcesFrom(
    Array.from({ length: count }, (_, led) => {
      const {
        at,
        along: [ax, ay],
      } = line.station(((led + 0.5) * line.lengthMm) / count);
      const sign = way === 'in' ? -1 : 1;
      return [at[0] + sign * 0.5 * ay, at[1] - sign * 0.5 * ax, z, sign * ay, -sign * ax, 0, ax, ay, 0, 5];
    }),
    distribution,
  );
};

const wood = { heightMm: 9, reflects: 0.85, passes: 0 };
const band = { heightMm: 10, reflects: 0.6, passes: 0.25 };
const disc: StackRoom = {
  outline: [roundRing(128)],
  bands: [wood, band, wood],
  baseReflects: 0.85,
  lid: { reflects: 0.85, passes: 0 },
  inlay: { reflects: 0.45, passes: 0.45 },
  inlays: [rectRing({ x: -90, y: -30, width: 70, height: 60 }), rectRing({ x: 10, y: -30, width: 70, height: 60 })],
  ledge: null,
};
const gridOf = (halfMm: number) => gridOver({ x: -halfMm, y: -halfMm, width: 2 * halfMm, height: 2 * halfMm }, 96, 96);
const lit = (room: StackRoom, lights: PointSources, halfMm = 130) =>
  lightStack({ room, lights, grid: gridOf(halfMm) }, cutRoom(room));

/** An L, which hides one arm from the other. */
const bent: Outline = [
  [
    [-150, -150],
    [150, -150],
    [150, -60],
    [-60, -60],
    [-60, 150],
    [-150, 150],
  ],
];

describe('light in a stack', () => {
  it('keeps what is emitted: out of lid and bands, or taken by what it meets', () => {
    for (const lights of [along(roundRing(125), 14, 15, 'in'), along(roundRing(90), 14, 15, 'out', narrow)]) {
      const { balance } = lit(disc, lights);
      const sum = balance.lidLm + balance.bandLm.reduce((a, b) => a + b, 0) + balance.absorbedLm;
      expect(sum / balance.emittedLm).toBeCloseTo(1, 4);
      expect(balance.bandLm[0]).toBe(0);
    }
  });

  it('is what the white room of one mean reflectance says, where all surfaces are alike', () => {
    // A closed room that gives back ρ of all light: what leaves by a small opening share is passes/(1 − ρ) of it.
    const alike = { reflects: 0.7, passes: 0.1 };
    const room: StackRoom = {
      ...disc,
      bands: [{ heightMm: 28, ...alike }],
      baseReflects: 0.7,
      lid: alike,
      inlay: alike,
    };
    const { balance } = lit(room, along(roundRing(125), 14, 15, 'in'));
    // Lid and bands let out a tenth of what falls on them, the base takes three tenths, they take two.
    const onAll = balance.emittedLm / 0.3;
    const onBase = (balance.absorbedLm - 0.2 * onAll) / 0.1;
    expect((balance.lidLm + balance.bandLm[0]!) / 0.1 + onBase).toBeCloseTo(onAll, -1);
  });

  it.each([
    ['a disc lit from its wall', disc, along(roundRing(125), 14, 15, 'in')],
    ['a disc lit from its wall by narrow light', disc, along(roundRing(125), 14, 15, 'in', narrow)],
  ])('agrees with photons: %s', (_, room, lights) => {
    const { balance } = lit(room, lights, 160);
    const traced = traceStack(room, lights, 150_000, 7);
    expect(Math.abs(balance.lidLm / traced.lidLm - 1)).toBeLessThan(0.03);
    expect(Math.abs(balance.bandLm[1]! / traced.bandLm[1]! - 1)).toBeLessThan(0.03);
    expect(traced.errorLm.lid / traced.lidLm).toBeLessThan(0.01);
  });

  it('agrees with photons in an L, an arm of which lies in the shade', () => {
    const room = { ...disc, outline: bent, inlays: [rectRing({ x: -140, y: 60, width: 60, height: 70 })] };
    const lights = along(
      [
        [-148, -148],
        [148, -148],
        [148, -62],
        [60, -62],
      ],
      14,
      15,
      'in',
    );
    const { balance } = lit(room, lights, 160);
    const traced = traceStack(room, lights, 100_000, 7);
    expect(Math.abs(balance.bandLm[1]! / traced.bandLm[1]! - 1)).toBeLessThan(0.03);
    // A hundredth of the light gets round the corner: photons leave much of it open.
    expect(Math.abs(balance.lidLm - traced.lidLm)).toBeLessThan(0.03 * traced.lidLm + 3 * traced.errorLm.lid);
  });

  it('agrees with photons past a ledge that hides the middle from strip on it', () => {
    const ring = roundRing(88, 40);
    const room = { ...disc, ledge: { line: ring, heightMm: 10, reflects: 0.85 } };
    const lights = along(roundRing(90), 5, 15, 'out');
    const { balance } = lit(room, lights);
    const traced = traceStack(room, lights, 200_000, 9);
    expect(Math.abs(balance.lidLm / traced.lidLm - 1)).toBeLessThan(0.03);
    expect(Math.abs(balance.bandLm[1]! / traced.bandLm[1]! - 1)).toBeLessThan(0.03);
    // Without it the middle gets more.
    expect(lit(disc, lights).balance.lidLm).toBeGreaterThan(balance.lidLm);
  });

  it('maps what the sums say: mean over inlays, mean round a band', () => {
    const lights = along(roundRing(125), 14, 15, 'in');
    const { grid, lidLux, places, bandLux, balance } = lit(disc, lights);
    const cellM2 = (grid.cellWidthMm * grid.cellHeightMm) / 1e6;
    const onLid = lidLux.reduce((sum, lux) => sum + lux * cellM2 * 0.45, 0);
    // Cells at the edge of a letter count whole here.
    expect(onLid / balance.lidLm).toBeGreaterThan(0.97);
    expect(onLid / balance.lidLm).toBeLessThan(1.1);
    const onBand = places.reduce((sum, { lengthMm }, at) => sum + (bandLux[1]![at]! * lengthMm * 10 * 0.25) / 1e6, 0);
    expect(onBand / balance.bandLm[1]!).toBeCloseTo(1, 1);
    expect(bandLux[0]!.every((lux) => lux === 0)).toBe(true);
  });

  it('tells a ring that bulges out from one that does not', () => {
    expect(isConvex([roundRing(50)])).toBe(true);
    expect(isConvex(bent)).toBe(false);
    expect(isConvex([roundRing(50), [...roundRing(20)].reverse()])).toBe(false);
  });
});

describe('a slab of opal', () => {
  it('is itself once, and two of it the sheet of twice the thickness, light thrown to and fro between', () => {
    const one = { reflects: 0.45, passes: 0.45 };
    expect(thicker(one, 1).passes).toBeCloseTo(one.passes, 9);
    expect(thicker(one, 1).reflects).toBeCloseTo(one.reflects, 9);
    // Two sheets: T² / (1 − R²), R + T² R / (1 − R²).
    const two = thicker(one, 2);
    expect(two.passes).toBeCloseTo(0.45 ** 2 / (1 - 0.45 ** 2), 9);
    expect(two.reflects).toBeCloseTo(0.45 + (0.45 ** 2 * 0.45) / (1 - 0.45 ** 2), 9);
  });

  it('that takes nothing passes one over one and what it scatters', () => {
    expect(thicker({ reflects: 0.5, passes: 0.5 }, 3).passes).toBeCloseTo(0.25, 9);
    expect(thicker({ reflects: 0, passes: 0.9 }, 2).passes).toBeCloseTo(0.81, 12);
  });
});

describe('a deep pocket', () => {
  it('lets all by where it is shallow, and what its white walls do not keep', () => {
    expect(throughPocket(10, 0, 0.5)).toBe(1);
    expect(throughPocket(10, 1e-6, 0.5)).toBeCloseTo(1, 6);
    expect(throughPocket(10, 10, 0)).toBeCloseTo(Math.SQRT2 - 1, 12);
    expect(throughPocket(10, 10, 0.8)).toBeGreaterThan(throughPocket(10, 10, 0.2));
    // Walls that keep nothing: half of what they get comes out, the rest goes back.
    expect(throughPocket(10, 10, 1)).toBeCloseTo(Math.SQRT2 - 1 + (2 - Math.SQRT2) / 2, 12);
  });
});

describe('a glowing edge', () => {
  it('lights the wall beside a long band as a strip without end does', () => {
    const [z0, z1, away, cdM2] = [6, 16, 20, 500];
    const long = [rectRing({ x: -4000, y: -200, width: 8000, height: 200 })];
    const area = { x: -10, y: away - 1, width: 20, height: 2 };
    const { lux } = wallGlow(edgeViews(long, [{ fromZMm: z0, toZMm: z1 }], area), [
      { places: [{ x: 0, y: 0 }], cdM2: Float64Array.of(cdM2) },
    ]);
    const [low, high] = [z0, z1].map((z) => Math.atan2(z, away)) as [number, number];
    const expected = ((Math.PI * cdM2) / 2) * (Math.cos(low) - Math.cos(high));
    expect(lux.reduce((sum, each) => sum + each, 0) / lux.length / expected).toBeCloseTo(1, 2);
  });

  it('is even round a disc, dark under it, and falls off away from it', () => {
    const area = { x: -220, y: -220, width: 440, height: 440 };
    const { grid, lux } = wallGlow(edgeViews([roundRing(140, 96)], [{ fromZMm: 6, toZMm: 16 }], area), [
      { places: [{ x: 0, y: 130 }], cdM2: Float64Array.of(300) },
    ]);
    const at = (x: number, y: number): number =>
      lux[Math.floor((y + 220) / grid.cellHeightMm) * grid.columns + Math.floor((x + 220) / grid.cellWidthMm)]!;
    expect(at(0, 0)).toBe(0);
    expect(at(160, 0) / at(0, 160)).toBeCloseTo(1, 1);
    expect(at(200, 0)).toBeLessThan(at(160, 0) / 2);
  });

  it('throws nothing where nothing glows', () => {
    const { lux } = wallGlow(edgeViews([roundRing(50)], [], { x: -90, y: -90, width: 180, height: 180 }), []);
    expect(lux.every((each) => each === 0)).toBe(true);
  });
});
