import { ringArea, type Ring } from '../../base/outlines/index.js';
import type { CutPart } from '../parts/index.js';

/** Inside before outside, small before large: what is within a ring is always smaller than it. */
export const inCuttingOrder = <Item>(items: readonly Item[], ringOf: (item: Item) => Ring): readonly Item[] =>
  items
    .map((item) => ({ item, area: Math.abs(ringArea(ringOf(item))) }))
    .sort((a, b) => a.area - b.area)
    .map(({ item }) => item);

/** A part whose outlines are cut in that order. */
export const cutInOrder = (part: CutPart): CutPart => ({
  ...part,
  layers: part.layers.map((layer) =>
    layer.operation === 'cut'
      ? {
          ...layer,
          shapes: layer.shapes.map((shape) =>
            shape.kind === 'outline' ? { ...shape, outline: inCuttingOrder(shape.outline, (ring) => ring) } : shape,
          ),
        }
      : layer,
  ),
});
