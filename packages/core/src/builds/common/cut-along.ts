import { fromByteArray, toByteArray } from 'base64-js';
import { sum } from '../../base/maths/index.js';
import { outlineArea, unite, type Point } from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';
import type { PictureDesign } from './picture-schema.js';

/** A line drawn on a picture has no more points: enough for any fretsaw. */
export const mostLinePoints = 400;
/** A line round less than this share of a picture is a slip of the hand. */
const leastShare = 0.002;
/** What a line goes round twice or not at all is nothing where it is a strip along it no wider than this (mm). */
const crossedMm = 0.01;

/** What is cut out of a picture: its outline in mm about its middle, and the picture as far as it reaches. */
export interface CutAlong {
  readonly rings: readonly (readonly number[])[];
  readonly widthMm: number;
  readonly heightMm: number;
  readonly picture: PictureDesign;
}

const tenthOfHair = (mm: number): number => Math.round(1000 * mm) / 1000 + 0;

/** The part of a picture between two places (shares from its upper left), looked at anew in as many places as it had there. */
const cropped = (
  { name, columns, rows, rgb }: PictureDesign,
  [left, top]: Point,
  [right, bottom]: Point,
): PictureDesign => {
  const bytes = toByteArray(rgb);
  const [wide, high] = [
    Math.min(columns, Math.max(2, Math.round((right - left) * columns))),
    Math.min(rows, Math.max(2, Math.round((bottom - top) * rows))),
  ];
  const cut = new Uint8Array(3 * wide * high);
  for (let row = 0; row < high; row += 1)
    for (let column = 0; column < wide; column += 1) {
      const u = Math.min(columns - 1, Math.floor((left + ((column + 0.5) / wide) * (right - left)) * columns));
      const v = Math.min(rows - 1, Math.floor((top + ((row + 0.5) / high) * (bottom - top)) * rows));
      for (let part = 0; part < 3; part += 1)
        cut[3 * (row * wide + column) + part] = bytes[3 * (v * columns + u) + part]!;
    }
  return { name, columns: wide, rows: high, rgb: fromByteArray(cut) };
};

/**
 * A picture cut out along a line that was drawn on it: points as shares of its width and height from its upper left, the whole
 * picture `widthMm` wide. Fails where the line goes round nothing or crosses itself.
 */
export const cutAlong = (picture: PictureDesign, line: readonly Point[], widthMm: number): Result<CutAlong> => {
  const amiss = (message: string): Result<CutAlong> => failure({ path: 'line', message });
  if (line.length < 3) return amiss('has fewer than three points: go on until it goes round what is to stay');
  if (line.length > mostLinePoints) return amiss(`has more than ${mostLinePoints} points; take some away`);
  if (!(widthMm >= 5 && widthMm <= 3000)) return amiss('is on a picture that is to be 5 to 3000 mm wide');
  const at = line.map(([x, y]): Point => [Math.min(1, Math.max(0, x)), Math.min(1, Math.max(0, y))]);
  const [xs, ys] = [at.map(([x]) => x), at.map(([, y]) => y)];
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [top, bottom] = [Math.min(...ys), Math.max(...ys)];
  const wholeMm = (widthMm * picture.rows) / picture.columns;
  const ring = at.map(([x, y]): Point => [
    (x - (left + right) / 2) * widthMm,
    // Pictures count down, outlines up.
    ((top + bottom) / 2 - y) * wholeMm,
  ]);
  const solid = unite([ring]);
  const mm2 = sum(solid.map((each) => Math.abs(outlineArea([each]))));
  if (mm2 < leastShare * widthMm * wholeMm) return amiss('goes round next to nothing of the picture');
  const roundMm = sum(ring.map(([x, y], place) => Math.hypot(x - ring.at(place - 1)![0], y - ring.at(place - 1)![1])));
  if (solid.length !== 1 || Math.abs(Math.abs(outlineArea([ring])) - mm2) > crossedMm * roundMm)
    return amiss('crosses itself; move its points so that it goes round once');
  return success({
    rings: [ring.flatMap(([x, y]) => [tenthOfHair(x), tenthOfHair(y)])],
    widthMm: (right - left) * widthMm,
    heightMm: (bottom - top) * wholeMm,
    picture: cropped(picture, [left, top], [right, bottom]),
  });
};
