import { describe, expect, it } from '@jest/globals';
import { seededRandom, type Random } from '../maths/index.js';
import { diffuserOf, lobeNorm } from './diffuser.js';
import { directLuminance } from './direct.js';
import type { Emitters } from './emitters.js';
import { cosineExponent } from './emitters.js';
import { contrastSensitivity, contrastThreshold, vanishingDistance } from './eye.js';
import { firstLight } from './first-light.js';
import { boxFactors, parallelFactor, perpendicularFactor, sideAreas } from './form-factors.js';
import { faceView } from './configuration.js';
import { settle } from './interreflection.js';
import { findRipple } from './ripple.js';
import type { Grid } from './types.js';

/** The models against closed forms and independent sums. */

const gridOf = (width: number, height: number, columns: number, rows: number): Grid => ({
  columns,
  rows,
  area: { x: -width / 2, y: -height / 2, width, height },
  cellWidthMm: width / columns,
  cellHeightMm: height / rows,
});

const emittersAt = (places: readonly (readonly number[])[], exponent: number, flux = 1): Emitters => {
  const column = (index: number, otherwise: number) => Float64Array.from(places, (place) => place[index] ?? otherwise);
  return {
    count: places.length,
    x: column(0, 0),
    y: column(1, 0),
    z: column(2, 0),
    nx: column(3, 0),
    ny: column(4, 0),
    nz: column(5, 1),
    fluxLm: new Float64Array(places.length).fill(flux),
    exponent,
  };
};

const lambertian = { towardNormal: () => 1 / Math.PI, lambertian: true, imageShare: 0 };
/** Passes illuminance through as it is: lx in, the same number out. */
const luxMeter = { towardNormal: () => 1, lambertian: false, imageShare: 0 };

const at = (map: ArrayLike<number>, grid: Grid, column: number, row: number): number =>
  map[row * grid.columns + column]!;

describe('light of a single LED', () => {
  it.each([
    [120, 1],
    [90, 2],
    [60, 4.8188],
  ])('a beam of %d° has m = %d', (beam, exponent) => expect(cosineExponent(beam)).toBeCloseTo(exponent, 3));

  it.each([1, 2, 4.8])('is I₀ / h² straight ahead (m = %d)', (exponent) => {
    const grid = gridOf(3, 3, 3, 3);
    const map = directLuminance(emittersAt([[0, 0]], exponent), grid, 50, luxMeter);
    expect(at(map, grid, 1, 1)).toBeCloseTo((((exponent + 1) / (2 * Math.PI)) * 1e6) / 2500, 2);
  });

  it.each([1, 3.2])('falls off as cosᵐ⁺³ over the plane (m = %d)', (exponent) => {
    const grid = gridOf(401, 1, 401, 1);
    const map = directLuminance(emittersAt([[0, 0]], exponent), grid, 60, luxMeter);
    for (const away of [30, 60, 150]) {
      const cos = 60 / Math.hypot(60, away);
      expect(at(map, grid, 200 + away, 0) / at(map, grid, 200, 0)).toBeCloseTo(cos ** (exponent + 3), 5);
    }
  });

  it('gives all its flux to a very large plane', () => {
    const grid = gridOf(8000, 8000, 800, 800);
    const map = directLuminance(emittersAt([[0, 0]], 1, 100), grid, 60, luxMeter);
    const total = map.reduce((sum, lux) => sum + lux, 0) * (10 * 10) * 1e-6;
    // A Lambertian source gives r²/(r²+h²) of its flux to a disc; the square holds between its two circles.
    expect(total / 100).toBeGreaterThan(4000 ** 2 / (4000 ** 2 + 60 ** 2) - 0.001);
    expect(total / 100).toBeLessThan(1.001);
  });

  it('facing along the plane, lights only what lies ahead: I₀ s h / d⁴ for m = 1', () => {
    const grid = gridOf(201, 1, 201, 1);
    const map = directLuminance(emittersAt([[0, 0, 0, 1, 0, 0]], 1), grid, 40, luxMeter);
    const away = 70;
    const d2 = away * away + 40 * 40;
    expect(at(map, grid, 100 + away, 0)).toBeCloseTo(((1 / Math.PI) * 1e6 * away * 40) / (d2 * d2), 1);
    expect(at(map, grid, 100 - away, 0)).toBe(0);
  });
});

