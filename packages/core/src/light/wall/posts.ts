import { millionth } from '../../base/maths/index.js';
import {
  coarseArcMm,
  distanceToOutline,
  inOutline,
  inRing,
  levelStretches,
  offset,
  outlineBounds,
  outlineCentroid,
  ringArea,
  solidParts,
  type Outline,
  type Point,
  type Ring,
} from '../../base/outlines/index.js';
import type { Post } from './types.js';

/** What posts must do. */
export interface PostOptions {
  readonly diameterMm: number;
  /** From the outline to the far side of the strip, so that a post inside that takes no light from the edge (mm). */
  readonly insideMm: number;
  /** What one post may carry (kg). */
  readonly perPostKg: number;
  /** Of the letters, by area (kg/m²). */
  readonly kgPerM2: number;
  /** Posts put by hand: each takes the place of the solved post nearest to it in its part. */
  readonly pinned?: readonly Point[];
}

/** Posts of one solid part of the letters. */
export interface PostedPart {
  readonly ring: Ring;
  /** The ring with its holes. */
  readonly outline: Outline;
  readonly kg: number;
  readonly posts: readonly Post[];
  /** How many its weight and its balance ask for; more than there are posts when there is no room for them. */
  readonly needed: number;
}

/** Posts stand on the very line that bounds them, give or take this (mm). */
const hairMm = 0.01;
/** A part on fewer posts than this would turn. */
const leastPosts = 2;
/** Level lines are tried this far apart (mm). */
const levelStepMm = 3;
/** Posts of one part stand at least this many diameters apart. */
const apartDiameters = 3;

interface Level {
  readonly y: number;
  readonly from: number;
  readonly to: number;
}

/** How well a part hangs by posts on a level line: over its weight and on both sides of it, on both sides alone, or neither. */
const balanceOn = ({ y, from, to }: Level, [x, centreY]: Point): number => {
  const bothSides = from < x && x < to;
  if (!bothSides) return 0;
  return y >= centreY ? 2 : 1;
};

/**
 * The level line for the outermost posts: the one by which the part hangs best about its centre of gravity, of those the
 * one on which they stand farthest apart; of equal ones the highest, so that the part hangs.
 */
const bestLevel = (allowed: Outline, centre: Point): (Level & { readonly balance: number }) | null => {
  const bounds = outlineBounds(allowed);
  if (bounds === null) return null;
  let best: (Level & { balance: number }) | null = null;
  for (let y = bounds.y + bounds.height - 1e-3; y > bounds.y; y -= levelStepMm) {
    const found = levelStretches(allowed, y);
    const [first, last] = [found[0], found[found.length - 1]];
    if (first === undefined || last === undefined) continue;
    const level = { y, from: first[0], to: last[1] };
    const balance = balanceOn(level, centre);
    const wider = best === null || level.to - level.from > best.to - best.from + millionth;
    if (best === null || balance > best.balance || (balance === best.balance && wider)) best = { ...level, balance };
  }
  return best;
};

const place = ([x, y]: Point, diameterMm: number): Post => ({ at: [x, y], diameterMm });

