import type { Point, Ring } from '../../base/outlines/index.js';
import type { CutPart, PartShape } from '../parts/index.js';

/** Shorter steps of a line are none: no machine follows them, and many stop at them (mm). */
const leastStepMm = 0.01;

const near = (a: Point, b: Point): boolean => Math.hypot(b[0] - a[0], b[1] - a[1]) < leastStepMm;

/** A line without its shortest steps; ends of an open one stay. */
const tidied = (points: Ring, closed: boolean): Ring => {
  const kept: Point[] = [];
  for (const point of points) if (kept.length === 0 || !near(kept.at(-1)!, point)) kept.push(point);
  const last = points.at(-1);
  if (closed) while (kept.length > 3 && near(kept.at(-1)!, kept[0]!)) kept.pop();
  else if (last !== undefined && kept.length > 1 && kept.at(-1) !== last) kept[kept.length - 1] = last;
  return kept;
};

const tidyShape = (shape: PartShape): PartShape => {
  if (shape.kind === 'outline')
    return { ...shape, outline: shape.outline.map((ring) => tidied(ring, true)).filter((ring) => ring.length > 2) };
  return shape.kind === 'path' ? { ...shape, points: tidied(shape.points, shape.closed) } : shape;
};

/** A part as machines take it: without steps shorter than a hundredth of a millimetre. */
export const tidyPart = (part: CutPart): CutPart => ({
  ...part,
  layers: part.layers.map((layer) => ({ ...layer, shapes: layer.shapes.map(tidyShape) })),
});
