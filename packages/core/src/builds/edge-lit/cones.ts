import type { Ring } from '../../base/outlines/index.js';
import { clearSheetOf, edgeFitOf } from './sheet-light.js';
import type { PanelResults } from './results.js';

/** Rays that enter are drawn up to so many thicknesses into the sheet. */
const drawnThicknesses = 6;

/**
 * The light of the LEDs as the slice meets it: from the emitter to the edge as wide as its half beam, and inside as wide as rays
 * are bent there, up to where they meet the faces.
 */
export const panelCones = (results: PanelResults, spread: number): readonly Ring[] => {
  const { runs, geometry, assembly, materials } = results;
  const { thicknessMm } = geometry;
  const { index } = clearSheetOf(assembly, materials);
  const { emitterMm, gapMm } = edgeFitOf(assembly, materials);
  const sine = Math.sin(Math.atan(spread)) / index;
  const inside = sine / Math.sqrt(1 - sine * sine);
  return runs.segments
    .filter(({ on }) => on === 'bottom' || on === 'top')
    .flatMap(({ from, normal }): readonly Ring[] => {
      const [y, z] = [from[1], from[2]];
      const way = normal[1];
      const edge = y + way * gapMm;
      const half = emitterMm / 2;
      const [wide, low, high] = [
        half + gapMm * spread,
        Math.max(0, z - half - gapMm * spread),
        Math.min(thicknessMm, z + half + gapMm * spread),
      ];
      const gap: Ring = [
        [z - half, y],
        [z + half, y],
        [z + wide, edge],
        [z - wide, edge],
      ];
      if (high <= low) return [gap];
      const reach = Math.min(drawnThicknesses * thicknessMm, geometry.sheet.height);
      const up = (from: number, to: number): number => edge + way * Math.min(reach, Math.abs(to - from) / inside);
      return [
        gap,
        [
          [low, edge],
          [high, edge],
          [thicknessMm, up(high, thicknessMm)],
          [thicknessMm, edge + way * reach],
          [0, edge + way * reach],
          [0, up(low, 0)],
        ],
      ];
    });
};