/** The allowed place nearest to where a post is wanted on a level line. */
const nearestOn = (allowed: Outline, y: number, wanted: number): number =>
  levelStretches(allowed, y).reduce((best, [from, to]) => {
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

/** The highest allowed place near the middle, above a level. */
const head = (allowed: Outline, aboutX: number, aboveY: number): Point | null => {
  const bounds = outlineBounds(allowed);
  if (bounds === null) return null;
  for (let y = bounds.y + bounds.height - 1e-3; y > aboveY; y -= levelStepMm) {
    const x = nearestOn(allowed, y, aboutX);
    if (Number.isFinite(x)) return [x, y];
  }
  return null;
};

/** The solved posts of one part: as many as it needs, as far as it has room for them. */
export const postsIn = (part: Outline, needed: number, insideMm: number, diameterMm: number): readonly Post[] => {
  const allowed = offset(part, -(insideMm + diameterMm / 2), coarseArcMm);
  const bounds = outlineBounds(part);
  const centre = outlineCentroid(part) ?? (bounds === null ? [0, 0] : [bounds.x, bounds.y]);
  const level = bestLevel(allowed, centre);
  if (level === null) return [];
  const apart = apartDiameters * diameterMm;
  const middle = (level.from + level.to) / 2;
  if (level.to - level.from < apart) {
    // Too narrow for two side by side: one above the other, as on a stem.
    const low = foot(allowed, middle, level.y - apart);
    const top = Math.max(...allowed.flat().map(([, y]) => y)) - 1e-3;
    const high = nearestOn(allowed, top, middle);
    const upper: Point = Number.isFinite(high) ? [high, top] : [middle, level.y];
    return low === null ? [place(upper, diameterMm)] : [place(upper, diameterMm), place(low, diameterMm)];
  }
  const onLevel = Math.max(leastPosts, needed > leastPosts ? needed - 1 : needed);
  const most = Math.max(leastPosts, Math.min(onLevel, Math.floor((level.to - level.from) / apart) + 1));
  const row = Array.from({ length: most }, (_, at): Post => {
    const wanted = level.from + ((level.to - level.from) * at) / (most - 1);
    return place([nearestOn(allowed, level.y, wanted), level.y], diameterMm);
  });
  const low = needed > leastPosts ? foot(allowed, centre[0], level.y - apart) : null;
  // Held under its weight alone it would tip over: one post more stands above.
  const high = level.balance === 2 ? null : head(allowed, centre[0], level.y + apart);
  return [...row, ...[low, high].flatMap((at) => (at === null ? [] : [place(at, diameterMm)]))];
};

const apartFrom = (post: Post, [x, y]: Point): number => Math.hypot(post.at[0] - x, post.at[1] - y);

/** Solved posts, with those put by hand in the place of the nearest; one more than was solved is added. */
const withPinned = (solved: readonly Post[], pins: readonly Point[], diameterMm: number): readonly Post[] => {
  const left = [...solved];
  const pinned = pins.map((at): Post => {
    const nearest = left.reduce(
      (best, post, index) => (best < 0 || apartFrom(post, at) < apartFrom(left[best]!, at) ? index : best),
      -1,
    );
    if (nearest >= 0) left.splice(nearest, 1);
    return { at, diameterMm };
  });
  return [...left, ...pinned];
};

/** The part that a point belongs to: the one it lies in, or the one whose outline is nearest. */
const partAt = (parts: readonly Outline[], at: Point): number => {
  const inside = parts.findIndex((part) => inRing(at, part[0]!));
  if (inside >= 0) return inside;
  const far = parts.map((part) => Math.min(...part[0]!.map(([x, y]) => Math.hypot(x - at[0], y - at[1]))));
  return far.indexOf(Math.min(...far));
};

/**
 * Places posts in every solid part of letters: enough for its weight and at least two, the outermost as far apart as they
 * can be on one level line, all inside the strip and in solid material. A part with no such place gets none, and says how
 * many it needed. Posts put by hand stay where they were put. `solve` may be memoized.
 */
export const placePosts = (outline: Outline, options: PostOptions, solve = postsIn): readonly PostedPart[] => {
  const parts = solidParts(outline);
  const pins = (options.pinned ?? []).map((at) => ({ at, part: partAt(parts, at) }));
  return parts.map((part, index): PostedPart => {
    const kg = (part.reduce((sum, ring) => sum + ringArea(ring), 0) * options.kgPerM2) / 1e6;
    const needed = Math.max(leastPosts, Math.ceil(kg / options.perPostKg));
    const own = pins.filter((pin) => pin.part === index).map(({ at }) => at);
    return {
      ring: part[0]!,
      outline: part,
      kg,
      needed,
      posts: withPinned(solve(part, needed, options.insideMm, options.diameterMm), own, options.diameterMm),
    };
  });
};

/** Posts that stand in no solid material of their part, or nearer to its outline than the far side of the strip. */
export const postsAmiss = (
  parts: readonly Pick<PostedPart, 'outline' | 'posts'>[],
  insideMm: number,
): { readonly loose: readonly Post[]; readonly outsideStrip: readonly Post[] } => {
  const [loose, outsideStrip]: [Post[], Post[]] = [[], []];
  for (const { outline, posts } of parts)
    for (const post of posts)
      if (!inOutline(post.at, outline)) loose.push(post);
      else if (distanceToOutline(post.at, outline) < insideMm - hairMm) outsideStrip.push(post);
  return { loose, outsideStrip };
};
