import { roundOff } from '../../base/maths/index.js';
import { straight, type Route, type Router } from '../../power/circuit/index.js';
import type { Point3 } from '../../light/runs/index.js';
import {
  byShape,
  distanceToOutline,
  inOutline,
  lengthInside,
  measureLine,
  outlineBounds,
  type Outline,
  type Point,
  type Rect,
} from '../../base/outlines/index.js';
import { wayFinder } from '../letters/way-inside.js';

/** Strip as it lies: the way of each segment. */
export interface Strung {
  readonly segments: readonly { readonly path: readonly Point3[] }[];
}

/** Wires along the inside of a case keep so far from its returns (mm). */
const laneMm = 6;
/** Hole for a wire that leaves a letter (mm), and what stays round it. */
export const wireHoleMm = 8;
const holeWallMm = 2;
/** How far behind the wall or the back a wire runs from hole to hole (mm). */
const behindMm = 10;
/** Holes are looked for so far from the joint, nearest first, in so many directions (mm). */
const holeSteps = [10, 14, 18, 24, 32] as const;
const directions = 24;

const cross = (ox: number, oy: number, ax: number, ay: number, bx: number, by: number): number =>
  (ax - ox) * (by - oy) - (ay - oy) * (bx - ox);

/** Whether two stretches cross within both of them; touching ends do not count. */
const crossing = (a: Point3, b: Point3, p: Point3, q: Point3): boolean =>
  cross(a[0], a[1], b[0], b[1], p[0], p[1]) * cross(a[0], a[1], b[0], b[1], q[0], q[1]) < -roundOff &&
  cross(p[0], p[1], q[0], q[1], a[0], a[1]) * cross(p[0], p[1], q[0], q[1], b[0], b[1]) < -roundOff;

/** Place along the rectangle of a lane, from its lower left corner anticlockwise. */
const laneCorners = (x: number, y: number): readonly Point[] => [
  [-x, -y],
  [x, -y],
  [x, y],
  [-x, y],
];

/** The nearest place on the lane: its side (counted from the bottom, anticlockwise). */
const ontoLane = ([px, py]: Point3, x: number, y: number): { readonly side: number; readonly at: Point } => {
  const clampX = Math.min(x, Math.max(-x, px));
  const clampY = Math.min(y, Math.max(-y, py));
  const sides: readonly (readonly [distance: number, at: Point])[] = [
    [Math.abs(py + y), [clampX, -y]],
    [Math.abs(px - x), [x, clampY]],
    [Math.abs(py - y), [clampX, y]],
    [Math.abs(px + x), [-x, clampY]],
  ];
  const side = sides.reduce((best, [distance], index) => (distance < sides[best]![0] ? index : best), 0);
  return { side, at: sides[side]![1] };
};

/** The shorter way round the lane between two places on it. */
const alongLane = (from: ReturnType<typeof ontoLane>, to: ReturnType<typeof ontoLane>, x: number, y: number) => {
  const corners = laneCorners(x, y);
  const forward: Point[] = [];
  for (let side = from.side; side !== to.side; side = (side + 1) % 4) forward.push(corners[(side + 1) % 4]!);
  const backward: Point[] = [];
  for (let side = from.side; side !== to.side; side = (side + 3) % 4) backward.push(corners[side]!);
  const ways = [forward, backward].map((between): readonly Point[] => [from.at, ...between, to.at]);
  const lengthOf = (way: readonly Point[]): number => measureLine(way, false).lengthMm;
  return lengthOf(ways[0]!) <= lengthOf(ways[1]!) ? ways[0]! : ways[1]!;
};

/** Wires in a case lie straight where no strip is in the way, else round the back along its returns; never over an edge. */
export const boxRouter = (
  inside: { readonly widthMm: number; readonly heightMm: number },
  { segments }: Strung,
): Router => {
  const stretches = segments.flatMap(({ path }) => path.slice(1).map((to, index) => [path[index]!, to] as const));
  const [x, y] = [inside.widthMm / 2 - laneMm, inside.heightMm / 2 - laneMm];
  return (from, to) => {
    if (!stretches.some(([p, q]) => crossing(from, to, p, q))) return straight(from, to);
    const lane = alongLane(ontoLane(from, x, y), ontoLane(to, x, y), x, y);
    return { path: [from, ...lane.map(([px, py]): Point3 => [px, py, 0]), to], holes: [] };
  };
};

const flat = ([x, y]: Point3): Point => [x, y];

/** Tells whether a place is at least so far from all strip (mm); segments that stand farther off are passed over. */
const clearOfStrip = ({ segments }: Strung): ((place: Point, clearMm: number) => boolean) => {
  const ways = segments.flatMap(({ path }) => {
    const way = path.map(flat);
    const bounds = outlineBounds([way]);
    return bounds === null ? [] : [{ way, bounds }];
  });
  return ([x, y], clearMm) =>
    ways.every(
      ({ way, bounds }) =>
        x < bounds.x - clearMm ||
        x > bounds.x + bounds.width + clearMm ||
        y < bounds.y - clearMm ||
        y > bounds.y + bounds.height + clearMm ||
        distanceToOutline([x, y], [way]) >= clearMm,
    );
};

