import { moveOutline } from '../../base/outlines/index.js';
import type { PartLayer, PartShape } from '../parts/index.js';

/** A shape moved right and up. */
export const movedShape = (shape: PartShape, by: number): PartShape => {
  switch (shape.kind) {
    case 'outline':
      return { ...shape, outline: moveOutline(shape.outline, by, by) };
    case 'hole':
      return { ...shape, x: shape.x + by, y: shape.y + by };
    case 'path':
      return { ...shape, points: shape.points.map(([x, y]) => [x + by, y + by] as const) };
    case 'line':
      return {
        ...shape,
        from: [shape.from[0] + by, shape.from[1] + by],
        to: [shape.to[0] + by, shape.to[1] + by],
      };
  }
};

/** Layers of a drawing, moved right and up. */
export const movedLayers = (drawn: readonly PartLayer[], by: number): readonly PartLayer[] =>
  drawn.map((layer) => ({ ...layer, shapes: layer.shapes.map((shape) => movedShape(shape, by)) }));
