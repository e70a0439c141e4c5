import type { Point, Ring } from '../../base/outlines/index.js';
import { clearSheetOf, edgeFitOf } from './sheet-light.js';
import type { PanelResults } from './results.js';

/** Rays that enter are drawn up to so many thicknesses into the sheet. */
const drawnThicknesses = 12;

/** Of the steepest ray, so steep are those that are drawn; and so wide (mm). */
const drawnSlopes = [0.35, 0.7, 1] as const;
const rayMm = 0.45;

/** A ray in the sheet as a thin band: from the edge, thrown from face to face, until it leaves what is drawn. */
const zigzag = (
  fromZ: number,
  edgeY: number,
  way: number,
  slope: number,
  thicknessMm: number,
  reachMm: number,
): Ring => {
  const points: Point[] = [[fromZ, edgeY]];
  let [z, along, toFront] = [fromZ, 0, slope > 0];
  const rise = Math.abs(slope);
  while (along < reachMm && points.length < 60) {
    const wall = toFront ? thicknessMm : 0;
    const step = Math.min(Math.abs(wall - z) / rise, reachMm - along);
    along += step;
    z += (toFront ? 1 : -1) * step * rise;
    toFront = !toFront;
    points.push([z, edgeY + way * along]);
  }
  return [...points, ...points.map(([pz, py]): Point => [pz, py + rayMm * way]).reverse()];
};

/**
 * The light of the LEDs as the slice meets it: from the emitter to the edge as wide as its half beam, and inside as single rays up to
 * the steepest that the edge bends in.
 */
export const panelCones = (results: PanelResults, spread: number): readonly Ring[] => {
  const { runs, geometry, assembly, materials } = results;
  const { thicknessMm } = geometry;
  const { index } = clearSheetOf(assembly, materials, geometry);
  const { emitterMm, gapMm } = edgeFitOf(assembly, materials);
  const sine = Math.sin(Math.atan(spread)) / index;
  const steepest = sine / Math.sqrt(1 - sine * sine);
  return runs.segments
    .filter(({ on }) => on === 'bottom' || on === 'top')
    .flatMap(({ from, normal }): readonly Ring[] => {
      const [y, z] = [from[1], from[2]];
      const way = normal[1];
      const edge = y + way * gapMm;
      const half = emitterMm / 2;
      const wide = half + gapMm * spread;
      const gap: Ring = [
        [z - half, y],
        [z + half, y],
        [z + wide, edge],
        [z - wide, edge],
      ];
      if (z + half <= 0 || z - half >= thicknessMm) return [gap];
      const begins = Math.min(thicknessMm, Math.max(0, z));
      const reach = Math.min(drawnThicknesses * thicknessMm, geometry.sheet.height);
      return [
        gap,
        ...drawnSlopes.flatMap((share) =>
          [1, -1].map((side) => zigzag(begins, edge, way, side * share * steepest, thicknessMm, reach)),
        ),
      ];
    });
};
