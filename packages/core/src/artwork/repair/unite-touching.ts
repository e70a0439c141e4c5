import { outlineArea, outlineBounds, unite, type Outline, type Rect } from '../../base/outlines/index.js';

/** Outlines made into one, and how much of them lay over each other (mm²). */
export interface United {
  readonly outline: Outline;
  readonly overlapMm2: number;
}

interface Placed {
  readonly outline: Outline;
  readonly bounds: Rect;
}

/** Outlines in the order of one axis, parted wherever none of them lies across. */
const partedAlong = (placed: readonly Placed[], axis: 'x' | 'y'): readonly (readonly Placed[])[] => {
  const size = axis === 'x' ? 'width' : 'height';
  const groups: Placed[][] = [];
  let reach = -Infinity;
  for (const each of [...placed].sort((a, b) => a.bounds[axis] - b.bounds[axis])) {
    if (each.bounds[axis] > reach) groups.push([]);
    groups[groups.length - 1]!.push(each);
    reach = Math.max(reach, each.bounds[axis] + each.bounds[size]);
  }
  return groups;
};

/** What is parted along one axis may then be parted along the other, so often. */
const mostPartings = 12;

/** Outlines that may touch together, by their bounds: parted by clear lines across, then down, then across again. */
const touching = (
  placed: readonly Placed[],
  axis: 'x' | 'y' = 'x',
  partings = 0,
  tried = false,
): readonly (readonly Placed[])[] => {
  if (placed.length < 2 || partings >= mostPartings) return [placed];
  const groups = partedAlong(placed, axis);
  const other = axis === 'x' ? 'y' : 'x';
  if (groups.length === 1) return tried ? [placed] : touching(placed, other, partings + 1, true);
  return groups.flatMap((group) => touching(group, other, partings + 1));
};

/** So many are united at once: what lies many times over the same place is soon little. */
const atOnce = 32;

/** Clean outlines united a few at a time, and what comes of that again. */
const uniteAll = (outlines: readonly Outline[]): Outline => {
  if (outlines.length <= atOnce) return unite(outlines.flat());
  const next: Outline[] = [];
  for (let from = 0; from < outlines.length; from += atOnce)
    next.push(unite(outlines.slice(from, from + atOnce).flat()));
  return uniteAll(next);
};

/** Unites clean outlines, only those that may touch together: a drawing of many parts costs no more than its parts. */
export const uniteTouching = (outlines: readonly Outline[]): United => {
  const placed = outlines
    .flatMap((outline): readonly Placed[] => {
      const bounds = outlineBounds(outline);
      return bounds === null ? [] : [{ outline, bounds }];
    })
    .sort((a, b) => a.bounds.x - b.bounds.x);
  // From left to right, whichever way they were parted: an outline is written the same at every reading.
  const order = new Map(placed.map((each, at) => [each, at] as const));
  const groups = touching(placed)
    .map((group) => [...group].sort((a, b) => order.get(a)! - order.get(b)!))
    .sort((a, b) => order.get(a[0]!)! - order.get(b[0]!)!);
  let overlapMm2 = 0;
  const united = groups.flatMap((group): Outline => {
    if (group.length === 1) return group[0]!.outline;
    const whole = uniteAll(group.map(({ outline }) => outline));
    overlapMm2 += group.reduce((sum, { outline }) => sum + outlineArea(outline), 0) - outlineArea(whole);
    return whole;
  });
  return { outline: united, overlapMm2 };
};
