import type { Strip } from '../../document/catalogue/index.js';
import type { HaloMaterials } from './materials.js';
import type { HaloAssembly } from './schema.js';
import type { LettersGeometry } from '../../light/geometry/index.js';
import { placePosts, postsIn, type Post, type PostedPart } from '../../light/wall/index.js';
import { byShape, type Outline } from '../../base/outlines/index.js';

/** Strip, joints and solder of letters, by their area (kg/m²); typical. */
const fittedKgPerM2 = 0.5;
/** Between the strip and a post inside it (mm): strip cuts corners a little, and must not be broken for a post. */
const clearOfStripMm = 6;
/** Material that must stand round a post (mm). */
const roundPostMm = 3;
/** Thin posts carry little and need less: so many times their diameter. */
const roundPostTimes = 0.75;

/** How heavy letters are by their area (kg/m²); returns are left out. */
export const letterKgPerM2 = ({ frontMm, backMm }: LettersGeometry, { board }: HaloMaterials): number =>
  ((frontMm + backMm) * board.densityKgM3) / 1000 + fittedKgPerM2;

/** Posts of a part moved with it. */
const movedPosts = (posts: readonly Post[], dx: number, dy: number): readonly Post[] =>
  posts.map(({ at: [x, y], diameterMm }) => ({ at: [x + dx, y + dy], diameterMm }));

/** Posts solved once for each shape of letter. */
export const postsByShape = () => byShape(postsIn, movedPosts);

/** Posts of halo letters: inside the strip when that follows the outline, else wherever the material carries them. */
export const haloPosts = (
  outline: Outline,
  kgPerM2: number,
  posts: HaloAssembly['posts'],
  light: HaloAssembly['light'],
  strip: Strip,
  solve = postsIn,
): readonly PostedPart[] => {
  const shownMm = light.standing ? strip.heightMm : strip.widthMm;
  const stripReach = light.setbackMm + shownMm + (light.lineCount - 1) * light.linePitchMm + clearOfStripMm;
  const options = {
    diameterMm: posts.diameterMm,
    insideMm: light.layout === 'outline' ? stripReach : Math.min(roundPostMm, roundPostTimes * posts.diameterMm),
    perPostKg: posts.perPostKg,
    kgPerM2,
    pinned: (posts.pinned ?? []).map(({ xMm, yMm }) => [xMm, yMm] as const),
  };
  return placePosts(outline, options, solve);
};
