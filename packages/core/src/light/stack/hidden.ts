import type { Outline } from '../../base/outlines/index.js';
import type { StackRoom } from './types.js';

/** Tells whether what stands in a room hides two places of it from each other: x, y, z of both. */
export type Hides = (x0: number, y0: number, z0: number, x1: number, y1: number, z1: number) => boolean;

/** So near its ends a crossing is the place itself, on the wall: stretches of wall are straight where rings bend (mm). */
const endMm = 0.6;
/** A ring turns back by no more than this where it counts as bulging out everywhere (sine of the turn). */
const straightEnough = 1e-6;

/** Whether an outline is one ring that bulges out everywhere: then every two places of it see each other. */
export const isConvex = (outline: Outline): boolean => {
  const [ring] = outline;
  if (outline.length !== 1 || ring === undefined) return false;
  return ring.every((at, index) => {
    const before = ring[(index + ring.length - 1) % ring.length]!;
    const next = ring[(index + 1) % ring.length]!;
    const [ax, ay, bx, by] = [at[0] - before[0], at[1] - before[1], next[0] - at[0], next[1] - at[1]];
    return ax * by - ay * bx >= -straightEnough * Math.hypot(ax, ay) * Math.hypot(bx, by);
  });
};

/** Rings as x, y, x, y …, the last place first again: walked along a million times. */
const flat = (rings: Outline): readonly Float64Array[] =>
  rings.map((ring) => Float64Array.from([...ring, ...ring.slice(0, 1)].flat()));

/** The first and the last crossing that was found: an array for each way would cost as much as finding it. */
const found = { first: Infinity, last: -Infinity };

/** Finds where the way from one place to another crosses rings, as shares of it, its ends left out. Mutates `found`. */
const cross = (rings: readonly Float64Array[], x0: number, y0: number, x1: number, y1: number): boolean => {
  found.first = Infinity;
  found.last = -Infinity;
  const [dx, dy] = [x1 - x0, y1 - y0];
  const end = endMm / Math.max(2.5 * endMm, Math.sqrt(dx * dx + dy * dy));
  for (let ring = 0; ring < rings.length; ring += 1) {
    const numbers = rings[ring]!;
    let px = numbers[0]!;
    let py = numbers[1]!;
    let before = dx * (py - y0) - dy * (px - x0);
    for (let at = 2; at < numbers.length; at += 2) {
      const qx = numbers[at]!;
      const qy = numbers[at + 1]!;
      const side = dx * (qy - y0) - dy * (qx - x0);
      if (side < 0 !== before < 0) {
        const across = dx * (qy - py) - dy * (qx - px);
        const share = ((px - x0) * (qy - py) - (py - y0) * (qx - px)) / across;
        if (share > end && share < 1 - end) {
          if (share < found.first) found.first = share;
          if (share > found.last) found.last = share;
        }
      }
      px = qx;
      py = qy;
      before = side;
    }
  }
  return found.first < Infinity;
};

/** What hides places of a room from each other: its own walls where it is not convex, and its ledge up to its height; null for nothing. */
export const hidingIn = ({ outline, ledge }: StackRoom): Hides | null => {
  const walled = !isConvex(outline);
  if (!walled && ledge === null) return null;
  const walls = walled ? flat(outline) : [];
  const line = ledge === null ? [] : flat([ledge.line]);
  return (x0, y0, z0, x1, y1, z1) =>
    (walled && cross(walls, x0, y0, x1, y1)) ||
    (ledge !== null &&
      Math.min(z0, z1) < ledge.heightMm &&
      cross(line, x0, y0, x1, y1) &&
      // A straight way is lowest at its first crossing or at its last.
      Math.min(z0 + found.first * (z1 - z0), z0 + found.last * (z1 - z0)) < ledge.heightMm);
};

/** Places in plan, some to each of them; what lies between every two is found once, whatever stands over them. */
export interface PlanViews {
  /** How much of two upright things at places `p` and `q` sees the other, from one height to another. */
  readonly open: (p: number, q: number, zOfP: number, zOfQ: number) => number;
}

/** Ways that are looked along between two places. */
const looks = 3;
const nothingBetween = 2;
const wallBetween = -1;

/**
 * What hides places of a room from each other by their plan: `at` has the places of each (x, y, x, y …). A ledge hides what passes it below its
 * height: between its first and its last crossing a straight way is lowest at one of the two.
 */
export const viewsIn = ({ outline, ledge }: StackRoom, at: readonly Float64Array[]): PlanViews | null => {
  const walled = !isConvex(outline);
  if (!walled && ledge === null) return null;
  const walls = walled ? flat(outline) : [];
  const line = ledge === null ? [] : flat([ledge.line]);
  const count = at.length;
  // First and last crossing of the ledge as shares of the way; both the same sign where there is none, or a wall.
  const between = new Float32Array(count * count * looks * 2).fill(nothingBetween);
  for (let p = 0; p < count; p += 1)
    for (let q = p + 1; q < count; q += 1)
      for (let look = 0; look < looks; look += 1) {
        const [ones, others] = [at[p]!.length / 2, at[q]!.length / 2];
        // Spread over both, and not in step with each other.
        const a = 2 * Math.floor(((look + 0.5) * ones) / looks);
        const b = 2 * Math.floor(((((look + 1) % looks) + 0.5) * others) / looks);
        const [x0, y0, x1, y1] = [at[p]![a]!, at[p]![a + 1]!, at[q]![b]!, at[q]![b + 1]!];
        const here = 2 * (look + looks * (p * count + q));
        if (walled && cross(walls, x0, y0, x1, y1)) between[here] = wallBetween;
        else if (ledge !== null && cross(line, x0, y0, x1, y1)) {
          between[here] = found.first;
          between[here + 1] = found.last;
        }
      }
  const heightMm = ledge?.heightMm ?? 0;
  return {
    open: (p, q, zOfP, zOfQ) => {
      const [low, high, z0, z1] = p < q ? [p, q, zOfP, zOfQ] : [q, p, zOfQ, zOfP];
      let seen = 0;
      for (let look = 0; look < looks; look += 1) {
        const here = 2 * (look + looks * (low * count + high));
        const first = between[here]!;
        if (first === nothingBetween) seen += 1;
        else if (first !== wallBetween) {
          const last = between[here + 1]!;
          if (Math.min(z0 + first * (z1 - z0), z0 + last * (z1 - z0)) >= heightMm) seen += 1;
        }
      }
      return seen / looks;
    },
  };
};
