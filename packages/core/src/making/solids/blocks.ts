import type { Triangles } from './types.js';

/** A box by its bounds along x, y and z (mm). */
export interface Block {
  readonly x: readonly [number, number];
  readonly y: readonly [number, number];
  readonly z: readonly [number, number];
}

/** A round bore along one axis is cut in steps no coarser than this (mm): finer than a nozzle lays down. */
const stepMm = 0.4;
/** Places nearer to each other than this are one (mm). */
const sameMm = 1e-6;

const axes = ['x', 'y', 'z'] as const;
type Axis = (typeof axes)[number];

/** A round bore along an axis as blocks: `at` are the two other coordinates of its middle, in the order of the axes. */
export const boreAlong = (
  axis: Axis,
  [first, second]: readonly [number, number],
  diameterMm: number,
  reach: readonly [number, number],
): readonly Block[] => {
  const radius = diameterMm / 2;
  const count = Math.max(4, 2 * Math.round(radius / stepMm));
  const others = axes.filter((each) => each !== axis) as [Axis, Axis];
  return Array.from({ length: count }, (_, slab): Block => {
    const [from, to] = [-radius + (diameterMm * slab) / count, -radius + (diameterMm * (slab + 1)) / count];
    const half = Math.sqrt(Math.max(0, radius ** 2 - ((from + to) / 2) ** 2));
    const own = {
      [axis]: reach,
      [others[0]]: [first + from, first + to],
      [others[1]]: [second - half, second + half],
    };
    return own as unknown as Block;
  });
};

/** Every coordinate along an axis at which some block begins or ends. */
const placesOf = (blocks: readonly Block[], axis: Axis): readonly number[] => {
  const all = blocks.flatMap((block) => [...block[axis]]).sort((a, b) => a - b);
  return all.filter((value, at) => at === 0 || value - all[at - 1]! > sameMm);
};

type Corner = readonly [x: number, y: number, z: number];

/** Two triangles over a rectangle, anticlockwise seen from where `out` points. */
const addFace = (into: number[], [a, b, c, d]: readonly [Corner, Corner, Corner, Corner], outward: boolean): void => {
  for (const corner of outward ? [a, b, c, a, c, d] : [a, c, b, a, d, c]) into.push(...corner);
};

/**
 * What is in some block of `added` and in none of `taken`, as a closed surface. All faces lie on one common grid, so that they meet
 * edge to edge and the surface is watertight.
 */
export const solidOfBlocks = (added: readonly Block[], taken: readonly Block[]): Triangles => {
  const all = [...added, ...taken];
  const [xs, ys, zs] = axes.map((axis) => placesOf(all, axis)) as [
    readonly number[],
    readonly number[],
    readonly number[],
  ];
  const [nx, ny, nz] = [xs.length - 1, ys.length - 1, zs.length - 1];
  const full = new Uint8Array(Math.max(0, nx * ny * nz));
  const first = (places: readonly number[], value: number): number =>
    places.findIndex((place) => place > value - sameMm);
  const paint = (blocks: readonly Block[], value: number): void => {
    for (const { x, y, z } of blocks) {
      const [x0, x1] = [first(xs, x[0]), first(xs, x[1])];
      const [y0, y1] = [first(ys, y[0]), first(ys, y[1])];
      const [z0, z1] = [first(zs, z[0]), first(zs, z[1])];
      for (let k = z0; k < z1; k += 1)
        for (let j = y0; j < y1; j += 1) for (let i = x0; i < x1; i += 1) full[(k * ny + j) * nx + i] = value;
    }
  };
  paint(added, 1);
  paint(taken, 0);
  const isFull = (i: number, j: number, k: number): boolean =>
    i >= 0 && j >= 0 && k >= 0 && i < nx && j < ny && k < nz && full[(k * ny + j) * nx + i] === 1;
  const out: number[] = [];
  for (let k = 0; k < nz; k += 1)
    for (let j = 0; j < ny; j += 1)
      for (let i = 0; i < nx; i += 1) {
        if (!isFull(i, j, k)) continue;
        const [x0, x1, y0, y1, z0, z1] = [xs[i]!, xs[i + 1]!, ys[j]!, ys[j + 1]!, zs[k]!, zs[k + 1]!];
        const across = (x: number) =>
          [
            [x, y0, z0],
            [x, y1, z0],
            [x, y1, z1],
            [x, y0, z1],
          ] as const;
        const along = (y: number) =>
          [
            [x0, y, z0],
            [x0, y, z1],
            [x1, y, z1],
            [x1, y, z0],
          ] as const;
        const up = (z: number) =>
          [
            [x0, y0, z],
            [x1, y0, z],
            [x1, y1, z],
            [x0, y1, z],
          ] as const;
        if (!isFull(i + 1, j, k)) addFace(out, across(x1), true);
        if (!isFull(i - 1, j, k)) addFace(out, across(x0), false);
        if (!isFull(i, j + 1, k)) addFace(out, along(y1), true);
        if (!isFull(i, j - 1, k)) addFace(out, along(y0), false);
        if (!isFull(i, j, k + 1)) addFace(out, up(z1), true);
        if (!isFull(i, j, k - 1)) addFace(out, up(z0), false);
      }
  return Float64Array.from(out);
};
