import type { Point3 } from '../../light/runs/index.js';

/** The way of a wire: where it runs, both ends included, and the holes it goes through. */
export interface Route {
  readonly path: readonly Point3[];
  readonly holes: readonly Point3[];
}

/** Finds the way of a wire between two places of the sign. */
export type Router = (from: Point3, to: Point3) => Route;

/** Straight across, through nothing. */
export const straight: Router = (from, to) => ({ path: [from, to], holes: [] });

export const routeLengthMm = ({ path }: Route): number => {
  let length = 0;
  for (let place = 1; place < path.length; place += 1) {
    const [a, b] = [path[place - 1]!, path[place]!];
    length += Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
  }
  return length;
};
