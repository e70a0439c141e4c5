import type { Rect } from '../../base/outlines/index.js';
import { box, circle, cross, dashed, faint, signal, text, type Template, type Tile } from '../templates/index.js';
import { studMm, studsBetween } from './wall.js';
import type { Hang } from './types.js';

/** Drawn round the sign (mm). */
const aroundMm = 25;

const one = (mm: number): string => `${Math.round(mm * 10) / 10}`;

const isOnTheWall = ({ way }: Hang): boolean => way !== null && !['feet', 'posts', 'chain', 'stands'].includes(way);

/**
 * The wall as it is drilled, 1:1 and seen from the front: the sign’s outline, its level and middle lines, studs, every
 * fixing with its hole, and the batten of a cleat. Null where nothing is drilled by it.
 */
export const wallTemplate = (name: string, bounds: Rect, hangs: readonly Hang[]): Template | null => {
  const own = hangs.filter(isOnTheWall);
  const [first] = own;
  if (first === undefined) return null;
  const fixings = own.flatMap((hang) => hang.fixings);
  const [left, bottom] = [bounds.x - aroundMm, bounds.y - aroundMm];
  const [width, height] = [bounds.width + 2 * aroundMm, bounds.height + 2 * aroundMm];
  const x = (mm: number): number => mm - left;
  const y = (mm: number): number => mm - bottom;
  const levels = [...new Set(fixings.map(({ at }) => Math.round(at[1] * 10) / 10))];
  return {
    title: `${name}: wall template`,
    heading: `${name} - wall template, seen from the front`,
    widthMm: width,
    heightMm: height,
    draw: (tile: Tile) => {
      for (const stud of studsBetween(first.wall, left, left + width)) {
        dashed(tile, x(stud - studMm / 2), 0, x(stud - studMm / 2), height);
        dashed(tile, x(stud + studMm / 2), 0, x(stud + studMm / 2), height);
        text(tile, 'stud', x(stud) - 6, 3, 7, faint);
      }
      for (const { bodies, cleat } of own) {
        for (const { bounds: rect } of bodies) box(tile, x(rect.x), y(rect.y), rect.width, rect.height, faint);
        if (cleat !== null)
          box(
            tile,
            x(cleat.middleMm - cleat.wallLengthMm / 2),
            y(cleat.topMm - cleat.highMm),
            cleat.wallLengthMm,
            cleat.highMm,
          );
      }
      dashed(tile, x(0), 0, x(0), height, signal);
      text(tile, 'middle', x(0) + 1, height - 5, 7, signal);
      dashed(tile, 0, y(0), width, y(0), signal);
      text(tile, `level, ${one(first.heightMm)} above the floor`, tile.left + 4, y(0) + 1, 7, signal);
      for (const level of levels) dashed(tile, 0, y(level), width, y(level));
      fixings.forEach(({ at, item }, index) => {
        circle(tile, x(at[0]), y(at[1]), item.holeMm);
        cross(tile, x(at[0]), y(at[1]));
        text(tile, `${index + 1}`, x(at[0]) + item.holeMm / 2 + 1.5, y(at[1]) + 1.5, 11, signal);
        text(
          tile,
          `dia ${one(item.holeMm)}, ${one(item.depthMm)} deep; ${one(at[0])} right, ${one(at[1])} up of the middle`,
          x(at[0]) + item.holeMm / 2 + 1.5,
          y(at[1]) - 4,
          6,
        );
      });
    },
  };
};
