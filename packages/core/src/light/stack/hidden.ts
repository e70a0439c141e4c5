import { millionth } from '../../base/maths/index.js';
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

/** A ring as x, y, x, y …, the last place first again, and circles round so many of its stretches at a time: walked along a million times. */
interface FlatRing {
  readonly numbers: Float64Array;
  /** Middle and square of the radius of each circle: x, y, r² … */
  readonly circles: Float64Array;
}

/** So many stretches have a circle: what does not come near it crosses none of them. */
const inCircle = 12;

const circlesOf = (numbers: Float64Array): Float64Array => {
  const last = numbers.length / 2 - 1;
  const circles = new Float64Array(3 * Math.ceil(last / inCircle));
  for (let circle = 0; 3 * circle < circles.length; circle += 1) {
    const places = numbers.subarray(2 * circle * inCircle, 2 * Math.min(last, (circle + 1) * inCircle) + 2);
    let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
    for (let at = 0; at < places.length; at += 2) {
      left = Math.min(left, places[at]!);
      right = Math.max(right, places[at]!);
      low = Math.min(low, places[at + 1]!);
      high = Math.max(high, places[at + 1]!);
    }
    const radius = Math.hypot(right - left, high - low) / 2 + millionth;
    circles.set([(left + right) / 2, (low + high) / 2, radius * radius], 3 * circle);
  }
  return circles;
};

const flat = (rings: Outline): readonly FlatRing[] =>
  rings.map((ring) => {
    const numbers = Float64Array.from([...ring, ...ring.slice(0, 1)].flat());
    return { numbers, circles: circlesOf(numbers) };
  });

/** The first and the last crossing that was found: an array for each way would cost as much as finding it. */
const found = { first: Infinity, last: -Infinity };

/**
 * Finds where the way from one place to another crosses rings, as shares of it, its ends left out: all crossings, or `any` one.
 * Mutates `found`.
 */
const cross = (rings: readonly FlatRing[], x0: number, y0: number, x1: number, y1: number, any: boolean): boolean => {
  found.first = Infinity;
  found.last = -Infinity;
  const dx = x1 - x0;
  const dy = y1 - y0;
  const d2 = dx * dx + dy * dy;
  const end = endMm / Math.max(2.5 * endMm, Math.sqrt(d2));
  const perD2 = d2 > 0 ? 1 / d2 : 0;
  for (let ring = 0; ring < rings.length; ring += 1) {
    const { numbers, circles } = rings[ring]!;
    for (let circle = 0; circle < circles.length; circle += 3) {
      const cx = circles[circle]! - x0;
      const cy = circles[circle + 1]! - y0;
      const along = Math.min(1, Math.max(0, (cx * dx + cy * dy) * perD2));
      const offX = cx - along * dx;
      const offY = cy - along * dy;
      if (offX * offX + offY * offY > circles[circle + 2]!) continue;
      const from = (circle / 3) * inCircle * 2;
      const to = Math.min(numbers.length - 2, from + 2 * inCircle);
      let px = numbers[from]!;
      let py = numbers[from + 1]!;
      let before = dx * (py - y0) - dy * (px - x0);
      for (let at = from + 2; at <= to; at += 2) {
        const qx = numbers[at]!;
        const qy = numbers[at + 1]!;
        const side = dx * (qy - y0) - dy * (qx - x0);
        if (side < 0 !== before < 0) {
          const across = dx * (qy - py) - dy * (qx - px);
          const share = ((px - x0) * (qy - py) - (py - y0) * (qx - px)) / across;
          if (share > end && share < 1 - end) {
            if (share < found.first) found.first = share;
            if (share > found.last) found.last = share;
            if (any) return true;
          }
        }
        px = qx;
        py = qy;
        before = side;
      }
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
    (walled && cross(walls, x0, y0, x1, y1, true)) ||
    (ledge !== null &&
      Math.min(z0, z1) < ledge.heightMm &&
      cross(line, x0, y0, x1, y1, false) &&
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
        if (walled && cross(walls, x0, y0, x1, y1, true)) between[here] = wallBetween;
        else if (ledge !== null && cross(line, x0, y0, x1, y1, false)) {
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
