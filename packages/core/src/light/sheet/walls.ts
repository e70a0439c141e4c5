import { ringArea, type Ring } from '../../base/outlines/index.js';
import type { ClearSheet, SheetSide } from './types.js';

/** A straight stretch of a sheet’s outline: its ends, its unit normal into the sheet and its own way, and the side that it counts to. */
export interface Wall {
  readonly side: SheetSide;
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
  readonly intoX: number;
  readonly intoY: number;
  readonly alongX: number;
  readonly alongY: number;
}

/** The wall that a ray comes to next, and how far it is, in lengths of its direction. */
export interface NextWall {
  readonly wall: Wall;
  readonly way: number;
}

/** The outline of a sheet as light meets it. Null where a ray finds none: it slipped through a corner. */
export type Hull = (x: number, y: number, dx: number, dy: number) => NextWall | null;

const wallOf = (x0: number, y0: number, x1: number, y1: number): Wall => {
  const length = Math.hypot(x1 - x0, y1 - y0);
  // Anticlockwise rings have the sheet on their left.
  const [intoX, intoY] = [-(y1 - y0) / length, (x1 - x0) / length];
  const upright = Math.abs(intoX) > Math.abs(intoY);
  const side: SheetSide = upright ? (intoX > 0 ? 'left' : 'right') : intoY > 0 ? 'bottom' : 'top';
  return { side, x0, y0, x1, y1, intoX, intoY, alongX: intoY, alongY: -intoX };
};

/** The straight stretches of a closed line, whichever way round it is drawn. */
export const wallsOf = (ring: Ring): readonly Wall[] => {
  const round = ringArea(ring) < 0 ? [...ring].reverse() : ring;
  return round.flatMap(([x0, y0], at) => {
    const [x1, y1] = round[(at + 1) % round.length]!;
    return x0 === x1 && y0 === y1 ? [] : [wallOf(x0, y0, x1, y1)];
  });
};

/** The four sides of a rectangular sheet, each along its axis. */
export const sideWalls = ({
  widthMm: w,
  heightMm: h,
}: Pick<ClearSheet, 'widthMm' | 'heightMm'>): Readonly<Record<SheetSide, Wall>> => ({
  bottom: { side: 'bottom', x0: 0, y0: 0, x1: w, y1: 0, intoX: 0, intoY: 1, alongX: 1, alongY: 0 },
  right: { side: 'right', x0: w, y0: 0, x1: w, y1: h, intoX: -1, intoY: 0, alongX: 0, alongY: 1 },
  top: { side: 'top', x0: w, y0: h, x1: 0, y1: h, intoX: 0, intoY: -1, alongX: 1, alongY: 0 },
  left: { side: 'left', x0: 0, y0: h, x1: 0, y1: 0, intoX: 1, intoY: 0, alongX: 0, alongY: 1 },
});

const rectangleHull = (sheet: ClearSheet): Hull => {
  const walls = sideWalls(sheet);
  const { widthMm, heightMm } = sheet;
  return (x, y, dx, dy) => {
    const toX = dx === 0 ? Infinity : ((dx > 0 ? widthMm : 0) - x) / dx;
    const toY = dy === 0 ? Infinity : ((dy > 0 ? heightMm : 0) - y) / dy;
    return toX < toY
      ? { wall: dx > 0 ? walls.right : walls.left, way: toX }
      : { wall: dy > 0 ? walls.top : walls.bottom, way: toY };
  };
};

/** A ray that comes to a corner within this share of a wall’s length meets that wall. */
const cornerShare = 1e-9;

/** Every wall is asked: outlines have some tens of them, at most some hundreds. */
const drawnHull = (ring: Ring): Hull => {
  const walls = wallsOf(ring);
  return (x, y, dx, dy) => {
    let best: Wall | null = null;
    let way = Infinity;
    for (const wall of walls) {
      // Light inside comes to walls against their normals: the one that it was just thrown back by is none of them.
      const toward = dx * wall.intoX + dy * wall.intoY;
      if (toward >= 0) continue;
      const t = ((wall.x0 - x) * wall.intoX + (wall.y0 - y) * wall.intoY) / toward;
      if (t < -1e-7 || t >= way) continue;
      const [wx, wy] = [wall.x1 - wall.x0, wall.y1 - wall.y0];
      const share = ((x + dx * t - wall.x0) * wx + (y + dy * t - wall.y0) * wy) / (wx * wx + wy * wy);
      if (share < -cornerShare || share > 1 + cornerShare) continue;
      way = Math.max(0, t);
      best = wall;
    }
    return best === null ? null : { wall: best, way };
  };
};

/** Where light in a sheet meets its outline: the sides of a rectangle, or a drawn line with its true normals. */
export const hullOf = (sheet: ClearSheet): Hull =>
  sheet.outline === undefined || sheet.outline === null ? rectangleHull(sheet) : drawnHull(sheet.outline);
