import { rectRing, type Point, type Ring } from '../../base/outlines/index.js';
import { unplaced, type Placing } from '../../base/placing/index.js';
import type { Section, SectionShape } from '../../light/section/index.js';
import { riseOf } from './cleat.js';
import { wayNames } from './way-names.js';
import type { Hang, PlacedBody, WallFixing } from './types.js';

/** So much of the wall is drawn (mm), and of what goes into it. */
const wallMm = 8;
const screwMm = 5;
const plateMm = 26;
/** A fixing is drawn in slices that pass it within so much (mm); a batten wherever it is cut. */
const nearMm = 40;

/** Both battens where the slice meets them, the wall at `wallZ`. */
const battens = (hang: Hang, wallZ: number, y: (mm: number) => number): readonly SectionShape[] => {
  const { cleat } = hang;
  if (cleat === null) return [];
  const { thicknessMm: thick, highMm: high, topMm, mateTopMm } = cleat;
  const rise = riseOf(thick);
  // The bevel, from the wall to the sign.
  const [low, mid, top] = [y(topMm - high), y(mateTopMm - high), y(mateTopMm)];
  const shape = (ring: Ring, material: string): SectionShape => ({ role: 'batten', material, ring });
  return [
    shape(
      [
        [wallZ, low],
        [wallZ + thick, low],
        [wallZ + thick, mid + rise],
        [wallZ, mid],
      ],
      'cleat, on the wall',
    ),
    shape(
      [
        [wallZ, mid],
        [wallZ + thick, mid + rise],
        [wallZ + thick, top],
        [wallZ, top],
      ],
      'cleat, on the sign',
    ),
  ];
};

/** A screw from the sheet to the wall, and what it holds by. */
const fixing = ({ at }: WallFixing, hang: Hang, backZ: number, wallZ: number, y: (mm: number) => number) => {
  const level = y(at[1]);
  const screw: SectionShape = {
    role: 'fixing',
    material: 'fixing',
    ring: rectRing({ x: wallZ - wallMm, y: level - screwMm / 2, width: backZ - wallZ + wallMm, height: screwMm }),
  };
  const plate: SectionShape = {
    role: 'fixing',
    material: wayNames[hang.way ?? 'holes'],
    ring: rectRing({ x: wallZ, y: level - plateMm / 2, width: Math.max(2, backZ - wallZ), height: plateMm }),
  };
  return hang.way === 'keyholes' ? [plate, screw] : [screw];
};

/** A slice as far as what hangs: its backer drawn behind it, where it has one, and as high as that. */
const withBacker = (section: Section, body: PlacedBody, y: (mm: number) => number): Section => {
  const { backer, carrier, bounds, recessMm } = body;
  if (backer === null || carrier === null) return section;
  // What letters light is drawn as a wall; here it is the backer itself.
  const ground = section.shapes.find(({ role }) => role === 'wall');
  const frontZ = ground === undefined ? section.rearZMm : Math.max(...ground.ring.map(([z]) => z));
  const [low, high] = [y(bounds.y), y(bounds.y + bounds.height)];
  const board = (x: number, at: number, width: number, height: number): SectionShape => ({
    role: 'back',
    material: carrier.name,
    ring: rectRing({ x, y: at, width, height }),
  });
  const backZ = frontZ - carrier.thicknessMm;
  const { sideMm } = backer;
  return {
    ...section,
    shapes: [
      board(backZ, low, carrier.thicknessMm, high - low),
      ...(sideMm === null ? [] : [low, high - sideMm].map((at) => board(backZ - recessMm, at, recessMm, sideMm))),
      ...section.shapes.filter((shape) => shape !== ground),
    ],
    rearZMm: backZ - recessMm,
    heightMm: 2 * Math.max(section.heightMm / 2, Math.abs(low), Math.abs(high)),
  };
};

/** A slice without the wall that its build draws behind it, and without what is said of that. */
const withoutWall = (section: Section): Section => {
  const shapes = section.shapes.filter(({ role }) => role !== 'wall');
  if (shapes.length === section.shapes.length) return section;
  return {
    ...section,
    shapes,
    layers: section.layers.filter(({ toWall }) => toWall !== true),
    rearZMm: Math.min(...shapes.flatMap(({ ring }) => ring.map(([z]) => z))),
  };
};

/**
 * A slice with what the assembly hangs by behind it: the wall, the battens of a cleat, plates and screws that it passes.
 * As it is where the assembly hangs letter by letter, or stands, or nothing is chosen.
 */
export const hungSection = (taken: Section, hang: Hang | null, placing: Placing): Section => {
  const [body] = hang?.bodies ?? [];
  if (hang === null || body === undefined) return taken;
  const y = (mm: number): number => unplaced(placing, [placing.xMm, mm])[1];
  const { way } = hang;
  const backed = withBacker(taken, body, y);
  if (body.carrier === null || way === null || way === 'feet' || way === 'chain') return backed;
  const section = withoutWall(backed);
  const backZ = section.rearZMm + body.recessMm;
  const wallZ = section.rearZMm - hang.offWallMm;
  const x = ([px, py]: Point): number => unplaced(placing, [px, py])[0];
  const { cleat } = hang;
  const cut = cleat !== null && Math.abs(section.atXMm - x([cleat.middleMm, cleat.topMm])) <= cleat.wallLengthMm / 2;
  const near = hang.fixings.filter(({ at }) => Math.abs(x(at) - section.atXMm) <= nearMm);
  // Plates stand at the sides: a slice through the middle still tells how it hangs.
  const shown = near.length > 0 || cleat !== null ? near : hang.fixings.slice(0, 1);
  const shapes: readonly SectionShape[] = [
    {
      role: 'wall',
      material: 'wall',
      ring: rectRing({ x: wallZ - wallMm, y: -section.heightMm / 2, width: wallMm, height: section.heightMm }),
    },
    ...(cut ? battens(hang, wallZ, y) : []),
    ...(cleat !== null && cleat.footMm > 0
      ? [
          {
            role: 'batten' as const,
            material: 'foot spacer',
            ring: rectRing({ x: wallZ, y: y(body.bounds.y), width: cleat.footMm, height: 30 }),
          },
        ]
      : []),
    ...(cleat === null ? shown.flatMap((each) => fixing(each, hang, backZ, wallZ, y)) : []),
  ];
  return {
    ...section,
    shapes: [...shapes, ...section.shapes],
    layers: [
      ...section.layers,
      {
        name: 'hung',
        detail: `${wayNames[way]}, ${Math.round(hang.offWallMm * 10) / 10} mm off the wall`,
        at: [wallZ, section.heightMm * 0.3],
      },
    ],
    rearZMm: wallZ - wallMm,
    ...(section.near === undefined
      ? {}
      : { near: { ...section.near, rearZMm: Math.min(section.near.rearZMm, wallZ - wallMm) } }),
  };
};