describe('light of many LEDs', () => {
  it.each([1, 2, 4])('two LEDs at 2h/√(m+4) apart are flat in the middle (m = %d)', (exponent) => {
    const h = 50;
    const curvature = (spacing: number): number => {
      const grid = gridOf(3, 1, 3, 1);
      const map = directLuminance(
        emittersAt(
          [
            [-spacing / 2, 0],
            [spacing / 2, 0],
          ],
          exponent,
        ),
        grid,
        h,
        luxMeter,
      );
      return (at(map, grid, 0, 0) - 2 * at(map, grid, 1, 0) + at(map, grid, 2, 0)) / at(map, grid, 1, 0);
    };
    const flat = (2 * h) / Math.sqrt(exponent + 4);
    expect(Math.abs(curvature(flat))).toBeLessThan(2e-5);
    expect(curvature(flat * 0.9)).toBeLessThan(0);
    expect(curvature(flat * 1.1)).toBeGreaterThan(0);
  });

  it('a long line of Lambertian LEDs gives Φ′ h² / (2 (h²+y²)^1.5)', () => {
    const h = 40;
    const perMm = 0.5;
    const line = Array.from({ length: 8001 }, (_, index) => [index - 4000, 0]);
    const grid = gridOf(1, 161, 1, 161);
    const map = directLuminance(emittersAt(line, 1, perMm), grid, h, luxMeter);
    for (const y of [0, 20, 60]) {
      // ∫ I₀h²/(x²+h²+y²)² dx with I₀ = Φ′/π is Φ′h² / (2 (h²+y²)^1.5).
      const expected = ((perMm * h * h) / (2 * (h * h + y * y) ** 1.5)) * 1e6;
      expect(at(map, grid, 0, 80 + y) / expected).toBeCloseTo(1, 3);
    }
  });

  it('a finite line falls to half at its end', () => {
    const line = Array.from({ length: 4001 }, (_, index) => [index + 0.5, 0]);
    const grid = { ...gridOf(1, 1, 1, 1), area: { x: -0.5, y: -0.5, width: 1, height: 1 } };
    const end = directLuminance(emittersAt(line, 1), grid, 30, luxMeter)[0]!;
    const middle = directLuminance(
      emittersAt(
        line.map(([x]) => [x! - 2000, 0]),
        1,
      ),
      grid,
      30,
      luxMeter,
    )[0]!;
    expect(end / middle).toBeCloseTo(0.5, 2);
  });

  it('the tabulated law and the exact one agree for m = 1', () => {
    const grid = gridOf(600, 300, 60, 30);
    const random = seededRandom(9);
    const places = Array.from({ length: 40 }, () => [random() * 600 - 300, random() * 300 - 150]);
    const exact = directLuminance(emittersAt(places, 1), grid, 45, lambertian);
    const tabulated = directLuminance(emittersAt(places, 1), grid, 45, { ...lambertian, lambertian: false });
    exact.forEach((value, index) => expect(tabulated[index]! / value).toBeCloseTo(1, 3));
  });
});

