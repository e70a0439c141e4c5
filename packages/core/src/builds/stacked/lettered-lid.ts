import { sum } from '../../base/maths/index.js';
import { intersect, outlineArea, ringLength, solidParts, subtract, type Outline } from '../../base/outlines/index.js';
import { inlayOf } from '../common/inlays.js';
import type { StackedGeometry } from './geometry.js';
import type { StackedMaterials } from './materials.js';
import type { LetteredLid } from './results.js';
import type { LidDesign } from './schema.js';

/** Cuts the letters out of the lid, and lets their own stuff in. */
export const letteredLid = (
  letters: Outline,
  { outline, inside }: StackedGeometry,
  design: LidDesign,
  { lid, inlay }: StackedMaterials,
): LetteredLid => {
  const all = Math.abs(outlineArea(letters));
  const pockets = letters.length === 0 ? [] : intersect(letters, outline);
  const lit = letters.length === 0 ? 0 : Math.abs(outlineArea(intersect(letters, inside)));
  const solid = pockets.length === 0 ? outline : subtract(outline, pockets);
  return {
    pockets,
    solid,
    inlay: inlayOf(design.inlay.overMm, lid, inlay, pockets, solidParts(solid)),
    strokeMm: all > 0 ? (2 * all) / sum(letters.map(ringLength)) : null,
    overWallShare: all > 0 ? Math.max(0, 1 - lit / all) : 0,
  };
};