/** A place for a hole near the end of a segment: the nearest that has solid material round it and no strip over it. */
const holeNear = ([x, y]: Point, part: Outline, runs: Strung, stripWidthMm: number): Point | null => {
  const wall = wireHoleMm / 2 + holeWallMm;
  const clear = wireHoleMm / 2 + stripWidthMm / 2;
  const isClear = clearOfStrip(runs);
  for (const needed of [1, 0.6])
    for (const away of holeSteps)
      for (let turn = 0; turn < directions; turn += 1) {
        const angle = (turn / directions) * 2 * Math.PI;
        const place: Point = [x + away * Math.cos(angle), y + away * Math.sin(angle)];
        if (!inOutline(place, part) || distanceToOutline(place, part) < needed * wall) continue;
        if (lengthInside([x, y], place, part) < away - 0.5) continue;
        if (isClear(place, needed * clear)) return place;
      }
  return null;
};

/** Places in a letter to a thousandth of a millimetre from its corner: the same wherever it stands. */
const fromCorner = ([x, y]: Point, { x: left, y: low }: Rect): Point => [
  Math.round((x - left) * 1000) / 1000,
  Math.round((y - low) * 1000) / 1000,
];

/** What is worked out for each shape of letter once: ways within it, and places for holes. */
const waysByShape = () => {
  const finder = byShape(wayFinder, (found) => found);
  return {
    way: byShape(
      (part: Outline, fromX: number, fromY: number, toX: number, toY: number) =>
        finder(part)([fromX, fromY], [toX, toY]),
      (way, dx, dy) => way?.map(([x, y]): Point => [x + dx, y + dy]) ?? null,
    ),
    hole: byShape(
      (part: Outline, x: number, y: number, stripWidthMm: number, strips: string) => {
        const paths = JSON.parse(strips) as readonly (readonly Point[])[];
        const segments = paths.map((path) => ({ path: path.map(([px, py]): Point3 => [px, py, 0]) }));
        return holeNear([x, y], part, { segments }, stripWidthMm);
      },
      (hole, dx, dy): Point | null => (hole === null ? null : [hole[0] + dx, hole[1] + dy]),
    ),
  };
};

/** Strip within reach of a hole near a place. */
const stripNear = ([x, y]: Point, { segments }: Strung): readonly (readonly Point3[])[] =>
  segments
    .map(({ path }) => path)
    .filter((path) => path.some(([px, py]) => Math.hypot(px - x, py - y) < 2 * holeSteps[4]));

/**
 * Wires in letters stay inside where both ends are in one letter. From letter to letter, and to the lead, they go out by a
 * hole near each end and on behind the wall or the back (`holes`), or straight across in front of it (`over`). What is found
 * in a letter is memoized by its shape.
 */
export const letterRouters = () => {
  const known = waysByShape();
  return (parts: readonly Outline[], runs: Strung, stripWidthMm: number, crossings: 'holes' | 'over'): Router => {
    const boxed = parts.flatMap((part) => {
      const bounds = outlineBounds(part);
      return bounds === null ? [] : [{ part, bounds }];
    });
    type Boxed = (typeof boxed)[number];
    const within = ([x, y]: Point3, { bounds }: Boxed): boolean =>
      x >= bounds.x && x <= bounds.x + bounds.width && y >= bounds.y && y <= bounds.y + bounds.height;
    const partOf = (at: Point3): Boxed | null =>
      boxed.find((each) => within(at, each) && inOutline(flat(at), each.part)) ?? null;
    const holeOf = (at: Point3, { part, bounds }: Boxed): Point => {
      const strips = stripNear(flat(at), runs).map((path) => path.map((place) => fromCorner(flat(place), bounds)));
      return known.hole(part, ...fromCorner(flat(at), bounds), stripWidthMm, JSON.stringify(strips)) ?? flat(at);
    };
    const stayInside = (from: Point3, to: Point3, { part, bounds }: Boxed): Route | null => {
      const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
      if (lengthInside(flat(from), flat(to), part) >= length - 0.5) return straight(from, to);
      const way = known.way(part, ...fromCorner(flat(from), bounds), ...fromCorner(flat(to), bounds));
      return way === null ? null : { path: [from, ...way.map(([x, y]): Point3 => [x, y, from[2]]), to], holes: [] };
    };
    return (from, to) => {
      const [one, other] = [partOf(from), partOf(to)];
      const inside = one !== null && one === other ? stayInside(from, to, one) : null;
      if (inside !== null) return inside;
      if (crossings === 'over') return straight(from, to);
      const [out, back] = [one === null ? null : holeOf(from, one), other === null ? null : holeOf(to, other)];
      return {
        path: [from, ...through(out), ...[...through(back)].reverse(), to],
        holes: [out, back].filter((hole) => hole !== null).map(([x, y]): Point3 => [x, y, 0]),
      };
    };
  };
};

/** From a hole on the near side to behind it; nothing where there is none. */
const through = (hole: Point | null): readonly Point3[] =>
  hole === null
    ? []
    : [
        [hole[0], hole[1], 0],
        [hole[0], hole[1], -behindMm],
      ];
