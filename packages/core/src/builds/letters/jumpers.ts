import type { WireRun } from '../../power/circuit/index.js';
import type { Jumper, Point3 } from '../../light/runs/index.js';
import { lengthInside, ringsNear, type Outline, type Point } from '../../base/outlines/index.js';

const flat = ([x, y]: Point3): Point => [x, y];

/** How much of a way lies where no letter hides it. */
const openLength = (path: readonly Point[], near: ReturnType<typeof ringsNear>): number =>
  path.slice(1).reduce((sum, to, index) => {
    const from = path[index]!;
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    return sum + Math.max(0, length - lengthInside(from, to, near(from, to)));
  }, 0);

/** Wires as they lie in letters, and how much of each no letter hides; behind the wall nothing is seen. */
export const jumpersOf = (wires: readonly WireRun[], outline: Outline): readonly Jumper[] => {
  const near = ringsNear(outline);
  return wires.map(({ from, to, at, path, holes, lengthMm }): Jumper => {
    const way = path.map(flat);
    return {
      from,
      to,
      at: [flat(at[0]), flat(at[1])],
      path: way,
      holes: holes.map(flat),
      lengthMm,
      openMm: holes.length > 0 ? 0 : openLength(way, near),
    };
  });
};
