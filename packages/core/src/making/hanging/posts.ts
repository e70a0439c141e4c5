import { millionth } from '../../base/maths/index.js';
import {
  bandAlong,
  distanceToOutline,
  inOutline,
  inRing,
  intersect,
  levelStretches,
  offset,
  outlineBounds,
  outlineCentroid,
  ringArea,
  simplify,
  solidParts,
  subtract,
  type Outline,
  type Point,
  type Ring,
} from '../../base/outlines/index.js';
import type { Post, StandingPost } from '../../light/wall/index.js';
import { fixingLoads, leanOver, type FixingLoad } from './loads.js';

/** Strip as posts must heed it. */
export interface StripBand {
  /** Where its middle runs. */
  readonly lines: readonly (readonly Point[])[];
  readonly halfMm: number;
  /** Kept free beside it (mm). */
  readonly clearMm: number;
  /** From the outline to the middle of the innermost line (mm): a post nearer to the edge than that stands in the light. */
  readonly deepMm: number;
}

/** What posts must do. */
export interface PostOptions {
  readonly diameterMm: number;
  /** Material that must stand round a post (mm). */
  readonly roundMm: number;
  /** Strip along the outline; null where strip makes way for posts. */
  readonly strip: StripBand | null;
  /** What one post may carry (kg). */
  readonly perPostKg: number;
  /** Of the letters, by area (kg/m²). */
  readonly kgPerM2: number;
  /** Between a post and its hole, each way (mm). */
  readonly playMm: number;
  /** Posts put by hand: each takes the place of the solved post nearest to it in its part. */
  readonly pinned?: readonly Point[];
}

/** A post and what it carries. */
export interface LoadedPost extends StandingPost {
  readonly load: FixingLoad;
}

/** Posts of one solid part of the letters. */
export interface PostedPart {
  readonly ring: Ring;
  /** The ring with its holes. */
  readonly outline: Outline;
  readonly kg: number;
  readonly posts: readonly LoadedPost[];
  /** How many its weight asks for; more than there are posts when there is no room for them. */
  readonly needed: number;
  /** How far it leans over its width (mm). */
  readonly leanMm: number;
}

/** Posts stand on the very line that bounds them, give or take this (mm). */
const hairMm = 0.01;
/** Outlines and strip are followed this closely where only room is asked for (mm). */
const coarseMm = 0.3;
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

const bandOf = (lines: StripBand['lines'], widthMm: number): Outline =>
  bandAlong(lines, widthMm, false, { ends: 'round', corners: 'round' }, coarseMm);

/** Where strip keeps the light: within `deepMm` of the edge, as far along as it runs. */
const inTheLight = (part: Outline, { lines }: StripBand, deepMm: number): Outline =>
  subtract(intersect(part, bandOf(lines, 2 * deepMm)), offset(part, -deepMm, coarseMm));

/** Where posts may stand in a part: in material, clear of strip, and not in its light. */
const roomIn = (part: Outline, { diameterMm, roundMm, strip }: PostOptions): Outline => {
  const own = diameterMm / 2;
  const held = offset(part, -(roundMm + own), coarseMm);
  if (strip === null || strip.lines.length === 0) return held;
  const { lines, halfMm, clearMm, deepMm } = strip;
  const taken = [...bandOf(lines, 2 * (halfMm + clearMm + own)), ...inTheLight(part, strip, deepMm + own)];
  return subtract(held, taken);
};

/** The solved posts of one part: `needed` of them, as far as there is room. */
const postsIn = (part: Outline, allowed: Outline, needed: number, diameterMm: number): readonly Post[] => {
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

/** Strip that runs in or near a part. */
const stripNear = (part: Outline, strip: StripBand | null): StripBand | null => {
  const bounds = outlineBounds(part);
  if (strip === null || bounds === null) return null;
  const lines = strip.lines.filter((line) =>
    line.some(([x, y]) => x > bounds.x && x < bounds.x + bounds.width && y > bounds.y && y < bounds.y + bounds.height),
  );
  return { ...strip, lines: simplify(lines, coarseMm) };
};

/** So many posts more than its weight asks for are tried where they carry unequal shares. */
const mostMore = 4;

/**
 * Places posts in every solid part of letters: enough for its weight, at least two, and more where one would carry more
 * than it may; the outermost as far apart as they can be on one level line, by the centre of gravity; all in solid
 * material, clear of the strip and not in its light. A part with no such place gets none, and says how many it needed.
 * Posts put by hand stay where they were put.
 */
export const placePosts = (outline: Outline, options: PostOptions): readonly PostedPart[] => {
  const parts = solidParts(outline);
  const pins = (options.pinned ?? []).map((at) => ({ at, part: partAt(parts, at) }));
  const { diameterMm, perPostKg, playMm } = options;
  return parts.map((part, index): PostedPart => {
    const kg = (part.reduce((sum, ring) => sum + ringArea(ring), 0) * options.kgPerM2) / 1e6;
    const needed = Math.max(leastPosts, Math.ceil(kg / perPostKg));
    const own = pins.filter((pin) => pin.part === index).map(({ at }) => at);
    const strip = stripNear(part, options.strip);
    const coarsePart = simplify(part, coarseMm);
    const room = roomIn(coarsePart, { ...options, strip });
    // Only a post put by hand can stand in the light.
    const light =
      own.length === 0 || strip === null || strip.lines.length === 0 ? [] : inTheLight(part, strip, strip.deepMm);
    const bounds = outlineBounds(part)!;
    const centre = outlineCentroid(part) ?? [bounds.x, bounds.y];
    const loadsOf = (posts: readonly Post[]): readonly FixingLoad[] =>
      fixingLoads(
        posts.map(({ at }) => at),
        centre,
        kg,
      );
    const heaviest = (posts: readonly Post[]): number => Math.max(...loadsOf(posts).map((load) => load.kg));
    let posts = withPinned(postsIn(part, room, needed, diameterMm), own, diameterMm);
    for (let more = 1; more <= mostMore && posts.length > 0 && heaviest(posts) > perPostKg; more += 1) {
      const tried = withPinned(postsIn(part, room, needed + more, diameterMm), own, diameterMm);
      if (tried.length > 0 && heaviest(tried) < heaviest(posts)) posts = tried;
    }
    const loads = loadsOf(posts);
    return {
      ring: part[0]!,
      outline: part,
      kg,
      needed,
      posts: posts.map(({ at }, post): LoadedPost => ({
        at,
        diameterMm,
        stands: !inOutline(at, part)
          ? 'loose'
          : inOutline(at, light) && distanceToOutline(at, light) > hairMm
            ? 'in-the-light'
            : 'well',
        load: loads[post]!,
      })),
      leanMm: leanOver(
        posts.map(({ at }) => at),
        loads,
        playMm,
        bounds.width,
      ),
    };
  });
};