describe('form factors', () => {
  /** Share of cosine-weighted rays from a rectangle in z = 0 that meet a target, by throwing them. */
  const thrown = (
    a: number,
    b: number,
    meets: (x: number, y: number, dx: number, dy: number, dz: number) => boolean,
    random: Random,
  ): number => {
    const rays = 60_000;
    let hits = 0;
    for (let ray = 0; ray < rays; ray += 1) {
      const [x, y] = [random() * a, random() * b];
      const sin = Math.sqrt(random());
      const turn = 2 * Math.PI * random();
      if (meets(x, y, sin * Math.cos(turn), sin * Math.sin(turn), Math.sqrt(1 - sin * sin))) hits += 1;
    }
    return hits / rays;
  };

  it('between unit squares a unit apart is 0.1998', () => expect(parallelFactor(1, 1, 1)).toBeCloseTo(0.1998, 4));
  it('between unit squares at a right angle is 0.2000', () =>
    expect(perpendicularFactor(1, 1, 1)).toBeCloseTo(0.20004, 4));

  it('parallel agrees with thrown rays', () => {
    const [a, b, c] = [3, 1, 0.7];
    const rays = thrown(
      a,
      b,
      (x, y, dx, dy, dz) => {
        const [u, v] = [x + (dx * c) / dz, y + (dy * c) / dz];
        return u >= 0 && u <= a && v >= 0 && v <= b;
      },
      seededRandom(1),
    );
    expect(Math.abs(parallelFactor(a, b, c) - rays)).toBeLessThan(0.006);
  });

  it('perpendicular agrees with thrown rays', () => {
    const [width, height, edge] = [2, 0.5, 3];
    const rays = thrown(
      width,
      edge,
      (x, y, dx, dy, dz) => {
        if (dx >= 0) return false;
        const time = -x / dx;
        const [v, z] = [y + dy * time, dz * time];
        return v >= 0 && v <= edge && z <= height;
      },
      seededRandom(2),
    );
    expect(Math.abs(perpendicularFactor(width, height, edge) - rays)).toBeLessThan(0.006);
  });

  it.each([
    [900, 300, 60],
    [100, 100, 100],
    [3000, 40, 500],
    [40, 40, 1000],
  ])('in a box %d × %d × %d every row sums to one and areas answer each other', (widthMm, heightMm, depthMm) => {
    const box = { widthMm, heightMm, depthMm };
    const [factors, areas] = [boxFactors(box), sideAreas(box)];
    factors.forEach((row, i) => {
      expect(row.reduce((sum, factor) => sum + factor, 0)).toBeCloseTo(1, 9);
      row.forEach((factor, j) => expect((factor * areas[i]!) / areas[j]!).toBeCloseTo(factors[j]![i]!, 9));
    });
  });

  it('what the face sees of a return, cell by cell, has the form factor as its mean', () => {
    const box = { widthMm: 400, heightMm: 200, depthMm: 70 };
    const { left, bottom } = faceView(gridOf(400, 200, 200, 100), box);
    const mean = (map: Float32Array) => map.reduce((sum, share) => sum + share, 0) / map.length;
    const face = boxFactors(box)[1]!;
    expect(mean(left)).toBeCloseTo(face[2]!, 3);
    expect(mean(bottom)).toBeCloseTo(face[4]!, 3);
  });
});

describe('light settled in a closed box', () => {
  const box = { widthMm: 600, heightMm: 300, depthMm: 80 };
  const finish = (reflectance: number) => ({ reflectance, transmittance: 0 });

  it('all alike and grey: each side receives Φ / (6 ρ′) as the sum of a geometric series', () => {
    const cube = { widthMm: 100, heightMm: 100, depthMm: 100 };
    const { incidentLm } = settle(
      cube,
      [1, 1, 1, 1, 1, 1],
      Array.from({ length: 6 }, () => finish(0.8)),
    );
    incidentLm.forEach((flux) => expect(flux).toBeCloseTo(1 / (1 - 0.8), 9));
  });

  it.each([0, 0.3, 0.88, 0.97])('balances: absorbed and passed equal emitted, linings of %d', (lining) => {
    const face = { reflectance: 0.45, transmittance: 0.45 };
    const finishes = [finish(lining), face, ...Array.from({ length: 4 }, () => finish(lining))];
    const first = [0, 60, 10, 10, 12, 8];
    const { incidentLm } = settle(box, first, finishes);
    const kept = incidentLm.reduce((sum, flux, side) => sum + flux * (1 - finishes[side]!.reflectance), 0);
    expect(kept).toBeCloseTo(100, 9);
  });

  it('black everywhere leaves only the first light', () => {
    const { incidentLm } = settle(
      box,
      [1, 2, 3, 4, 5, 6],
      Array.from({ length: 6 }, () => finish(0)),
    );
    incidentLm.forEach((flux, side) => expect(flux).toBeCloseTo(side + 1, 12));
  });

  it('first light: every ray lands, and what the face gets is the sum over the raster', () => {
    const emitters = emittersAt(
      [
        [-200, 60, 3],
        [0, 0, 3],
        [250, -100, 3],
      ],
      1,
      50,
    );
    const received = firstLight(emitters, box);
    expect(received.reduce((sum, flux) => sum + flux, 0)).toBeCloseTo(150, 6);
    const grid = gridOf(600, 300, 300, 150);
    const raster = directLuminance(emitters, grid, 80, luxMeter).reduce((sum, lux) => sum + lux, 0) * 4e-6;
    expect(received[1]! / raster).toBeCloseTo(1, 2);
  });
});

