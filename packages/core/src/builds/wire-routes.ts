import { straight, type Router } from '../circuit/index.js';
import type { LightRuns, Point3 } from '../light-runs/index.js';
import { distanceToOutline, inOutline, lengthInside, type Outline, type Point } from '../outlines/index.js';
import { wayInside } from './way-inside.js';

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
  cross(a[0], a[1], b[0], b[1], p[0], p[1]) * cross(a[0], a[1], b[0], b[1], q[0], q[1]) < -1e-9 &&
  cross(p[0], p[1], q[0], q[1], a[0], a[1]) * cross(p[0], p[1], q[0], q[1], b[0], b[1]) < -1e-9;

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

const lengthOf = (path: readonly Point[]): number =>
  path.slice(1).reduce((sum, [x, y], index) => sum + Math.hypot(x - path[index]![0], y - path[index]![1]), 0);

/** The shorter way round the lane between two places on it. */
const alongLane = (from: ReturnType<typeof ontoLane>, to: ReturnType<typeof ontoLane>, x: number, y: number) => {
  const corners = laneCorners(x, y);
  const forward: Point[] = [];
  for (let side = from.side; side !== to.side; side = (side + 1) % 4) forward.push(corners[(side + 1) % 4]!);
  const backward: Point[] = [];
  for (let side = from.side; side !== to.side; side = (side + 3) % 4) backward.push(corners[side]!);
  const ways = [forward, backward].map((between): readonly Point[] => [from.at, ...between, to.at]);
  return lengthOf(ways[0]!) <= lengthOf(ways[1]!) ? ways[0]! : ways[1]!;
};

/** Wires in a case lie straight where no strip is in the way, else round the back along its returns; never over an edge. */
export const boxRouter = (
  inside: { readonly widthMm: number; readonly heightMm: number },
  { segments }: Pick<LightRuns, 'segments'>,
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

/** From a point to the nearest strip (mm). */
const distanceToStrip = ([x, y]: Point, { segments }: Pick<LightRuns, 'segments'>): number =>
  segments.reduce(
    (least, { path }) => Math.min(least, distanceToOutline([x, y], [path.map(([px, py]): Point => [px, py])])),
    Infinity,
  );

/** A place for a hole near the end of a piece: the nearest that has solid material round it and no strip over it. */
const holeNear = (
  [x, y]: Point,
  part: Outline,
  runs: Pick<LightRuns, 'segments'>,
  stripWidthMm: number,
): Point | null => {
  const wall = wireHoleMm / 2 + holeWallMm;
  const clear = wireHoleMm / 2 + stripWidthMm / 2;
  for (const needed of [1, 0.6])
    for (const away of holeSteps)
      for (let turn = 0; turn < directions; turn += 1) {
        const angle = (turn / directions) * 2 * Math.PI;
        const place: Point = [x + away * Math.cos(angle), y + away * Math.sin(angle)];
        if (!inOutline(place, part) || distanceToOutline(place, part) < needed * wall) continue;
        if (lengthInside([x, y], place, part) < away - 0.5) continue;
        if (distanceToStrip(place, runs) >= needed * clear) return place;
      }
  return null;
};

/**
 * Wires in letters stay inside where both ends are in one letter. From letter to letter, and to the lead, they go out by a
 * hole near each end and on behind the wall or the back (`holes`), or straight across in front of it (`over`).
 */
export const letterRouter = (
  parts: readonly Outline[],
  runs: Pick<LightRuns, 'segments'>,
  stripWidthMm: number,
  crossings: 'holes' | 'over',
): Router => {
  const found = new Map<string, Point | null>();
  const holeOf = (at: Point3, part: Outline): Point => {
    const key = `${at[0]} ${at[1]}`;
    const near = runs.segments.filter(({ path }) =>
      path.some(([x, y]) => Math.hypot(x - at[0], y - at[1]) < 2 * holeSteps[4]),
    );
    if (!found.has(key)) found.set(key, holeNear(flat(at), part, { segments: near }, stripWidthMm));
    return found.get(key) ?? flat(at);
  };
  const partOf = (at: Point3): Outline | null => parts.find((part) => inOutline(flat(at), part)) ?? null;
  return (from, to) => {
    const [one, other] = [partOf(from), partOf(to)];
    if (one !== null && one === other) {
      const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
      if (lengthInside(flat(from), flat(to), one) >= length - 0.5) return straight(from, to);
      const way = wayInside(one, flat(from), flat(to));
      if (way !== null) return { path: [from, ...way.map(([x, y]): Point3 => [x, y, from[2]]), to], holes: [] };
    }
    if (crossings === 'over') return straight(from, to);
    const [out, back] = [one === null ? null : holeOf(from, one), other === null ? null : holeOf(to, other)];
    const through = (hole: Point | null, inward: boolean): readonly Point3[] => {
      if (hole === null) return [];
      const both: readonly Point3[] = [
        [hole[0], hole[1], 0],
        [hole[0], hole[1], -behindMm],
      ];
      return inward ? [...both].reverse() : both;
    };
    return {
      path: [from, ...through(out, false), ...through(back, true), to],
      holes: [out, back].filter((hole) => hole !== null).map(([x, y]): Point3 => [x, y, 0]),
    };
  };
};
