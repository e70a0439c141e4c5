import { aspectOf, isFaceOn, quadMap, type Corners, type PicturePoint } from '../../light/photograph/index.js';
import type { Problem } from '../../base/result.js';
import type { WallSetup } from './types.js';

/** What is no wall that a sign hangs on (mm). */
const widthRangeMm = [50, 50_000] as const;
/** A rectangle smaller than this in the picture tells no size (px). */
const leastSidePx = 24;
/** No rectangle of a wall is longer than this over its other side. */
const mostAspect = 40;

/** How high the rectangle on the wall is (mm): as it was measured, or by its width and its corners in a picture so large. */
export const wallHeightMm = (
  { corners, widthMm, heightMm }: Pick<WallSetup, 'corners' | 'widthMm' | 'heightMm'>,
  picture: { readonly width: number; readonly height: number },
): number => heightMm ?? widthMm / aspectOf(corners, picture.width, picture.height);

/** What is wrong with where a sign is to hang in a picture so large; null where nothing is. */
export const wallProblem = (
  setup: WallSetup,
  picture: { readonly width: number; readonly height: number },
): Problem | null => {
  const { corners, widthMm, heightMm } = setup;
  const inPicture = corners.every(([x, y]) => x >= 0 && y >= 0 && x <= picture.width && y <= picture.height);
  if (!inPicture || !isFaceOn(corners))
    return {
      path: 'corners',
      message: 'lay each corner onto its own, from the upper left round by the right: they go round no rectangle',
    };
  const sides = corners.map(([x, y], at) => {
    const [nextX, nextY] = corners[(at + 1) % 4]!;
    return Math.hypot(nextX - x, nextY - y);
  });
  if (Math.min(...sides) < leastSidePx)
    return { path: 'corners', message: `take something larger: a side is less than ${leastSidePx} pixels long` };
  for (const [path, mm] of Object.entries({ widthMm, heightMm }))
    if (mm !== undefined && !(mm >= widthRangeMm[0] && mm <= widthRangeMm[1]))
      return { path, message: `is from ${widthRangeMm[0]} to ${widthRangeMm[1]} mm` };
  const aspect = aspectOf(corners, picture.width, picture.height);
  if (!(aspect < mostAspect && aspect > 1 / mostAspect))
    return { path: 'corners', message: 'seen so far from the side, the wall cannot be measured: stand more in front' };
  return null;
};

/** A rectangle so large round a place of the wall, as it is seen in a picture: corners from the upper left round by the right. */
export const wallRectangle = (
  setup: WallSetup,
  picture: { readonly width: number; readonly height: number },
  middleMm: PicturePoint,
  size: { readonly width: number; readonly height: number },
): Corners => {
  const { widthMm } = setup;
  const heightMm = wallHeightMm(setup, picture);
  const seen = quadMap(setup.corners);
  const [left, right] = [middleMm[0] - size.width / 2, middleMm[0] + size.width / 2];
  const [upper, lower] = [middleMm[1] - size.height / 2, middleMm[1] + size.height / 2];
  return [
    seen(left / widthMm, upper / heightMm),
    seen(right / widthMm, upper / heightMm),
    seen(right / widthMm, lower / heightMm),
    seen(left / widthMm, lower / heightMm),
  ];
};
