import { describe, expect, it } from '@jest/globals';
import { gridOver } from '../../base/raster/index.js';
import { inPlace } from '../../base/placing/index.js';
import type { Front } from '../../builds/index.js';
import type { Ambient } from '../../document/design/index.js';
import { ambients, type Glow } from '../../light/glow/index.js';
import type { LinearRgb } from '../../light/colour/index.js';
import { levelFactor, whiteShown } from './adaptation.js';
import {
  addGlare,
  exposureFor,
  glareOf,
  renderFace,
  sceneBehind,
  shapeColour,
  surfaceColour,
  wallBehind,
  type PlacedFront,
  type Viewer,
} from './index.js';

const area = { x: -300, y: -150, width: 600, height: 300 };
const grid = gridOver(area, 300, 150);
const pitchMm = 40;
const white: LinearRgb = [1, 1, 1];
const wall: LinearRgb = [0.8, 0.8, 0.8];
const navy: LinearRgb = [0.02, 0.03, 0.09];
const letterHalf = 60;

const rect = (half: number) => ({ x: -half, y: -half, width: 2 * half, height: 2 * half });

/** What these tests need of a glow: its map, its mean and its ripple. */
const glowOf = (luminance: Float32Array, letters: Float32Array, mean: number, high: number, rgb: LinearRgb): Glow =>
  ({
    grid,
    luminance,
    letters,
    drift: null,
    evenness: { meanCdM2: mean, highCdM2: high, dots: { pitchMm } },
    faceReflectance: rgb[1],
    unlitRgb: rgb,
  }) as unknown as Glow;

const each = (value: (x: number, y: number) => number): Float32Array =>
  Float32Array.from({ length: grid.columns * grid.rows }, (_, cell) =>
    value(
      area.x + ((cell % grid.columns) + 0.5) * grid.cellWidthMm,
      area.y + (Math.floor(cell / grid.columns) + 0.5) * grid.cellHeightMm,
    ),
  );

const frontOf = (lights: Front['lights']): Front => ({
  lights,
  seenHue: white,
  cover: { passes: [0, 0, 0], reflects: navy },
  covered: 'letters',
  clip: null,
  rim: null,
  shapes: [],
  fitted: lights === 'itself' ? area : rect(letterHalf),
  body: [],
  profile: 'everywhere',
});

const rippleShare = 0.05;
const rippled = (x: number): number => 1 + rippleShare * Math.cos((2 * Math.PI * x) / pitchMm);

/** A face of 300 cd/m² with a ripple of 5 % and no letters. */
const face: PlacedFront = {
  glow: glowOf(
    each((x) => 300 * rippled(x)),
    each(() => 0),
    300,
    315,
    [0.5, 0.5, 0.5],
  ),
  front: frontOf('itself'),
  placing: inPlace,
};

/** A square navy letter on a white wall, which it lights with 200 cd/m² at its edge, less with every 20 mm, and the ripple. */
const fromEdge = (x: number, y: number): number => Math.max(Math.abs(x), Math.abs(y)) - letterHalf;
const halo: PlacedFront = {
  glow: glowOf(
    each((x, y) => 200 * Math.exp(-Math.max(0, fromEdge(x, y)) / 20) * rippled(x)),
    each((x, y) => (fromEdge(x, y) < 0 ? 1 : 0)),
    200,
    210,
    wall,
  ),
  front: frontOf('ground'),
  placing: inPlace,
};

const linear = (byte: number): number => {
  const share = byte / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
};
const greenOf = (css: string): number => Number([...css.matchAll(/\d+/g)][1]![0]);

const seen = (own: PlacedFront, ambient: Ambient, lit = true, viewer: Viewer = 'eye') => {
  const exposure = exposureFor([own], ambient, lit, viewer);
  const glare = lit && viewer === 'eye' ? glareOf([own], 5000) : null;
  const behind = own.front.lights === 'ground' ? sceneBehind([own], 0, { lit, lux: exposure.lux, glare }) : null;
  const picture = renderFace(own, ambient, lit, true, { exposure, behind });
  const at = (x: number, y: number): number => {
    const column = Math.floor((x - area.x) / grid.cellWidthMm);
    const row = grid.rows - 1 - Math.floor((y - area.y) / grid.cellHeightMm);
    return picture.data[4 * (row * grid.columns + column) + 1]!;
  };
  return { at, wall: greenOf(surfaceColour(wallBehind([own]), exposure)), exposure };
};

/** Michelson contrast of a ripple along x on the screen, by its first harmonic over whole pitches. */
const shownRipple = (at: (x: number, y: number) => number, y: number, pitches: number): number => {
  let [sum, cos, count] = [0, 0, 0];
  for (let x = -pitches * pitchMm * 0.5 + grid.cellWidthMm / 2; x < pitches * pitchMm * 0.5; x += grid.cellWidthMm) {
    const light = linear(at(x, y));
    sum += light;
    cos += light * Math.cos((2 * Math.PI * x) / pitchMm);
    count += 1;
  }
  return (2 * cos) / count / (sum / count);
};

/** Light that the ground gives back beside its own (cd/m²). */
const ambientOn = (own: PlacedFront, lux: number): number => (lux * own.glow.unlitRgb[1]) / Math.PI;

