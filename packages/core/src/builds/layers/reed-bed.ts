import { ringArea, unite, type Outline, type Point, type Ring } from '../../base/outlines/index.js';

/** Half of the inside of the demo’s case (mm). */
const [halfX, halfY] = [288, 138];

/** A closed curve through points, rounded by four steps between each two (Catmull–Rom). */
const smooth = (points: readonly Point[]): Ring =>
  points.flatMap((from, at): Ring => {
    const of = (step: number): Point => points[(at + step + points.length) % points.length]!;
    const [before, to, after] = [of(-1), of(1), of(2)];
    return [0, 0.25, 0.5, 0.75].map((t): Point => {
      const part = (axis: 0 | 1): number =>
        0.5 *
        (2 * from[axis] +
          (to[axis] - before[axis]) * t +
          (2 * before[axis] - 5 * from[axis] + 4 * to[axis] - after[axis]) * t * t +
          (3 * from[axis] - before[axis] - 3 * to[axis] + after[axis]) * t * t * t);
      return [part(0), part(1)];
    });
  });

/** A reed from the ground up: `lean` to the side at its tip, with a seed head on the taller ones. */
const reed = (x: number, high: number, lean: number, wide: number): Outline => {
  const foot = -halfY - 5;
  const at = (share: number): Point => [x + lean * share * share, foot + high * share];
  const sides = Array.from({ length: 9 }, (_, step) => step / 8);
  const half = (share: number): number => (wide / 2) * (1 - 0.55 * share);
  const stem: Ring = [
    ...sides.map((share): Point => [at(share)[0] + half(share), at(share)[1]]),
    ...[...sides].reverse().map((share): Point => [at(share)[0] - half(share), at(share)[1]]),
  ];
  if (high < 170) return [stem];
  const [tipX, tipY] = at(0.97);
  const head = smooth([
    [tipX + 5.5, tipY - 34],
    [tipX + 7, tipY - 12],
    [tipX, tipY + 6],
    [tipX - 7, tipY - 12],
    [tipX - 5.5, tipY - 34],
  ]);
  return [stem, head];
};

/** Ground along the bottom of a sheet, its edge wavy: everything on the sheet hangs together by it. */
const ground = (high: number, wave: number, shift: number): Ring => [
  [-halfX, -halfY],
  [halfX, -halfY],
  ...Array.from({ length: 25 }, (_, step): Point => {
    const x = halfX - (2 * halfX * step) / 24;
    return [x, -halfY + high + wave * Math.sin(x / 47 + shift)];
  }),
];

/** Rings as a design keeps a drawing. */
const asDrawing = (name: string, outline: Outline) => ({
  name,
  scale: 1,
  rings: unite(outline.map((ring) => (ringArea(ring) < 0 ? [...ring].reverse() : ring))).map((ring) =>
    ring.flatMap(([x, y]) => [Math.round(10 * x) / 10, Math.round(10 * y) / 10]),
  ),
});

/** Hills on the far bank. */
export const farBank = asDrawing('far bank', [
  smooth([
    [-halfX - 30, -halfY - 30],
    [halfX + 30, -halfY - 30],
    [halfX + 30, 18],
    [200, 34],
    [120, 12],
    [30, 2],
    [-60, 26],
    [-150, 50],
    [-230, 30],
    [-halfX - 30, 40],
  ]),
]);

export const farReeds = asDrawing('far reeds', [
  ground(44, 6, 0.4),
  ...[-262, -236, -206, -150, -64, 66, 96, 168, 204, 246].flatMap((x, at) =>
    reed(x, 150 + 17 * ((at * 7) % 5), at % 2 === 0 ? 10 : -8, 11),
  ),
]);

/** An otter that swims to the left, its head up, on the water that carries it. */
export const otter = asDrawing('otter', [
  ground(34, 4, 2.2),
  smooth([
    [-120, -112],
    [-118, -78],
    [-112, -52],
    [-116, -36],
    [-128, -30],
    [-133, -22],
    [-126, -14],
    [-114, -9],
    [-104, 2],
    [-97, 0],
    [-93, -7],
    [-84, -16],
    [-78, -32],
    [-70, -50],
    [-48, -60],
    [-12, -58],
    [24, -62],
    [60, -72],
    [92, -84],
    [128, -88],
    [166, -80],
    [172, -86],
    [140, -102],
    [100, -112],
    [20, -118],
    [-60, -118],
  ]),
]);

export const nearReeds = asDrawing('near reeds', [
  ground(22, 4, 1.1),
  ...[-250, -222, -196, 196, 222, 252].flatMap((x, at) =>
    reed(x, 186 + 15 * ((at * 3) % 4), at < 3 ? 16 - 5 * at : -16 + 5 * (at - 3), 14),
  ),
]);
