import type { Operation, PartLayer, PartShape } from './types.js';

/** A layer of a part’s drawing, so deep where it does not go through; none without shapes. */
export const layerOf = (operation: Operation, shapes: readonly PartShape[], depthMm?: number): readonly PartLayer[] =>
  shapes.length === 0 ? [] : [depthMm === undefined ? { operation, shapes } : { operation, shapes, depthMm }];

/** What is worked to several depths, a layer for each of them. */
export const layersByDepth = (
  operation: Operation,
  worked: readonly { readonly depthMm: number; readonly shapes: readonly PartShape[] }[],
): readonly PartLayer[] =>
  [...new Set(worked.map(({ depthMm }) => depthMm))].flatMap((depthMm) =>
    layerOf(
      operation,
      worked.filter((each) => each.depthMm === depthMm).flatMap(({ shapes }) => shapes),
      depthMm,
    ),
  );
