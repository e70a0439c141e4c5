import type { Ambient } from '../../document/design/index.js';
import { toLinear } from '../../light/colour/index.js';
import { quadPlace, type Photo } from '../../light/photograph/index.js';
import { failure, success, type Result } from '../../base/result.js';
import {
  byteOf,
  exposureFor,
  gainOn,
  signOver,
  wallBehind,
  type Picture,
  type PicturedSign,
} from '../picture/index.js';
import { wallHeightMm, wallProblem } from './setup.js';
import type { WallLight, WallSetup } from './types.js';

/** The light of the place that stands for each. */
const ambientOf: Readonly<Record<WallLight, Ambient>> = { day: 'overcast', night: 'evening' };

/** White paper throws back so much; it is taken for the white of the picture. */
const paperReflects = 0.9;
/** Nothing on a wall is darker than this: of less no light can be told. */
const leastReflects = 0.005;

/** Places that are looked at in each pixel of the sign, across and down. */
const samples = 2;
/** Round the sign its light is looked at so far, as a share of its longer side. */
const reachShare = 1.2;

const linearOf: Float64Array = Float64Array.from({ length: 256 }, (_, byte) => toLinear(byte / 255));

/**
 * A sign in a photograph of its wall, by day unlit or lit, by night lit. What the picture shows counts as what is there:
 * its white as white paper, so that each place throws back a share of the light of the place, and the same share of the
 * sign’s. The sign lies flat on the wall: its depth, and shadows it throws by day, are left out. A picture that was taken
 * after dark can only be shown by night. Fails, with what to do, where the corners or the size cannot be.
 */
export const pictureOnWall = (
  photo: Photo,
  setup: WallSetup,
  { assemblies, bounds }: PicturedSign,
  by: WallLight,
): Result<Picture> => {
  const { width, height, data } = photo;
  const wrong =
    wallProblem(setup, photo) ??
    (by === 'day' && setup.taken === 'night'
      ? { path: 'taken', message: 'a picture that was taken after dark does not show the wall by day' }
      : null);
  if (wrong !== null) return failure(wrong);
  const ambient = ambientOf[by];
  const exposure = exposureFor(assemblies, ambient, true);
  const perReflects = exposure.lux / Math.PI;
  const own = new Float64Array(3);
  const wall = wallBehind(assemblies);
  const over = signOver(assemblies, {
    lit: true,
    lux: exposure.lux,
    wallShare: (_, channel) => own[channel]! / Math.max(leastReflects, wall[channel]!),
  });
  const heightMm = wallHeightMm(setup, photo);
  const placeOf = quadPlace(setup.corners);
  const reach = reachShare * Math.max(bounds.width, bounds.height);
  const middle = [bounds.x + bounds.width / 2, bounds.y + bounds.height / 2] as const;
  const near = (x: number, y: number): boolean =>
    Math.abs(x - middle[0]) < bounds.width / 2 + reach && Math.abs(y - middle[1]) < bounds.height / 2 + reach;
  /** The place of the sign that is seen at a place of the picture (mm); null where the wall is not. */
  const signPlace = (px: number, py: number): readonly [number, number] | null => {
    const place = placeOf(px, py);
    if (place === null) return null;
    return [
      place[0] * setup.widthMm - setup.middleMm[0] + middle[0],
      setup.middleMm[1] - place[1] * heightMm + middle[1],
    ];
  };
  const shown = new Uint8ClampedArray(width * height * 4);
  const seen = new Float64Array(4);
  const sums = new Float64Array(3);
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) {
      const at = 4 * (row * width + column);
      for (let channel = 0; channel < 3; channel += 1)
        own[channel] = Math.max(leastReflects, paperReflects * linearOf[data[at + channel]!]!);
      const centre = signPlace(column + 0.5, row + 0.5);
      const count = centre !== null && near(...centre) ? samples : 1;
      sums.fill(0);
      for (let sample = 0; sample < count ** 2; sample += 1) {
        for (let channel = 0; channel < 3; channel += 1) seen[channel] = perReflects * own[channel]!;
        seen[3] = 0;
        if (count > 1) {
          const place = signPlace(
            column + ((sample % samples) + 0.5) / samples,
            row + (Math.floor(sample / samples) + 0.5) / samples,
          );
          if (place !== null) over(...place, seen);
        }
        const gain = gainOn(exposure, seen[3] === 0 ? Math.max(seen[0]!, seen[1]!, seen[2]!) : seen[3]);
        for (let channel = 0; channel < 3; channel += 1) sums[channel]! += seen[channel]! * gain;
      }
      for (let channel = 0; channel < 3; channel += 1) shown[at + channel] = byteOf(sums[channel]! / count ** 2);
      shown[at + 3] = 255;
    }
  return success({ width, height, data: shown });
};
