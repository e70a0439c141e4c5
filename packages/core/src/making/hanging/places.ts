import type { Point, Rect } from '../../base/outlines/index.js';
import { studsBetween } from './wall.js';
import type { HangingWay, Wall } from './types.js';

const spreadOver = (from: number, to: number, count: number): readonly number[] =>
  count === 1
    ? [(from + to) / 2]
    : Array.from({ length: count }, (_, index) => from + ((to - from) * index) / (count - 1));

/** So many of them, as far apart as they go. */
const farthest = (items: readonly number[], count: number): readonly number[] =>
  [...new Set(spreadOver(0, items.length - 1, Math.min(count, items.length)).map(Math.round))].map((at) => items[at]!);

/** In studs where two of them pass behind the sign; else evenly. */
const along = (wall: Wall, { x, width }: Rect, count: number): readonly number[] => {
  const studs = studsBetween(wall, x, x + width);
  return studs.length >= 2 ? farthest(studs, count) : spreadOver(x, x + width, count);
};

/** Where fixings stand on one body, so many of them: in a row at the top, or the half of them at the bottom. */
export const fixingPlaces = (way: HangingWay, hold: Rect, wall: Wall, count: number): readonly Point[] => {
  const [top, bottom] = [hold.y + hold.height, hold.y];
  const level = (y: number, many: number): readonly Point[] => along(wall, hold, many).map((x) => [x, y] as const);
  switch (way) {
    case 'feet':
    case 'stands':
      return [];
    case 'keyholes':
    case 'chain':
      return level(top, count);
    case 'holes':
    case 'brackets':
    case 'spacers':
      return count < 4
        ? level(top, count)
        : [...level(top, Math.ceil(count / 2)), ...level(bottom, Math.floor(count / 2))];
    case 'cleat':
    case 'posts':
      return level(top, count);
  }
};

/** Places put by hand take those of the nearest that were solved. */
export const withPinnedPlaces = (
  solved: readonly Point[],
  pinned: readonly Point[],
): readonly { readonly at: Point; readonly pinned: boolean }[] => {
  const left = [...solved];
  for (const pin of pinned) {
    const distance = ([x, y]: Point): number => Math.hypot(x - pin[0], y - pin[1]);
    const nearest = left.reduce((best, at, index) => (distance(at) < distance(left[best]!) ? index : best), 0);
    if (left.length > 0) left.splice(nearest, 1);
  }
  return [...left.map((at) => ({ at, pinned: false })), ...pinned.map((at) => ({ at, pinned: true }))].sort(
    (a, b) => b.at[1] - a.at[1] || a.at[0] - b.at[0],
  );
};
