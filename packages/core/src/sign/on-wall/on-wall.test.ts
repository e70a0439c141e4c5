import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import {
  aspectOf,
  quadMap,
  quadPlace,
  type Corners,
  type Photo,
  type PicturePoint,
} from '../../light/photograph/index.js';
import { demoDesigns } from '../demo/index.js';
import { signEvaluatedCoarsely, testFonts } from '../../testing/harness.js';
import type { Evaluation } from '../evaluate/index.js';
import { pictureOnWall, wallHeightMm, wallProblem, wallRectangle, type WallSetup } from './index.js';

let fonts: FontBook;
let box: Evaluation;
let letters: Evaluation;
beforeAll(async () => {
  fonts = await testFonts();
  box = signEvaluatedCoarsely(demoDesigns.dispensary, fonts);
  letters = signEvaluatedCoarsely(demoDesigns.curlew, fonts);
});

/** Corners of a rectangle w × h (mm), turned about both axes, as a camera of this focal length (px) sees it from so far. */
const seenBy = (
  w: number,
  h: number,
  yaw: number,
  pitch: number,
  focal: number,
  far: number,
  size: number,
): Corners => {
  const corner = (x: number, y: number): PicturePoint => {
    const [x1, z1] = [x * Math.cos(yaw), x * Math.sin(yaw)];
    const [y2, z2] = [y * Math.cos(pitch) - z1 * Math.sin(pitch), y * Math.sin(pitch) + z1 * Math.cos(pitch)];
    const depth = far + z2;
    return [size / 2 + (focal * x1) / depth, size / 2 + (focal * y2) / depth];
  };
  return [corner(-w / 2, -h / 2), corner(w / 2, -h / 2), corner(w / 2, h / 2), corner(-w / 2, h / 2)];
};

const grey = (width: number, height: number, byte: number): Photo => {
  const data = new Uint8ClampedArray(4 * width * height).fill(byte);
  return { width, height, data };
};
/** Straight on: half a millimetre a pixel, the rectangle fills the picture. */
const straight = (photo: Photo, more: Partial<WallSetup> = {}): WallSetup => ({
  corners: [
    [0, 0],
    [photo.width, 0],
    [photo.width, photo.height],
    [0, photo.height],
  ],
  widthMm: 4 * photo.width,
  middleMm: [2 * photo.width, 2 * photo.height],
  taken: 'day',
  ...more,
});
const shown = (photo: Photo, setup: WallSetup, sign: Evaluation, by: 'day' | 'night') => {
  const result = pictureOnWall(photo, setup, sign, by);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  const { width, data } = result.value;
  return (x: number, y: number): number => data[4 * (Math.round(y) * width + Math.round(x)) + 1]!;
};

