import {
  inOutline,
  inRing,
  offset,
  outlineBounds,
  outlineCentroid,
  ringArea,
  type Outline,
  type Point,
  type Ring,
} from '../outlines/index.js';
import type { Post } from './types.js';

/** What posts must do. */
export interface PostWish {
  readonly diameterMm: number;
  /** From the outline to the far side of the strip, so that a post inside that takes no light from the edge (mm). */
  readonly insideMm: number;
  /** What one post may carry (kg). */
  readonly perPostKg: number;
  /** Of the letters, by area (kg/m²). */
  readonly kgPerM2: number;
}

/** Posts of one solid part of the letters. */
export interface PostedPart {
  readonly ring: Ring;
  readonly kg: number;
  readonly posts: readonly Post[];
  /** How many its weight and its balance ask for; more than there are posts when there is no room for them. */
  readonly needed: number;
}

/** A part on fewer posts than this would turn. */
const leastPosts = 2;
/** Level lines are tried this far apart (mm). */
const levelStepMm = 2;
/** Posts of one part stand at least this many diameters apart. */
const apartDiameters = 3;

/** A part with its holes: the ring itself and what lies in it. */
const partsOf = (outline: Outline): readonly Outline[] => {
  const holes = outline.filter((ring) => ringArea(ring) < 0);
  return outline
    .filter((ring) => ringArea(ring) > 0)
    .map((ring) => [ring, ...holes.filter((hole) => inRing(hole[0]!, ring))]);
};

/** The stretches of a level line that lie in an outline, as x from and to. */
const stretches = (outline: Outline, y: number): readonly (readonly [number, number])[] => {
  const crossings = outline
    .flatMap((ring) =>
      ring.flatMap(([x1, y1], at): readonly number[] => {
        const [x2, y2] = ring[(at + 1) % ring.length]!;
        return y1 > y !== y2 > y ? [x1 + ((x2 - x1) * (y - y1)) / (y2 - y1)] : [];
      }),
    )
    .sort((a, b) => a - b);
  return Array.from(
    { length: crossings.length >> 1 },
    (_, at) => [crossings[2 * at]!, crossings[2 * at + 1]!] as const,
  );
};

/** The level line on which the outermost posts stand farthest apart; of equal ones the highest, so that the part hangs. */
const widestLevel = (allowed: Outline): { readonly y: number; readonly from: number; readonly to: number } | null => {
  const bounds = outlineBounds(allowed);
  if (bounds === null) return null;
  let best: { y: number; from: number; to: number } | null = null;
  for (let y = bounds.y + bounds.height - 1e-3; y > bounds.y; y -= levelStepMm) {
    const found = stretches(allowed, y);
    const [first, last] = [found[0], found[found.length - 1]];
    if (first === undefined || last === undefined) continue;
    const [from, to] = [first[0], last[1]];
    if (best === null || to - from > best.to - best.from + 1e-6) best = { y, from, to };
  }
  return best;
};

const place = ([x, y]: Point, diameterMm: number): Post => ({ at: [x, y], diameterMm });

/** The allowed place nearest to where a post is wanted on a level line. */
const nearestOn = (allowed: Outline, y: number, wanted: number): number =>
  stretches(allowed, y).reduce((best, [from, to]) => {
    const own = Math.min(to, Math.max(from, wanted));
    return Math.abs(own - wanted) < Math.abs(best - wanted) ? own : best;
  }, Infinity);

/** The lowest allowed place near the middle: a third foot that keeps the part from swinging. */
const foot = (allowed: Outline, aboutX: number, belowY: number): Point | null => {
  const bounds = outlineBounds(allowed);
  if (bounds === null) return null;
  for (let y = bounds.y + 1e-3; y < belowY; y += levelStepMm) {
    const x = nearestOn(allowed, y, aboutX);
    if (Number.isFinite(x)) return [x, y];
  }
  return null;
};

const postsIn = (part: Outline, needed: number, wish: PostWish): readonly Post[] => {
  const allowed = offset(part, -(wish.insideMm + wish.diameterMm / 2));
  const level = widestLevel(allowed);
  if (level === null) return [];
  const apart = apartDiameters * wish.diameterMm;
  const middle = (level.from + level.to) / 2;
  if (level.to - level.from < apart) {
    // Too narrow for two side by side: one above the other, as on a stem.
    const low = foot(allowed, middle, level.y - apart);
    const top = Math.max(...allowed.flat().map(([, y]) => y)) - 1e-3;
    const high = nearestOn(allowed, top, middle);
    const upper: Point = Number.isFinite(high) ? [high, top] : [middle, level.y];
    return low === null
      ? [place(upper, wish.diameterMm)]
      : [place(upper, wish.diameterMm), place(low, wish.diameterMm)];
  }
  const onLevel = Math.max(leastPosts, needed > leastPosts ? needed - 1 : needed);
  const most = Math.max(leastPosts, Math.min(onLevel, Math.floor((level.to - level.from) / apart) + 1));
  const row = Array.from({ length: most }, (_, at): Post => {
    const wanted = level.from + ((level.to - level.from) * at) / (most - 1);
    return place([nearestOn(allowed, level.y, wanted), level.y], wish.diameterMm);
  });
  const [x] = outlineCentroid(part) ?? [middle];
  const low = needed > leastPosts ? foot(allowed, x, level.y - apart) : null;
  return low === null ? row : [...row, place(low, wish.diameterMm)];
};

/**
 * Places posts in every solid part of letters: enough for its weight and at least two, the outermost as far apart as they
 * can be on one level line, all inside the strip and in solid material. A part with no such place gets none, and says how
 * many it needed.
 */
export const placePosts = (outline: Outline, wish: PostWish): readonly PostedPart[] =>
  partsOf(outline).map((part): PostedPart => {
    const kg = (part.reduce((sum, ring) => sum + ringArea(ring), 0) * wish.kgPerM2) / 1e6;
    const needed = Math.max(leastPosts, Math.ceil(kg / wish.perPostKg));
    return { ring: part[0]!, kg, needed, posts: postsIn(part, needed, wish) };
  });

/** Posts that stand in no solid material, or nearer to the outline than the far side of the strip. */
export const postsAmiss = (
  outline: Outline,
  posts: readonly Post[],
  insideMm: number,
): { readonly loose: readonly Post[]; readonly outsideStrip: readonly Post[] } => {
  const within = offset(outline, 1e-3 - insideMm);
  return {
    loose: posts.filter((post) => !inOutline(post.at, outline)),
    outsideStrip: posts.filter(({ at }) => inOutline(at, outline) && !inOutline(at, within)),
  };
};