describe('the diffuser', () => {
  const sheet = (sigmaDeg: number, hazeShare: number) =>
    diffuserOf({ transmittance: 0.8, scatter: { kind: 'lobe', sigmaDeg, hazeShare } } as Parameters<
      typeof diffuserOf
    >[0]);

  it('a very wide lobe is Lambertian: τ/π from every side', () => {
    expect(lobeNorm(1000)).toBeCloseTo(Math.PI, 4);
    expect(sheet(60_000, 1).towardNormal(0.3)).toBeCloseTo(0.8 / Math.PI, 4);
  });

  it('a narrow lobe favours light from straight behind, and its image share is what haze leaves', () => {
    const narrow = sheet(12, 0.8);
    expect(narrow.towardNormal(1)).toBeGreaterThan(5 * narrow.towardNormal(0.8));
    expect(narrow.imageShare).toBeCloseTo(0.16, 9);
  });
});

describe('ripple at a pitch', () => {
  const blurred = (grid: Grid, pitch: number, amplitude: number, slope: number): Float64Array =>
    Float64Array.from({ length: grid.columns * grid.rows }, (_, index) => {
      const y = grid.area.y + (Math.floor(index / grid.columns) + 0.5) * grid.cellHeightMm;
      return (1 + amplitude * Math.cos((2 * Math.PI * y) / pitch)) * (1 + slope * y);
    });

  it.each([0.002, 0.02, 0.2])('finds a contrast of %d whatever the slope under it', (amplitude) => {
    const grid = gridOf(10, 400, 2, 200);
    for (const slope of [0, 0.0008]) {
      const found = findRipple(blurred(grid, 57.3, amplitude, slope), grid, 'y', 57.3, () => true);
      expect(found.contrast / amplitude).toBeGreaterThan(0.97);
      expect(found.contrast / amplitude).toBeLessThan(1.03 + (slope * 4) / amplitude / 1000);
    }
  });

  it('of an infinite comb of Lambertian rows is 2 kh K₁(kh) of the mean', () => {
    const [h, pitch] = [60, 80];
    const rows = Array.from({ length: 61 }, (_, row) => (row - 30) * pitch);
    const grid = gridOf(1, 240, 1, 240);
    const map = Float64Array.from({ length: 240 }, (_, row) => {
      const y = grid.area.y + row + 0.5;
      return rows.reduce((sum, place) => sum + (h * h) / (h * h + (y - place) ** 2) ** 1.5, 0);
    });
    // K₁ by its integral: ∫ exp(−z cosh t) cosh t dt.
    const z = (2 * Math.PI * h) / pitch;
    let bessel = 0;
    for (let t = 0; t < 12; t += 1e-3) bessel += Math.exp(-z * Math.cosh(t)) * Math.cosh(t) * 1e-3;
    expect(findRipple(map, grid, 'y', pitch, () => true).contrast / (2 * z * bessel)).toBeCloseTo(1, 1);
  });

  it('has nothing to say without room for a pitch', () => {
    const grid = gridOf(10, 40, 2, 20);
    expect(findRipple(blurred(grid, 57, 0.3, 0), grid, 'y', 57, () => true)).toEqual({ contrast: 0, index: -1 });
  });
});

describe('the eye', () => {
  it('is most sensitive between 2 and 8 cycles a degree in good light, less on either side', () => {
    const at = (cycles: number) => contrastSensitivity(cycles, 100, 10);
    const best = Math.max(...[2, 3, 4, 5, 6, 8].map(at));
    expect(best).toBeGreaterThan(200);
    expect(best).toBeLessThan(800);
    expect(at(0.3)).toBeLessThan(best / 2);
    expect(at(30)).toBeLessThan(best / 10);
  });

  it('sees less in less light', () => {
    expect(contrastSensitivity(4, 1, 10)).toBeLessThan(contrastSensitivity(4, 100, 10));
  });

  it('meets its own threshold at the vanishing distance, for any ripple', () => {
    const random = seededRandom(12);
    for (let turn = 0; turn < 60; turn += 1) {
      const ripple = { pitchMm: 5 + random() * 150, luminance: 5 + random() * 3000, faceMm: 100 + random() * 1500 };
      const contrast = 0.004 + random() * 0.5;
      const distance = vanishingDistance(ripple, contrast);
      expect(contrastThreshold(ripple, distance) / contrast).toBeCloseTo(1, 3);
      expect(contrastThreshold(ripple, distance * 1.2)).toBeGreaterThan(contrast);
    }
  });

  it('never sees what is not there', () => {
    expect(vanishingDistance({ pitchMm: 80, luminance: 500, faceMm: 500 }, 0)).toBe(0);
  });
});
