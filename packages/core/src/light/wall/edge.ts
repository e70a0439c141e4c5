import { tiny } from '../../base/maths/index.js';
import { measureLine, type Outline, type Point, type Rect } from '../../base/outlines/index.js';
import { mapValue } from '../../base/raster/index.js';
import type { WallLight } from './types.js';

/** What the glow is at one place of the outline. */
export interface EdgeGlow {
  /** Index of the ring of the outline. */
  readonly ring: number;
  readonly at: Point;
  /** Away from the letter. */
  readonly outward: Point;
  /** On the wall at the very edge (lx). */
  readonly edgeLux: number;
  /** How far out it has fallen to half and to a tenth of that (mm); NaN where another letter begins before. */
  readonly halfMm: number;
  readonly tenthMm: number;
}

/** The glow along the whole outline. */
export interface EdgeReport {
  readonly places: readonly EdgeGlow[];
  readonly meanLux: number;
  readonly minOverMean: number;
  /** Medians along the outline (mm), of the places where there is no letter in the way. */
  readonly halfMm: number;
  readonly tenthMm: number;
}

/** Light of the wall at any place (lx), and how finely and how far out it can be asked for. */
export interface WallProbe {
  readonly luxAt: (at: Point) => number;
  /** The same from the raster: near enough to find where it falls to a level. */
  readonly roughlyAt: (at: Point) => number;
  readonly stepMm: number;
  readonly within: Rect;
  /** Widths beyond this are not followed. */
  readonly mostMm: number;
  /** Whether another letter begins there, so that the glow cannot be followed on. */
  readonly ends: (at: Point) => boolean;
}

/** A wall known by its raster. */
const probeOf = ({ grid, directLux, bouncedLux }: WallLight): WallProbe => {
  const luxAt = (at: Point): number => mapValue(directLux, grid, at) + mapValue(bouncedLux, grid, at);
  return {
    luxAt,
    roughlyAt: luxAt,
    stepMm: Math.min(grid.cellWidthMm, grid.cellHeightMm) / 2,
    within: grid.area,
    mostMm: Math.max(grid.area.width, grid.area.height),
    ends: () => false,
  };
};

/** The middle of the numbers there are. */
const median = (values: readonly number[]): number => {
  const known = values.filter((value) => !Number.isNaN(value)).sort((a, b) => a - b);
  return known[known.length >> 1] ?? 0;
};

/** Where between two places of a way out the light falls to `level`: straight between the sums there, or just beyond. */
const fallsTo = (luxAlong: (far: number) => number, from: number, to: number, level: number): number => {
  const [before, after] = [luxAlong(from), luxAlong(to)];
  const share = (before - level) / Math.max(tiny, before - after);
  return from + (to - from) * Math.min(1.5, Math.max(-0.5, share));
};

/** How far out the light falls below each of `levels` (lx, falling): walked out on the raster, told by the sum. */
const fallsBelow = (
  { luxAt, roughlyAt, stepMm, within, mostMm, ends }: WallProbe,
  at: Point,
  outward: Point,
  levels: readonly number[],
): readonly number[] => {
  const found: number[] = [];
  const outAt = (far: number): Point => [at[0] + outward[0] * far, at[1] + outward[1] * far];
  for (let far = stepMm; far < mostMm && found.length < levels.length; far += stepMm) {
    const place = outAt(far);
    const [x, y] = place;
    const outside = x < within.x || y < within.y || x > within.x + within.width || y > within.y + within.height;
    if (outside) break;
    if (far > 2 * stepMm && ends(place)) return levels.map((_, level) => found[level] ?? NaN);
    const now = roughlyAt(place);
    for (let level = levels[found.length]; level !== undefined && now <= level; level = levels[found.length])
      found.push(
        Math.max(
          0,
          fallsTo((mm) => luxAt(outAt(mm)), far - stepMm, far, level),
        ),
      );
  }
  while (found.length < levels.length) found.push(mostMm);
  return found;
};

/**
 * The glow along an outline as it is seen: every `stepMm` of each ring, what the wall gets at the very edge; at one place
 * in `every`, how far out it falls to half and a tenth of that (the places between take over the last). Rings run with the
 * letter on their left.
 */
export const edgeGlow = (probe: WallProbe, outline: Outline, stepMm: number, every = 1): EdgeReport => {
  const places = outline.flatMap((points, ring): readonly EdgeGlow[] => {
    const line = measureLine(points, true);
    const count = Math.max(8, Math.round(line.lengthMm / stepMm));
    let widths: readonly number[] = [0, 0];
    return Array.from({ length: count }, (_, index): EdgeGlow => {
      const { at, along } = line.station(((index + 0.5) * line.lengthMm) / count);
      const outward: Point = [along[1], -along[0]];
      const edgeLux = probe.luxAt(at);
      if (index % every === 0) widths = fallsBelow(probe, at, outward, [edgeLux / 2, edgeLux / 10]);
      return { ring, at, outward, edgeLux, halfMm: widths[0]!, tenthMm: widths[1]! };
    });
  });
  const meanLux = places.reduce((sum, { edgeLux }) => sum + edgeLux, 0) / Math.max(1, places.length);
  const least = places.reduce((low, { edgeLux }) => Math.min(low, edgeLux), Infinity);
  return {
    places,
    meanLux,
    minOverMean: meanLux > 0 ? least / meanLux : 0,
    halfMm: median(places.map(({ halfMm }) => halfMm)),
    tenthMm: median(places.map(({ tenthMm }) => tenthMm)),
  };
};

/** The same on a wall known by its raster. */
export const glowAlong = (light: WallLight, outline: Outline, stepMm: number): EdgeReport =>
  edgeGlow(probeOf(light), outline, stepMm);

/** A place where a post takes light from the edge, and the share it takes. */
export interface PostShadow {
  readonly at: Point;
  readonly share: number;
}

/** A share taken that is worth telling. */
const tellingShare = 0.1;

/** Where posts darken the edge: the same wall with and without them. */
export const postShadows = (withPosts: EdgeReport, without: EdgeReport): readonly PostShadow[] =>
  withPosts.places.flatMap(({ at, edgeLux }, index) => {
    const free = without.places[index]!.edgeLux;
    const share = free > 0 ? 1 - edgeLux / free : 0;
    return share > tellingShare ? [{ at, share }] : [];
  });
