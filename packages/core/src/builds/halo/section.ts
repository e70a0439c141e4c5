import type { HaloMaterials } from './materials.js';
import type { HaloAssembly } from './schema.js';
import type { LettersGeometry } from '../../light/geometry/index.js';
import type { PostedPart } from '../../making/hanging/index.js';
import type { LetterRuns } from '../../light/runs/index.js';
import { rectRing, solidParts, outlineBounds, type Outline } from '../../base/outlines/index.js';
import type { Section, SectionShape } from '../../light/section/index.js';
import { crossedAt, uprightStretches } from '../letters/upright.js';

const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;
/** How much of the wall is drawn behind the letters (mm). */
const wallDrawnMm = 12;
/** Drawn above and below the letters, where the glow falls (mm). */
const beyondMm = 60;

/** Where the slice is taken: through the first post of the widest letter, or its middle. */
const sliceXOf = (outline: Outline, posts: readonly PostedPart[]): number => {
  const parts = solidParts(outline);
  const widths = parts.map((part) => outlineBounds(part)?.width ?? 0);
  const widest = widths.indexOf(Math.max(...widths));
  const bounds = parts[widest] === undefined ? null : outlineBounds(parts[widest]);
  return posts[widest]?.posts[0]?.at[0] ?? (bounds === null ? 0 : bounds.x + bounds.width / 2);
};

const letterShapes = (
  outline: Outline,
  x: number,
  { rearZMm, frontZMm, frontMm, backMm, wallMm }: LettersGeometry,
  material: string,
): readonly SectionShape[] =>
  uprightStretches(outline, x).flatMap(([low, high]): readonly SectionShape[] => {
    const height = high - low;
    const shape = (z: number, y: number, depth: number, tall: number): readonly SectionShape[] =>
      depth > 0 && tall > 0
        ? [{ role: 'letter', material, ring: rectRing({ x: z, y, width: depth, height: tall }) }]
        : [];
    const between = frontZMm - frontMm - rearZMm - backMm;
    const wall = Math.min(wallMm, height / 2);
    return [
      ...shape(frontZMm - frontMm, low, frontMm, height),
      ...shape(rearZMm, low, backMm, height),
      ...(wallMm > 0
        ? [...shape(rearZMm + backMm, low, between, wall), ...shape(rearZMm + backMm, high - wall, between, wall)]
        : []),
    ];
  });

/** Places where segments of strip cross the upright line at x. */
const stripShapes = (
  runs: LetterRuns,
  x: number,
  geometry: LettersGeometry,
  { strip }: HaloMaterials,
  standing: boolean,
): readonly SectionShape[] => {
  const [deep, wide] = standing ? [strip.widthMm, strip.heightMm] : [strip.heightMm, strip.widthMm];
  return crossedAt(runs, x).map((y) => ({
    role: 'strip',
    material: strip.name,
    ring: rectRing({ x: geometry.bedZMm - deep, y: y - wide / 2, width: deep, height: wide }),
  }));
};

/** The slice through halo letters at x, top to bottom: wall, posts, strip, letters. */
export const haloSectionAt = (
  x: number,
  outline: Outline,
  geometry: LettersGeometry,
  assembly: HaloAssembly,
  materials: HaloMaterials,
  runs: LetterRuns,
  posts: readonly PostedPart[],
): Section => {
  const heightMm = geometry.outside.heightMm + 2 * beyondMm;
  const cut = posts
    .flatMap((part) => part.posts)
    .filter(({ at, diameterMm }) => Math.abs(at[0] - x) < diameterMm / 2 + 0.01);
  const { board, strip, wall, backFinish } = materials;
  const [lowest] = uprightStretches(outline, x);
  const beside = lowest === undefined ? 0 : lowest[0];
  const carried = assembly.light.standing ? 'on its side' : 'flat, facing the wall';
  return {
    shapes: [
      {
        role: 'wall',
        material: wall.name,
        ring: rectRing({ x: -wallDrawnMm, y: -heightMm / 2, width: wallDrawnMm, height: heightMm }),
      },
      ...cut.map(({ at, diameterMm }): SectionShape => ({
        role: 'post',
        material: 'post',
        ring: rectRing({
          x: 0,
          y: at[1] - diameterMm / 2,
          width: geometry.frontZMm - geometry.frontMm,
          height: diameterMm,
        }),
      })),
      ...letterShapes(outline, x, geometry, board.name),
      ...stripShapes(runs, x, geometry, materials, assembly.light.standing),
    ],
    layers: [
      {
        name: 'letter',
        detail:
          assembly.letters.form === 'plate'
            ? board.name
            : `${board.name}, hollow, ${mm(geometry.frontZMm - geometry.rearZMm)} deep, returns ${mm(geometry.wallMm)}, ${assembly.letters.back}`,
        at: [geometry.frontZMm, beside + 5],
      },
      { name: 'strip', detail: `${strip.name}, ${carried}`, at: [geometry.ledZMm, beside + assembly.light.setbackMm] },
      { name: 'setback', detail: `${mm(assembly.light.setbackMm)} from the edge`, at: [geometry.ledZMm, beside] },
      {
        name: 'standoff',
        detail: `${mm(geometry.standoffMm)} to the wall; LEDs ${mm(geometry.ledZMm)} over it`,
        at: [geometry.standoffMm / 2, beside],
      },
      {
        name: 'posts',
        detail: `${mm(assembly.posts.diameterMm)} thick`,
        at: [geometry.standoffMm / 2, cut[0]?.at[1] ?? 0],
      },
      {
        name: 'backs',
        detail: `${backFinish.name}, reflects ${Math.round(backFinish.reflectance * 100)} %`,
        at: [geometry.bedZMm, 0],
      },
      { name: 'wall', detail: wall.name, at: [0, -heightMm / 2 + 10] },
    ],
    rearZMm: -wallDrawnMm,
    frontZMm: geometry.frontZMm,
    heightMm,
    atXMm: x,
  };
};

/** The slice where it tells most: through the first post of the widest letter. */
export const haloSection = (
  outline: Outline,
  geometry: LettersGeometry,
  assembly: HaloAssembly,
  materials: HaloMaterials,
  runs: LetterRuns,
  posts: readonly PostedPart[],
): Section => haloSectionAt(sliceXOf(outline, posts), outline, geometry, assembly, materials, runs, posts);