describe.each(ambients)('a known scene under the light of %s', (ambient) => {
  const bright = ambient === 'noon' || ambient === 'overcast' || ambient === 'shop';

  it('shows the wall far from the light as the place has it', () => {
    const byte = seen(halo, ambient).wall;
    if (bright) expect(Math.abs(byte - seen(halo, 'shop', false).wall)).toBeLessThan(14);
    if (bright) expect(byte).toBeGreaterThan(190);
    if (ambient === 'evening') expect(byte).toBeGreaterThan(50);
    if (ambient === 'evening') expect(byte).toBeLessThan(130);
    if (ambient === 'dark') expect(byte).toBeLessThan(25);
  });

  it('shows fronts of letters as the place has them, never lit by what is behind', () => {
    const [lit, unlit] = [seen(halo, ambient), seen(halo, ambient, false)].map(({ at }) => at(0, 0)) as [
      number,
      number,
    ];
    expect(lit).toBeLessThanOrEqual(unlit);
    if (bright) expect(unlit - lit).toBeLessThan(6);
    if (bright) expect(lit).toBeGreaterThan(35);
    if (ambient === 'evening') expect(lit).toBeGreaterThan(4);
    if (ambient === 'dark') expect(lit).toBeLessThan(6);
  });

  it('shows the glow brighter than the wall, falling off all the way, nowhere burnt out', () => {
    const { at, wall: far } = seen(halo, ambient);
    const along = [64, 74, 84, 94, 104].map((y) => at(-pitchMm * 0.25, y));
    expect([...along].sort((a, b) => b - a)).toEqual(along);
    if (ambient === 'noon') expect(along[0]! - far).toBeLessThan(8);
    else expect(along[0]).toBeGreaterThan(far);
    if (ambient === 'evening' || ambient === 'dark') expect(along[0]! - along[4]!).toBeGreaterThan(40);
    expect(Math.max(...along)).toBeLessThan(250);
  });

  it.each([
    ['a face', face, 0, 10],
    ['a lit wall', halo, 66, 2],
  ] as const)('keeps the contrast of the ripple in %s', (_, own, y, pitches) => {
    const { at, exposure } = seen(own, ambient);
    const light = y === 0 ? 300 : 200 * Math.exp(-6 / 20);
    const real = (rippleShare * light) / (light + ambientOn(own, exposure.lux));
    // A byte is about a per cent of light, which hides what is weaker.
    expect(Math.abs(shownRipple(at, y, pitches) - real)).toBeLessThan(0.15 * real + 0.0025);
  });

  it('shows a face as light, and does not let it burn out', () => {
    const { at, wall: far } = seen(face, ambient);
    if (!bright) expect(at(0, 0)).toBeGreaterThan(far + 60);
    expect(at(0, 0)).toBeGreaterThan(140);
    expect(at(0, 0)).toBeLessThan(252);
  });
});

describe('as a camera', () => {
  it('is exposed for what is brightest, and leaves the rest dark', () => {
    const { at, wall: far } = seen(halo, 'evening', true, 'camera');
    expect(at(0, 64)).toBeGreaterThan(200);
    expect(far).toBeLessThan(40);
    expect(seen(face, 'dark', true, 'camera').at(0, 0)).toBeGreaterThan(235);
  });

  it('loses nothing of the contrast: light is shown in proportion', () => {
    const { at } = seen(halo, 'dark', true, 'camera');
    expect(linear(at(5, 104)) / linear(at(5, 64))).toBeCloseTo(Math.exp(-40 / 20), 1);
  });
});

describe('adaptation', () => {
  it('has the level factors of the examples of CIECAM02', () => {
    expect(levelFactor(318.31)).toBeCloseTo(1.17, 2);
    expect(levelFactor(31.83)).toBeCloseTo(0.54, 2);
  });

  it('shows white paper as white from the light of a shop on, ever greyer below', () => {
    const shown = [0.03, 0.3, 1, 10, 31.84, 1000].map(whiteShown);
    expect([...shown].sort((a, b) => a - b)).toEqual(shown);
    expect(shown[0]).toBeLessThan(0.03);
    expect(shown.at(-1)).toBe(1);
  });
});

describe('glare', () => {
  it('is 10 E / θ² beside a sign, E at the eye and θ in degrees', () => {
    const [distance, offsetMm] = [20_000, 350];
    let expected = 0;
    for (let x = -295; x < 300; x += 10)
      for (let y = -145; y < 150; y += 10) {
        const lx = (300 * 0.01 * 0.01) / (distance / 1000) ** 2;
        const degrees = (Math.atan(Math.hypot(x, y - offsetMm) / distance) * 180) / Math.PI;
        expected += (10 * lx) / (degrees ** 2 + 1);
      }
    const into = new Float64Array(3);
    addGlare(glareOf([face], distance), 0, offsetMm, into);
    expect(into[1]! / expected).toBeGreaterThan(0.98);
    expect(into[1]! / expected).toBeLessThan(1.02);
  });

  it('fades to nothing at the border of what is drawn, and veils what stands beside the light alone', () => {
    const glare = glareOf([face], 5000);
    const into = new Float64Array(3);
    addGlare(glare, glare.area.x + 1, 0, into);
    expect(into[0]).toBeLessThan(0.01);
    const exposure = exposureFor([face], 'dark');
    const beside = { paint: { reflects: navy }, beside: true };
    const veiled = greenOf(shapeColour(face, beside, exposure, true, [2, 2, 2]));
    expect(veiled).toBeGreaterThan(
      greenOf(shapeColour(face, { ...beside, beside: false }, exposure, true, [2, 2, 2])) + 20,
    );
  });
});
