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

/** Outlines whose bounds touch, put together; found by a sweep from left to right. */
const touching = (placed: readonly Placed[]): readonly (readonly Placed[])[] => {
  const parent = placed.map((_, at) => at);
  const rootOf = (at: number): number => {
    let root = at;
    while (parent[root] !== root) root = parent[root]!;
    return root;
  };
  let open: number[] = [];
  placed.forEach(({ bounds }, at) => {
    open = open.filter((other) => placed[other]!.bounds.x + placed[other]!.bounds.width >= bounds.x);
    for (const other of open) {
      const { y, height } = placed[other]!.bounds;
      if (y <= bounds.y + bounds.height && bounds.y <= y + height) parent[rootOf(other)] = rootOf(at);
    }
    open.push(at);
  });
  const groups = new Map<number, Placed[]>();
  placed.forEach((each, at) => groups.set(rootOf(at), [...(groups.get(rootOf(at)) ?? []), each]));
  return [...groups.values()];
};

/** Unites clean outlines, only those that may touch together: a drawing of many parts costs no more than its parts. */
export const uniteTouching = (outlines: readonly Outline[]): United => {
  const placed = outlines
    .flatMap((outline): readonly Placed[] => {
      const bounds = outlineBounds(outline);
      return bounds === null ? [] : [{ outline, bounds }];
    })
    .sort((a, b) => a.bounds.x - b.bounds.x);
  let overlapMm2 = 0;
  const united = touching(placed).flatMap((group): Outline => {
    if (group.length === 1) return group[0]!.outline;
    const whole = unite(group.flatMap(({ outline }) => outline));
    overlapMm2 += group.reduce((sum, { outline }) => sum + outlineArea(outline), 0) - outlineArea(whole);
    return whole;
  });
  return { outline: united, overlapMm2 };
};
