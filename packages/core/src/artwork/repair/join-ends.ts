import Flatbush from 'flatbush';
import type { DrawnPath } from '../drawings/index.js';
import type { Point } from '../../base/outlines/index.js';

/** Ends this near are the same place (mm), and joining them is nothing to tell of. */
const sameMm = 1e-3;

/** Lines after their ends have been joined, and how that went. */
export interface Joined {
  readonly closed: readonly (readonly Point[])[];
  readonly open: readonly (readonly Point[])[];
  /** Joints made, and the widest gap bridged by one (mm). */
  readonly joints: number;
  readonly widestMm: number;
}

interface End {
  readonly line: number;
  readonly atStart: boolean;
  readonly at: Point;
}

/** Ends by their place, so that near ones are found at once: start and end of each line in turn. */
const endsNear = (lines: readonly (readonly Point[])[], toleranceMm: number) => {
  const count = 2 * lines.length;
  if (count === 0) return (): readonly End[] => [];
  const index = new Flatbush(count);
  const endOf = (at: number): End => {
    const [line, atStart] = [at >> 1, at % 2 === 0];
    const points = lines[line]!;
    return { line, atStart, at: atStart ? points[0]! : points[points.length - 1]! };
  };
  for (let at = 0; at < count; at += 1) {
    const [x, y] = endOf(at).at;
    index.add(x, y, x, y);
  }
  index.finish();
  return ([x, y]: Point): readonly End[] =>
    index.search(x - toleranceMm, y - toleranceMm, x + toleranceMm, y + toleranceMm).map(endOf);
};

/**
 * Joins open lines end to end where they are no farther apart than `toleranceMm`, the nearest first, until they close or
 * no end is near. A line whose own ends are that near is closed.
 */
export const joinEnds = (paths: readonly DrawnPath[], toleranceMm: number): Joined => {
  const lines = paths.filter(({ closed }) => !closed).map(({ points }) => points);
  const near = endsNear(lines, toleranceMm);
  const used = new Set<number>();
  const closed = paths.filter((path) => path.closed).map(({ points }) => points);
  const open: (readonly Point[])[] = [];
  let [joints, widestMm] = [0, 0];
  const gap = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
  const joint = (wide: number): void => {
    if (wide < sameMm) return;
    joints += 1;
    widestMm = Math.max(widestMm, wide);
  };

  /** Grows a chain at its end as far as it goes. */
  const grow = (chain: Point[]): void => {
    for (;;) {
      const tail = chain[chain.length - 1]!;
      let best: End | null = null;
      for (const end of near(tail))
        if (
          !used.has(end.line) &&
          gap(end.at, tail) <= toleranceMm &&
          (best === null || gap(end.at, tail) < gap(best.at, tail))
        )
          best = end;
      const own = chain.length > 2 ? gap(chain[0]!, tail) : Infinity;
      if (best === null || own <= gap(best.at, tail)) return;
      used.add(best.line);
      const more = lines[best.line]!;
      joint(gap(best.at, tail));
      chain.push(...(best.atStart ? more : [...more].reverse()).slice(gap(best.at, tail) === 0 ? 1 : 0));
    }
  };

  lines.forEach((points, line) => {
    if (used.has(line)) return;
    used.add(line);
    const chain = [...points];
    grow(chain);
    if (chain.length < 3 || gap(chain[0]!, chain[chain.length - 1]!) > toleranceMm) {
      chain.reverse();
      grow(chain);
    }
    const wide = gap(chain[0]!, chain[chain.length - 1]!);
    if (chain.length > 2 && wide <= toleranceMm) {
      if (wide > 0) joint(wide);
      closed.push(wide === 0 ? chain.slice(0, -1) : chain);
    } else open.push(chain);
  });
  return { closed: closed.filter((ring) => ring.length > 2), open, joints, widestMm };
};
