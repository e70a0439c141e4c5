import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import { bandLuminance, coverFor, gapToTellApart, grooveLight, pitchLeft, spillAt } from './index.js';

describe('the band of a line', () => {
  it('gives off over its half space what it is fed', () => {
    // π L times the skin: w of a flat cover, π D / 2 of a dome.
    expect((Math.PI * bandLuminance(0.5, 12, 'flat') * 12) / 1e6).toBeCloseTo(0.5, 12);
    expect((Math.PI * bandLuminance(0.5, 12, 'dome') * ((Math.PI * 12) / 2)) / 1e6).toBeCloseTo(0.5, 12);
    expect(bandLuminance(0.5, 12, 'bare')).toBe(bandLuminance(0.5, 12, 'flat'));
  });

  it.each([
    [8.33, 4],
    [16.67, 8],
    [16.67, 16],
    [10, 2],
  ])('of LEDs %d mm apart, %d mm under their cover, keeps the first harmonic of a sum over LEDs', (pitch, depth) => {
    // Illuminance along the middle by LEDs at every pitch: d² / (x² + d²)².
    const steps = 400;
    let [mean, wave] = [0, 0];
    for (let step = 0; step < steps; step += 1) {
      const x = (step / steps) * pitch;
      let lux = 0;
      for (let led = -400; led <= 400; led += 1) lux += depth ** 2 / ((x - led * pitch) ** 2 + depth ** 2) ** 2;
      mean += lux / steps;
      wave += (2 * lux * Math.cos((2 * Math.PI * x) / pitch)) / steps;
    }
    expect(wave / mean / pitchLeft(pitch, depth)).toBeCloseTo(1, 4);
  });

  it('says how deep strip lies for its dots to go', () => {
    const depth = coverFor(16.67, 0.05);
    expect(pitchLeft(16.67, depth)).toBeCloseTo(0.05, 9);
    // About nine tenths of the pitch.
    expect(depth / 16.67).toBeGreaterThan(0.8);
    expect(depth / 16.67).toBeLessThan(1);
  });
});

/** Photons of a Lambertian line along the middle of the floor, followed in the plane across the groove. */
const traced = (
  width: number,
  depth: number,
  floor: number,
  wall: number,
  photons: number,
): readonly [number, number] => {
  const random = seededRandom(3);
  let [straight, out] = [0, 0];
  for (let photon = 0; photon < photons; photon += 1) {
    let [x, y] = [0, 0];
    // In two dimensions a Lambertian surface sends sines of its angle evenly.
    let sine = 2 * random() - 1;
    let [dx, dy] = [sine, Math.sqrt(1 - sine * sine)];
    for (let hit = 0; hit < 200; hit += 1) {
      const toSide = dx === 0 ? Infinity : ((dx > 0 ? width / 2 : -width / 2) - x) / dx;
      const toLevel = dy === 0 ? Infinity : ((dy > 0 ? depth : 0) - y) / dy;
      const way = Math.min(toSide, toLevel);
      x += dx * way;
      y += dy * way;
      if (way === toLevel && dy > 0) {
        out += 1;
        if (hit === 0) straight += 1;
        break;
      }
      const onWall = way === toSide;
      if (random() > (onWall ? wall : floor)) break;
      sine = 2 * random() - 1;
      const cosine = Math.sqrt(1 - sine * sine);
      [dx, dy] = onWall ? [(x > 0 ? -1 : 1) * cosine, sine] : [sine, cosine];
    }
  }
  return [straight / photons, out / photons];
};

describe('strip in a groove', () => {
  it.each([
    [10, 8, 0.5, 0.3],
    [14, 6, 0.7, 0.7],
    [8, 16, 0.4, 0.8],
    [12, 12, 0, 0],
  ])('%d mm wide, %d mm deep gives off what photons do in two dimensions', (width, depth, floor, wall) => {
    const { straight, out, absorbed } = grooveLight({
      widthMm: width,
      depthMm: depth,
      floorReflects: floor,
      wallsReflect: wall,
    });
    const photons = 40_000;
    const [direct, all] = traced(width, depth, floor, wall, photons);
    expect(Math.abs(straight - direct)).toBeLessThan(4 * Math.sqrt(0.25 / photons));
    // Its stretches are lit evenly, the photons’ walls are not.
    expect(Math.abs(out / all - 1)).toBeLessThan(0.01 + 3 * Math.sqrt((1 - all) / (all * photons)));
    expect(straight).toBeLessThanOrEqual(out);
    expect(out + absorbed).toBeCloseTo(1, 6);
  });

  it('flush with the face gives off all', () => {
    expect(grooveLight({ widthMm: 10, depthMm: 0, floorReflects: 0, wallsReflect: 0 }).out).toBe(1);
  });
});

describe('what a line throws on a plane', () => {
  it('is a sum over its pieces, at any place', () => {
    const band = { from: [0, 0], to: [120, 50], offMm: 18, lmPerMm: 0.6 } as const;
    const steps = 20_000;
    const length = Math.hypot(120, 50);
    for (const [x, y] of [
      [60, 25],
      [-30, 40],
      [130, -10],
    ] as const) {
      let lux = 0;
      for (let step = 0; step < steps; step += 1) {
        const s = (step + 0.5) / steps;
        const away2 = (x - 120 * s) ** 2 + (y - 50 * s) ** 2 + 18 ** 2;
        lux += ((0.6 * length) / steps / Math.PI) * (18 ** 2 / away2 ** 2) * 1e6;
      }
      expect(spillAt(band, [x, y]) / lux).toBeCloseTo(1, 5);
    }
  });

  it('adds up over the plane to what the line gives', () => {
    const band = { from: [-20, 0], to: [20, 0], offMm: 10, lmPerMm: 0.6 } as const;
    let lm = 0;
    for (let x = -1500; x < 1500; x += 5)
      for (let y = -1500; y < 1500; y += 5) lm += (spillAt(band, [x + 2.5, y + 2.5]) * 25) / 1e6;
    expect(lm / (0.6 * 40)).toBeGreaterThan(0.99);
    expect(lm / (0.6 * 40)).toBeLessThan(1.001);
  });
});

describe('lines beside each other', () => {
  it('are told apart by two minutes of arc, four where they dazzle', () => {
    expect(gapToTellApart(3000, 20)).toBeCloseTo(1.745, 3);
    expect(gapToTellApart(3000, 400)).toBeCloseTo(3.491, 3);
    expect(gapToTellApart(3000, 20, 1)).toBeCloseTo(0.873, 3);
  });
});
