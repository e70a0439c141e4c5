import { rectRing, subtract, type Outline, type Ring } from '../../base/outlines/index.js';
import type { Section, SectionShape } from '../../light/section/index.js';
import { uprightStretches } from '../letters/upright.js';
import type { GrooveGeometry } from './geometry.js';
import type { GrooveMaterials } from './materials.js';
import type { GrooveAssembly } from './schema.js';

const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;

/** How much of the wall is drawn behind (mm). */
const wallDrawnMm = 8;
/** Wider than so many grooves a slice runs along a line, not across it. */
const widestGrooves = 3;

const between = (z0: number, z1: number, y0: number, y1: number): Ring =>
  rectRing({ x: z0, y: y0, width: z1 - z0, height: y1 - y0 });

/** The grooves that an upright slice meets, each as its stretch. */
const groovesAt = ({ grooveArea }: GrooveGeometry, x: number): readonly (readonly [number, number])[] =>
  uprightStretches(grooveArea, x);

/** What lies in one groove that the slice meets: strip on the floor, cover over it. */
const inGroove = (
  { groove, floorZMm, frontZMm }: GrooveGeometry,
  { strip, cover, sheet }: GrooveMaterials,
  [low, high]: readonly [number, number],
): readonly SectionShape[] => {
  const middle = (low + high) / 2;
  // Across a slanting line all of it is wider, as the groove is.
  const slant = (high - low) / groove.widthMm;
  const half = (groove.stripAcrossMm * slant) / 2;
  const [bed, top] = sheet.clear
    ? [floorZMm - groove.stripHighMm, floorZMm]
    : [floorZMm, floorZMm + groove.stripHighMm];
  const coverHalf = (Math.min(groove.litMm, groove.widthMm) * slant) / 2;
  return [
    { role: 'strip', material: strip.name, ring: between(bed, top, middle - half, middle + half) },
    ...(cover === null
      ? []
      : [
          {
            role: 'face' as const,
            material: cover.name,
            ring: between(
              cover.form === 'tube' ? frontZMm + groove.proudMm - 3 : top + Math.max(0.5, groove.overStripMm - 0.5),
              frontZMm + groove.proudMm,
              middle - coverHalf,
              middle + coverHalf,
            ),
          },
        ]),
  ];
};

/** The slice through a carrier at x, top to bottom: board with its grooves, strip, cover, what is behind. */
export const grooveSectionAt = (
  x: number,
  geometry: GrooveGeometry,
  assembly: GrooveAssembly,
  materials: GrooveMaterials,
): Section => {
  const { outline, groove, frontZMm, rearZMm, floorZMm, backMm, sheetMm, leftMm } = geometry;
  const { carrier } = assembly;
  const { sheet, back, strip, cover } = materials;
  const grooves = groovesAt(geometry, x);
  const across = grooves.filter(([low, high]) => high - low <= widestGrooves * groove.widthMm);
  const heightMm = geometry.outside.heightMm;
  const [sheetRear, sheetFront] = [frontZMm - sheetMm, frontZMm];
  const [cutFrom, cutTo] = sheet.clear ? [sheetRear - 1, floorZMm] : [floorZMm, frontZMm + 1];
  const solid = uprightStretches(outline, x);
  const bodies: Outline = subtract(
    solid.map(([low, high]) => between(sheetRear, sheetFront, low, high)),
    grooves.map(([low, high]) => between(cutFrom, cutTo, low, high)),
  );
  const wallZ = rearZMm;
  const first = across[across.length >> 1] ?? grooves[0] ?? [0, groove.widthMm];
  const middle = (first[0] + first[1]) / 2;
  return {
    shapes: [
      {
        role: 'wall',
        material: 'wall',
        ring: between(wallZ - wallDrawnMm, wallZ, -heightMm / 2 - 20, heightMm / 2 + 20),
      },
      ...bodies.map((ring): SectionShape => ({ role: sheet.clear ? 'face' : 'letter', material: sheet.name, ring })),
      ...(carrier.kind === 'two-layer'
        ? solid.map(([low, high]): SectionShape => ({
            role: 'back',
            material: back?.name ?? 'back',
            ring: between(0, backMm, low, high),
          }))
        : []),
      ...(carrier.kind === 'letters'
        ? [
            {
              role: 'back' as const,
              material: back?.name ?? 'plate',
              ring: between(-backMm, 0, -heightMm / 2 - 15, heightMm / 2 + 15),
            },
          ]
        : []),
      ...across.flatMap((stretch) => inGroove(geometry, materials, stretch)),
    ],
    layers: [
      {
        name: carrier.kind === 'letters' ? 'letter' : 'carrier',
        detail: `${sheet.name}${back === null ? '' : `, ${back.name.toLowerCase()} behind`}`,
        at: [frontZMm, solid[0] === undefined ? 0 : solid[0][0] + 4],
      },
      {
        name: 'groove',
        detail: `${mm(groove.widthMm)} wide, ${mm(groove.depthMm)} deep, ${mm(leftMm)} left ${sheet.clear ? 'in front' : 'under it'}`,
        at: [floorZMm, first[0]],
      },
      {
        name: 'strip',
        detail: `${strip.name}, ${assembly.groove.lies === 'edge' ? 'on its edge' : 'flat'}`,
        at: [floorZMm, middle],
      },
      {
        name: 'over it',
        detail: cover === null ? `open, ${mm(groove.overStripMm)} to the face` : cover.name,
        at: [frontZMm + groove.proudMm, middle],
      },
      {
        name: 'behind',
        detail: carrier.spacerMm > 0 ? `${mm(carrier.spacerMm)} to the wall for wires` : 'flat on the wall',
        at: [rearZMm / 2, -heightMm / 4],
        toWall: true,
      },
    ],
    rearZMm: rearZMm - wallDrawnMm,
    frontZMm: frontZMm + groove.proudMm,
    heightMm: heightMm + 40,
    atXMm: x,
    near: nearOf(geometry, first),
  };
};

/** So many places are looked at for the slice that tells most. */
const slicesLooked = 17;
/** So much of the carrier is drawn beside the groove (mm). */
const besideMm = 26;

const nearOf = (
  { frontZMm, rearZMm, groove, outside }: GrooveGeometry,
  [low, high]: readonly [number, number],
): NonNullable<Section['near']> => ({
  lowMm: Math.max(-outside.heightMm / 2 - 20, low - besideMm),
  highMm: Math.min(outside.heightMm / 2 + 20, high + besideMm),
  rearZMm: rearZMm - wallDrawnMm,
  frontZMm: frontZMm + groove.proudMm + 2,
});

/** The slice where it tells most: square across a line, near the middle. */
export const grooveSection = (
  geometry: GrooveGeometry,
  assembly: GrooveAssembly,
  materials: GrooveMaterials,
): Section => {
  const { bounds, groove } = geometry;
  const looked = Array.from(
    { length: slicesLooked },
    (_, at) => bounds.x + bounds.width * (0.1 + (0.8 * at) / (slicesLooked - 1)),
  );
  const straightest = (x: number): number => {
    const widths = groovesAt(geometry, x).map(([low, high]) => high - low);
    return widths.length === 0 ? Infinity : Math.min(...widths) / groove.widthMm + 0.002 * Math.abs(x);
  };
  const at = looked.reduce((best, x) => (straightest(x) < straightest(best) ? x : best));
  return grooveSectionAt(Number.isFinite(straightest(at)) ? at : 0, geometry, assembly, materials);
};
