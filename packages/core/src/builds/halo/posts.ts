import type { Strip } from '../../document/catalogue/index.js';
import type { HaloMaterials } from './materials.js';
import type { HaloAssembly } from './schema.js';
import type { LettersGeometry } from '../../light/geometry/index.js';
import type { LetterRuns } from '../../light/runs/index.js';
import type { Post } from '../../light/wall/index.js';
import { placePosts, type PostedPart, type StripBand } from '../../making/hanging/index.js';
import type { Outline, Point } from '../../base/outlines/index.js';

/** Strip, joints and solder of letters, by their area (kg/m²); typical. */
const fittedKgPerM2 = 0.5;
/** Between the strip and a post beside it (mm): room for solder and fingers. */
const clearOfStripMm = 3;
/** Between a post and the hole or clip that takes it, each way (mm); typical. */
const playMm = 0.25;
/** Material that must stand round a post (mm). */
const roundPostMm = 3;
/** Thin posts carry little and need less: so many times their diameter. */
const roundPostTimes = 0.75;

/** How heavy letters are by their area (kg/m²); returns are left out. */
export const letterKgPerM2 = ({ frontMm, backMm }: LettersGeometry, { board }: HaloMaterials): number =>
  ((frontMm + backMm) * board.densityKgM3) / 1000 + fittedKgPerM2;

/** Posts put by hand, which strip keeps off. */
export const pinnedPosts = ({ pinned, diameterMm }: HaloAssembly['posts']): readonly Post[] =>
  (pinned ?? []).map(({ xMm, yMm }) => ({ at: [xMm, yMm], diameterMm }));

/** How strip along the outline bounds posts; strip laid otherwise makes way for them. */
export const stripBandOf = (
  { setbackMm, standing, lineCount, linePitchMm }: HaloAssembly['light'],
  strip: Strip,
  segments: LetterRuns['segments'],
): StripBand => {
  const halfMm = (standing ? strip.heightMm : strip.widthMm) / 2;
  return {
    lines: segments.map(({ path }) => path.map(([x, y]): Point => [x, y])),
    halfMm,
    clearMm: clearOfStripMm,
    deepMm: setbackMm + halfMm + (lineCount - 1) * linePitchMm,
  };
};

/** Posts of halo letters: inside the strip where that follows the outline, else wherever the material carries them. */
export const haloPosts = (
  outline: Outline,
  kgPerM2: number,
  posts: HaloAssembly['posts'],
  strip: StripBand | null,
): readonly PostedPart[] =>
  placePosts(outline, {
    diameterMm: posts.diameterMm,
    roundMm: Math.min(roundPostMm, roundPostTimes * posts.diameterMm),
    strip,
    perPostKg: posts.perPostKg,
    kgPerM2,
    playMm,
    pinned: (posts.pinned ?? []).map(({ xMm, yMm }) => [xMm, yMm] as const),
  });
