import type { Drawing, DrawnShape } from '../drawings/index.js';
import {
  intersect,
  likelyCrossings,
  ringArea,
  simplify,
  unite,
  type Outline,
  type Point,
  type Ring,
} from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { withoutDoubles } from './doubles.js';
import { joinEnds } from './join-ends.js';
import { asPainted, isPaper } from './painted.js';
import { uniteTouching } from './unite-touching.js';

/** How a drawing is put right. */
export interface RepairOptions {
  /** Ends no farther apart than this are joined (mm). */
  readonly gapMm: number;
  /** Layers that count; all when `null`. */
  readonly layers: readonly string[] | null;
}

/** A drawing as an area to cut, and what it took to get there. */
export interface Repaired {
  readonly outline: Outline;
  /** What was changed, in sentences. */
  readonly changes: readonly string[];
  /** Lines that stay open: they bound no area. */
  readonly open: readonly (readonly Point[])[];
}

/** Rings of less than this are dust (mm²). */
const dustMm2 = 0.01;
/** Points are taken out as long as the line stays within this (mm). */
const smoothMm = 0.003;
/** Edges that may cross, in all: what is united in some seconds. */
const mostCrossings = 1_500_000;
/** Rings this alike are one (mm). */
const doubleMm = 0.02;

const areaOf = (shape: DrawnShape, rings: readonly Ring[]): Outline => {
  const area = unite(rings, shape.fill ?? 'evenodd');
  return shape.clip === null ? area : intersect(area, shape.clip);
};

const plural = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;

/**
 * Makes an area of a drawing: joins ends within the tolerance, takes out doubles and dust, unites what overlaps and winds
 * it right. Fails where lines cross each other too often. What white was painted over is not there: in a logo its counters often are. Lines that are only drawn count together, whatever their layers: a ring within a ring is a hole.
 */
export const repair = (
  { kind, shapes }: Pick<Drawing, 'kind' | 'shapes'>,
  { gapMm, layers }: RepairOptions,
): Result<Repaired> => {
  const wanted = shapes.filter(({ layer }) => layers === null || layers.includes(layer));
  const changes: string[] = [];
  const filled = wanted.filter(({ fill }) => fill !== null);
  const lines = wanted.filter(({ fill }) => fill === null);
  let left = mostCrossings;
  /** Rings that can be made an area of in time; none once there is a knot. */
  const untangled = (rings: readonly Ring[]): readonly Ring[] => {
    left -= likelyCrossings(rings, left);
    return left > 0 ? rings : [];
  };
  // What is clipped is clipped alone: lines under another clip, or none, are not cut off with it.
  const drawn = [...new Set(lines.map(({ clip }) => clip))].map((clip) => {
    const own = lines.filter((shape) => shape.clip === clip).flatMap(({ paths }) => paths);
    const joined = joinEnds(own, gapMm);
    const { rings, removed } = withoutDoubles(joined.closed, doubleMm);
    return { ...joined, removed, area: areaOf({ layer: '', fill: null, paths: [], clip }, untangled(rings)) };
  });
  const open = drawn.flatMap((group) => group.open);
  const joints = drawn.reduce((sum, group) => sum + group.joints, 0);
  const removed = drawn.reduce((sum, group) => sum + group.removed, 0);
  const widestMm = Math.max(0, ...drawn.map((group) => group.widestMm));
  const painted = asPainted(
    filled.map((shape) => ({
      isPaper: kind === 'svg' && isPaper(shape),
      area: areaOf(shape, untangled(shape.paths.map(({ points }) => points).filter((ring) => ring.length > 2))),
    })),
  );
  if (left <= 0)
    return failure({
      path: '',
      message: `its lines cross each other more than ${mostCrossings.toLocaleString('en')} times; simplify the drawing, or unite its shapes in the program that drew it`,
    });
  const parts = [...drawn.map(({ area }) => area), ...painted.areas];
  const { outline: united, overlapMm2 } = uniteTouching(parts);
  const kept = united.filter((ring) => Math.abs(ringArea(ring)) >= dustMm2);
  const outline = simplify(kept, smoothMm);

  if (joints > 0) changes.push(`${plural(joints, 'gap')} closed, the widest ${widestMm.toFixed(2)} mm`);
  if (removed > 0) changes.push(`${plural(removed, 'outline')} drawn twice taken out`);
  if (painted.cutMm2 > dustMm2) changes.push(`${Math.round(painted.cutMm2)} mm² painted over in white were cut out`);
  if (overlapMm2 > dustMm2) changes.push(`${Math.round(overlapMm2)} mm² of overlaps united`);
  if (united.length > kept.length) changes.push(`${plural(united.length - kept.length, 'speck')} of dust left out`);
  if (open.length > 0)
    changes.push(`${plural(open.length, 'line')} left open: they bound nothing, so nothing is cut there`);
  return success({ outline, changes, open });
};