describe('a rectangle on a wall', () => {
  it.each([
    [0.4, 0.3, 900],
    [-0.5, 0.25, 700],
    [0.3, -0.6, 1400],
  ])('tells its sides’ ratio by its corners, turned by %f and %f', (yaw, pitch, focal) => {
    const corners = seenBy(1600, 900, yaw, pitch, focal, 3000, 1200);
    expect(aspectOf(corners, 1200, 1200)).toBeCloseTo(16 / 9, 6);
    const picture = { width: 1200, height: 1200 };
    expect(wallHeightMm({ corners, widthMm: 1600 }, picture)).toBeCloseTo(900, 2);
    // What was measured needs no working out.
    expect(wallHeightMm({ corners, widthMm: 1600, heightMm: 910 }, picture)).toBe(910);
  });

  it('tells it straight on, and hardly turned, to a few per cent', () => {
    expect(aspectOf(seenBy(1600, 900, 0, 0, 900, 3000, 1200), 1200, 1200)).toBeCloseTo(16 / 9, 9);
    const turned = aspectOf(seenBy(1600, 900, 0.3, 0, 900, 3000, 1200), 1200, 1200);
    expect(Math.abs(turned / (16 / 9) - 1)).toBeLessThan(0.03);
  });

  it('is found again from where it is seen', () => {
    const corners = seenBy(1600, 900, 0.4, 0.3, 900, 3000, 1200);
    const [there, back] = [quadMap(corners), quadPlace(corners)];
    for (const [u, v] of [
      [0, 0],
      [0.3, 0.9],
      [1.4, -0.2],
    ] as const) {
      const place = back(...there(u, v))!;
      expect(place[0]).toBeCloseTo(u, 9);
      expect(place[1]).toBeCloseTo(v, 9);
    }
    // Beyond its horizon there is no wall.
    expect(quadPlace(seenBy(1600, 900, 1.3, 0, 900, 3000, 1200))(40_000, 600)).toBeNull();
  });

  it('is refused where it cannot be, with what to do', () => {
    const photo = grey(300, 200, 128);
    const setup = straight(photo);
    const [a, b, c, d] = setup.corners;
    const problem = (more: Partial<WallSetup>): string => wallProblem({ ...setup, ...more }, photo)?.message ?? '';
    expect(problem({})).toBe('');
    expect(problem({ corners: [b, a, c, d] })).toContain('go round no rectangle');
    expect(problem({ corners: [a, [301, 0], c, d] })).toContain('go round no rectangle');
    expect(
      problem({
        corners: [
          [0, 0],
          [10, 0],
          [10, 10],
          [0, 10],
        ],
      }),
    ).toContain('larger');
    expect(problem({ widthMm: 3 })).toContain('50');
    expect(problem({ widthMm: Number.NaN })).toContain('50');
    expect(problem({ heightMm: 3 })).toContain('50');
  });
});

describe('a sign in a photograph of its wall', () => {
  it('stands where it was put, as large as it is', () => {
    const photo = grey(480, 320, 200);
    const setup = straight(photo, { middleMm: [700, 500] });
    const at = shown(photo, setup, box, 'day');
    const { width, height } = box.bounds;
    const [left, top, right] = wallRectangle(setup, photo, setup.middleMm, box.bounds);
    expect(left[0]).toBeCloseTo((700 - width / 2) / 4, 6);
    expect(left[1]).toBeCloseTo((500 - height / 2) / 4, 6);
    expect(top[0] - left[0]).toBeCloseTo(width / 4, 6);
    expect(right[1] - top[1]).toBeCloseTo(height / 4, 6);
    // The case is darker than this wall, its face is not.
    const wall = at(470, 310);
    expect(at(left[0] + 1.5, (left[1] + right[1]) / 2)).toBeLessThan(wall - 20);
    expect(at(left[0] + 6, (left[1] + right[1]) / 2)).not.toBe(wall);
    expect(at(left[0] - 3, (left[1] + right[1]) / 2)).toBe(wall);
    expect(at(right[0] + 3, 20)).toBe(wall);
  });

  it('shows the photograph as it is far from the sign, dimmer by night', () => {
    const photo = grey(480, 320, 128);
    const day = shown(photo, straight(photo), box, 'day')(2, 2);
    const night = shown(photo, straight(photo), box, 'night')(2, 2);
    expect(Math.abs(day - 128)).toBeLessThan(16);
    expect(night).toBeLessThan(day - 20);
  });

  it('lights the wall as that wall throws light back', () => {
    const glowOn = (byte: number): number => {
      const photo = grey(480, 320, byte);
      const setup = straight(photo);
      const at = shown(photo, setup, letters, 'night');
      const [, , right] = wallRectangle(setup, photo, setup.middleMm, letters.bounds);
      return at(240, right[1] + 2) - at(2, 2);
    };
    expect(glowOn(200)).toBeGreaterThan(20);
    expect(glowOn(90)).toBeGreaterThan(5);
    expect(glowOn(90)).toBeLessThan(glowOn(200));
  });

  it('that was taken after dark is not shown by day', () => {
    const photo = grey(300, 200, 128);
    const setup = straight(photo, { taken: 'night' });
    const day = pictureOnWall(photo, setup, box, 'day');
    expect(day.ok ? '' : day.problems[0]!.message).toContain('after dark');
    expect(pictureOnWall(photo, setup, box, 'night').ok).toBe(true);
  });
});
