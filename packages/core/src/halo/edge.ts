import { measureLine, type Outline, type Point } from '../outlines/index.js';
import type { WallLight } from './types.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { floor, max, min } = Math;

/** What the glow is at one place of the outline. */
export interface EdgeGlow {
  readonly at: Point;
  /** Away from the letter. */
  readonly outward: Point;
  /** On the wall at the very edge (lx). */
  readonly edgeLux: number;
  /** How far out it has fallen to half and to a tenth of that (mm). */
  readonly halfMm: number;
  readonly tenthMm: number;
}

/** The glow along the whole outline. */
export interface EdgeReport {
  readonly places: readonly EdgeGlow[];
  readonly meanLux: number;
  readonly minOverMean: number;
  /** Medians along the outline (mm). */
  readonly halfMm: number;
  readonly tenthMm: number;
}

const mapAt = ({ grid, directLux, bouncedLux }: WallLight, [x, y]: Point): number => {
  const { columns, rows, area, cellWidthMm, cellHeightMm } = grid;
  const [u, v] = [(x - area.x) / cellWidthMm - 0.5, (y - area.y) / cellHeightMm - 0.5];
  const [i, j] = [min(columns - 2, max(0, floor(u))), min(rows - 2, max(0, floor(v)))];
  const [s, t] = [min(1, max(0, u - i)), min(1, max(0, v - j))];
  const at = (column: number, row: number): number =>
    directLux[row * columns + column]! + bouncedLux[row * columns + column]!;
  return (1 - t) * ((1 - s) * at(i, j) + s * at(i + 1, j)) + t * ((1 - s) * at(i, j + 1) + s * at(i + 1, j + 1));
};

const median = (values: readonly number[]): number =>
  values.length === 0 ? 0 : [...values].sort((a, b) => a - b)[values.length >> 1]!;

/** How far out the light falls below `lux`, found by walking half a cell at a time. */
const fallsBelow = (light: WallLight, at: Point, outward: Point, lux: number): number => {
  const { cellWidthMm, cellHeightMm, area } = light.grid;
  const step = min(cellWidthMm, cellHeightMm) / 2;
  const most = max(area.width, area.height);
  let before = mapAt(light, at);
  for (let far = step; far < most; far += step) {
    const [x, y] = [at[0] + outward[0] * far, at[1] + outward[1] * far];
    if (x < area.x || y < area.y || x > area.x + area.width || y > area.y + area.height) return far;
    const now = mapAt(light, [x, y]);
    if (now <= lux) return far - step + (step * (before - lux)) / max(1e-12, before - now);
    before = now;
  }
  return most;
};

/**
 * The glow along an outline as it is seen: every `stepMm` of each ring, what the wall gets at the very edge and how far
 * out it falls to half and a tenth of that. Rings run with the letter on their left.
 */
export const glowAlong = (light: WallLight, outline: Outline, stepMm: number): EdgeReport => {
  const places = outline.flatMap((ring): readonly EdgeGlow[] => {
    const line = measureLine(ring, true);
    const count = max(8, Math.round(line.lengthMm / stepMm));
    return Array.from({ length: count }, (_, index): EdgeGlow => {
      const { at, along } = line.station(((index + 0.5) * line.lengthMm) / count);
      const outward: Point = [along[1], -along[0]];
      const edgeLux = mapAt(light, at);
      return {
        at,
        outward,
        edgeLux,
        halfMm: fallsBelow(light, at, outward, edgeLux / 2),
        tenthMm: fallsBelow(light, at, outward, edgeLux / 10),
      };
    });
  });
  const meanLux = places.reduce((sum, { edgeLux }) => sum + edgeLux, 0) / max(1, places.length);
  const least = places.reduce((low, { edgeLux }) => min(low, edgeLux), Infinity);
  return {
    places,
    meanLux,
    minOverMean: meanLux > 0 ? least / meanLux : 0,
    halfMm: median(places.map(({ halfMm }) => halfMm)),
    tenthMm: median(places.map(({ tenthMm }) => tenthMm)),
  };
};

/** The strongest scallop along an edge: the Michelson contrast of its light within one pitch, at its worst. */
export const scallopContrast = ({ places }: EdgeReport, pitchMm: number, stepMm: number): number => {
  const window = max(2, Math.ceil(pitchMm / stepMm) + 1);
  let worst = 0;
  for (let from = 0; from + window <= places.length; from += 1) {
    const lux = places.slice(from, from + window).map(({ edgeLux }) => edgeLux);
    const [low, high] = [min(...lux), max(...lux)];
    if (high + low > 0) worst = max(worst, (high - low) / (high + low));
  }
  return worst;
};

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
