import type { HaloMaterials } from '../../catalogue/index.js';
import type { HaloAssembly } from '../../design/index.js';
import type { LettersGeometry } from '../../geometry/index.js';
import { placePosts, type PostedPart } from '../../halo/index.js';
import type { Outline } from '../../outlines/index.js';

/** Strip, joints and solder of letters, by their area (kg/m²); typical. */
const fittedKgPerM2 = 0.5;
/** Between the strip and a post inside it (mm): strip cuts corners a little, and must not be broken for a post. */
const clearOfStripMm = 6;
/** Material that must stand round a post (mm). */
const roundPostMm = 3;

/** How heavy letters are by their area (kg/m²); returns are left out. */
export const letterKgPerM2 = ({ frontMm, backMm }: LettersGeometry, { board }: HaloMaterials): number =>
  ((frontMm + backMm) * board.densityKgM3) / 1000 + fittedKgPerM2;

/** Posts of halo letters: inside the strip when that follows the outline, else wherever the material carries them. */
export const haloPosts = (
  outline: Outline,
  geometry: LettersGeometry,
  { posts, light }: HaloAssembly,
  materials: HaloMaterials,
): readonly PostedPart[] => {
  const { strip } = materials;
  const shownMm = light.standing ? strip.heightMm : strip.widthMm;
  const stripReach = light.setbackMm + shownMm + (light.lineCount - 1) * light.linePitchMm + clearOfStripMm;
  return placePosts(outline, {
    diameterMm: posts.diameterMm,
    insideMm: light.layout === 'outline' ? stripReach : roundPostMm,
    perPostKg: posts.perPostKg,
    kgPerM2: letterKgPerM2(geometry, materials),
    pinned: (posts.pinned ?? []).map(({ xMm, yMm }) => [xMm, yMm] as const),
  });
};
