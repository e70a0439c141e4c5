import earcut from 'earcut';
import { solidParts, type Outline, type Ring } from '../../base/outlines/index.js';
import type { Layer, Triangles } from './types.js';

/** A flat region at one height, facing up or down. */
const addCap = (out: number[], region: Outline, z: number, up: boolean): void => {
  for (const part of solidParts(region)) {
    const corners = part.flat();
    const flat = corners.flatMap(([x, y]) => [x, y]);
    const holes = part.slice(1).map((_, hole) => part.slice(0, hole + 1).reduce((sum, ring) => sum + ring.length, 0));
    const triangles = earcut(flat, holes, 2);
    for (let at = 0; at < triangles.length; at += 3) {
      const [a, b, c] = [0, 1, 2].map((corner) => corners[triangles[at + corner]!]!) as [
        Ring[number],
        Ring[number],
        Ring[number],
      ];
      const anticlockwise = (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]) > 0;
      for (const [x, y] of anticlockwise === up ? [a, b, c] : [a, c, b]) out.push(x, y, z);
    }
  }
};

/** The side of a ring from one height to another; outer rings run anticlockwise, holes clockwise, so it faces out. */
const addSide = (out: number[], ring: Ring, low: number, high: number): void =>
  ring.forEach(([x1, y1], at) => {
    const [x2, y2] = ring[(at + 1) % ring.length]!;
    out.push(x1, y1, low, x2, y2, low, x2, y2, high);
    out.push(x1, y1, low, x2, y2, high, x1, y1, high);
  });

/**
 * A solid of layers stacked without gaps, each within the one below, as a closed surface. Two neighbours share a ring (the
 * same object), or their rings do not touch: then sides and caps meet edge to edge, and the surface is watertight. Rings
 * have no corners on straight lines, which triangulation (earcut) would drop.
 */
export const stacked = (layers: readonly Layer[]): Triangles => {
  const out: number[] = [];
  layers.forEach(({ outline, fromMm, toMm }, at) => {
    for (const ring of outline) addSide(out, ring, fromMm, toMm);
    const above = layers[at + 1]?.outline ?? [];
    if (at === 0) addCap(out, outline, fromMm, false);
    // What the layer above leaves uncovered: the rings that only one of them has, those above turned round.
    const uncovered = [
      ...outline.filter((ring) => !above.includes(ring)),
      ...above.filter((ring) => !outline.includes(ring)).map((ring) => [...ring].reverse()),
    ];
    addCap(out, uncovered, toMm, true);
  });
  return Float64Array.from(out);
};
