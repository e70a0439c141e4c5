import { millionth } from '../../base/maths/index.js';
import {
  measureLine,
  outlineBounds,
  rectRing,
  ringArea,
  ringLength,
  type Outline,
  type Point,
  type Rect,
} from '../../base/outlines/index.js';
import { nearestWall, wallsOf } from '../../base/walls/index.js';

/** A run of the outline along which it is narrower than asked: where, and the narrowest of it (mm). */
export interface NarrowPlace {
  readonly rect: Rect;
  readonly widthMm: number;
}

/** Two sides count as one stroke when they look at each other within this (cosine of the angle between them). */
const facing = -0.85;
/** Looked at every so many mm along the outline, and less often where it is very long. */
const stepMm = 0.5;
const mostLooks = 20_000;
/** Directions this alike run along the same side (cosine of the angle between them). */
const sameSide = 0.5;
/** Fewer looks in a row are a cusp, not a stroke or a gap. */
const leastLooks = 3;
/** How far off the outline a look begins (mm), so that it does not meet the very wall it begins at. */
const offMm = millionth;

/** Looks one after the other that all were too narrow. */
interface Run {
  readonly left: number;
  readonly low: number;
  readonly right: number;
  readonly high: number;
  readonly width: number;
  readonly widest: number;
  readonly first: number;
  readonly last: number;
  readonly looks: number;
}
const noRun = {
  left: Infinity,
  low: Infinity,
  right: -Infinity,
  high: -Infinity,
  width: Infinity,
  widest: 0,
  last: 0,
  looks: 0,
};

/** A run that narrows to a point at one end is a tip or a crotch, no stroke or gap. */
const tapers = ({ width, widest, first, last }: Run): boolean =>
  width < 0.4 * widest && (first === width || last === width);

/** The outline’s surroundings as an outline: a frame far round it, and all of it as holes. */
export const surroundings = (outline: Outline, reachMm: number): Outline => {
  const bounds = outlineBounds(outline);
  if (bounds === null) return [];
  const { x, y, width, height } = bounds;
  const far = 2 * reachMm + 1;
  return [rectRing({ x: x - far, y: y - far, width: width + 2 * far, height: height + 2 * far }), ...outline];
};

/**
 * Places where an outline is narrower than `leastMm`: from its edge straight across to the other, wherever both sides face
 * each other. `solid` are the rings looked from: the outline itself, or what its surroundings lie round. Tips and crotches are no
 * narrow places.
 */
export const narrowPlaces = (outline: Outline, leastMm: number, solid: Outline = outline): readonly NarrowPlace[] => {
  if (outline.length === 0 || leastMm <= 0) return [];
  const walls = wallsOf(outline);
  const total = solid.reduce((sum, ring) => sum + ringLength(ring), 0);
  const step = Math.max(stepMm, total / mostLooks);
  const inner = outline !== solid;
  const photon = new Float64Array(7);
  const times = new Float64Array(1);
  const found: NarrowPlace[] = [];
  for (const ring of solid) {
    const line = measureLine(ring, true);
    const count = Math.max(8, Math.ceil(line.lengthMm / step));
    // Solid lies to the left of a ring that is wound right; its surroundings to the right.
    const side = inner ? -1 : 1;
    let run: Run | null = null;
    let before: Point = [0, 0];
    const close = (): void => {
      if (run !== null && run.looks >= leastLooks && !tapers(run))
        found.push({
          rect: { x: run.left, y: run.low, width: run.right - run.left, height: run.high - run.low },
          widthMm: run.width,
        });
      run = null;
    };
    for (let look = 0; look < count; look += 1) {
      const { at, along } = line.station(((look + 0.5) * line.lengthMm) / count);
      // Round a tip or into a crotch begins another side.
      if (along[0] * before[0] + along[1] * before[1] < sameSide) close();
      before = along;
      const normal: Point = [-along[1] * side, along[0] * side];
      photon.set([at[0] + normal[0] * offMm, at[1] + normal[1] * offMm, 0, normal[0], normal[1], 0]);
      times[0] = leastMm;
      const wall = nearestWall(walls, photon, times);
      const opposite = wall >= 0 && walls.nx[wall]! * normal[0] + walls.ny[wall]! * normal[1] < facing;
      if (!opposite) {
        close();
        continue;
      }
      const [x, y] = [at[0] + normal[0] * times[0], at[1] + normal[1] * times[0]];
      const now: Run = run ?? { ...noRun, first: times[0] };
      run = {
        left: Math.min(now.left, at[0], x),
        low: Math.min(now.low, at[1], y),
        right: Math.max(now.right, at[0], x),
        high: Math.max(now.high, at[1], y),
        width: Math.min(now.width, times[0]),
        widest: Math.max(now.widest, times[0]),
        first: now.first,
        last: times[0],
        looks: now.looks + 1,
      };
    }
    close();
  }
  return withoutTwins(found);
};

/** Each narrow place is seen from both its sides; once is enough. */
const withoutTwins = (places: readonly NarrowPlace[]): readonly NarrowPlace[] => {
  const kept: NarrowPlace[] = [];
  for (const place of places) {
    const { x, y, width, height } = place.rect;
    const twin = kept.some(
      ({ rect }) => x < rect.x + rect.width && rect.x < x + width && y < rect.y + rect.height && rect.y < y + height,
    );
    if (!twin) kept.push(place);
  }
  return kept;
};

/** Inside corners that a round tool leaves full: where the outline turns away from the solid faster than the tool can follow. */
export const tightCorners = (outline: Outline, radiusMm: number): readonly Point[] =>
  radiusMm <= 0 ? [] : outline.flatMap((ring) => cornersOf(ring, radiusMm));

/** A turn beyond what the tool follows that is worth telling (rad). */
const tellingTurn = 0.35;

const cornersOf = (ring: readonly Point[], radiusMm: number): readonly Point[] => {
  const count = ring.length;
  if (count < 3 || ringArea(ring) === 0) return [];
  const edge = (at: number): Point => {
    const [a, b] = [ring[((at % count) + count) % count]!, ring[(((at + 1) % count) + count) % count]!];
    return [b[0] - a[0], b[1] - a[1]];
  };
  const turnAt = (at: number): number => {
    const [a, b] = [edge(at - 1), edge(at)];
    return Math.atan2(a[0] * b[1] - a[1] * b[0], a[0] * b[0] + a[1] * b[1]);
  };
  const lengthAt = (at: number): number => Math.hypot(...edge(at));
  const corners: Point[] = [];
  for (let at = 0; at < count; at += 1) {
    if (turnAt(at) >= 0) continue;
    let [turn, walked, to] = [-turnAt(at), 0, at];
    // All of a small fillet is one corner: on to where the tool could follow again.
    while (to - at < count && walked + lengthAt(to) < radiusMm / 2 && turnAt(to + 1) < 0) {
      walked += lengthAt(to);
      to += 1;
      turn -= turnAt(to);
    }
    if (turn - walked / radiusMm > tellingTurn) {
      corners.push(ring[Math.floor((at + to) / 2) % count]!);
      at = to;
    }
  }
  return corners;
};
