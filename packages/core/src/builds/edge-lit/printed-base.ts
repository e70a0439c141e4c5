import { boreAlong, solidOfBlocks, type Block, type Solid } from '../../making/solids/index.js';
import type { BaseGeometry } from './base-geometry.js';
import type { EyeHole } from './eye-hole.js';
import type { PanelFacts } from './results.js';

/** Bosses that the lid is screwed to: so wide, with a bore for a 3 mm screw (mm). */
const bossMm = 8;
const pilotMm = 2.5;
const screwMm = 3.4;
/** Play of the lid in its rebate, all round (mm). */
const lidPlayMm = 0.2;
/** Of printed stuff, and how much of it is solid with usual walls and infill; typical. */
const densityKgM3 = 1240;
const solidShare = 0.45;

/** Where the four screws of the lid are, from the middle of the base. */
const screwPlaces = ({ closing }: BaseGeometry): readonly (readonly [number, number])[] => {
  const [x, y] = [closing.widthMm / 2 - bossMm / 2, closing.heightMm / 2 - bossMm / 2];
  return [
    [-x, -y],
    [x, -y],
    [x, y],
    [-x, y],
  ];
};

const centred = (lengthMm: number): readonly [number, number] => [-lengthMm / 2, lengthMm / 2];

/** The way of lead or jack: through an end, the rear, or none where it goes through the lid; wider behind the wall that a jack is screwed to. */
const wayOut = (base: BaseGeometry, exit: PanelFacts['brief']['leadExit']): readonly Block[] => {
  const { lengthMm, depthMm, heightMm, cavity, slot, closing, exit: hole } = base;
  // Printed top down, up is down: heights count from the top.
  const z = heightMm - hole.upMm;
  if (exit === 'bottom') return [];
  const inside: readonly [number, number] = [slot.deepMm, heightMm - closing.thicknessMm];
  const body = hole.bay === null ? 0 : hole.bay.widthMm / 2;
  const wall = hole.bay?.wallMm ?? 0;
  if (exit === 'left' || exit === 'right') {
    const side = exit === 'left' ? -1 : 1;
    const between = (from: number, to: number): [number, number] =>
      [side * from, side * to].sort((a, b) => a - b) as [number, number];
    const [begins, ends] = [cavity.lengthMm / 2, lengthMm / 2];
    return [
      ...boreAlong('x', [0, z], hole.diameterMm, between(body > 0 ? ends - wall : begins, ends)),
      ...(body > 0 ? [{ x: between(begins, ends - wall), y: [-body, body] as const, z: inside }] : []),
    ];
  }
  // y runs to the front.
  return [
    ...boreAlong('y', [0, z], hole.diameterMm, [-depthMm / 2, body > 0 ? wall - depthMm / 2 : -cavity.widthMm / 2]),
    ...(body > 0
      ? [{ x: [-body, body] as const, y: [wall - depthMm / 2, -cavity.widthMm / 2] as const, z: inside }]
      : []),
  ];
};

/** The eye of a remote looks out to the front, through what is before the pocket. */
const wayOfEye = (base: BaseGeometry, { x, upMm, diameterMm }: EyeHole): readonly Block[] =>
  boreAlong('y', [x, base.heightMm - upMm], diameterMm, [base.pocket.widthMm / 2, base.depthMm / 2]);

/** The base to print, top down: slot, cavity, rebate for the lid, bosses for its screws, the ways of the lead and of an eye. */
export const printedBase = (
  base: BaseGeometry,
  sheetMm: number,
  exit: PanelFacts['brief']['leadExit'],
  eye: EyeHole | null,
): Solid => {
  const { lengthMm, depthMm, heightMm, slot, cavity, closing, pocket } = base;
  const [bed, shut] = [slot.deepMm, heightMm - closing.thicknessMm];
  const body: Block = { x: centred(lengthMm), y: centred(depthMm), z: [0, heightMm] };
  const hollow: readonly Block[] = [
    { x: centred(sheetMm + 1), y: centred(slot.widthMm), z: [0, bed] },
    { x: centred(cavity.lengthMm), y: centred(cavity.widthMm), z: [bed, shut] },
    { x: centred(closing.widthMm), y: centred(closing.heightMm), z: [shut, heightMm] },
    ...(pocket.lengthMm > 0
      ? [
          {
            x: [-cavity.lengthMm / 2, -cavity.lengthMm / 2 + pocket.lengthMm] as const,
            y: centred(pocket.widthMm),
            z: [bed, shut] as const,
          },
        ]
      : []),
    ...wayOut(base, exit),
    ...(eye === null ? [] : wayOfEye(base, eye)),
    ...screwPlaces(base).flatMap((at) => boreAlong('z', at, pilotMm, [Math.max(bed, shut - 8), shut])),
  ];
  return { name: 'base', title: 'base, top down', triangles: solidOfBlocks([body], hollow) };
};

/** The lid to print, flat. */
export const printedLid = (base: BaseGeometry, exit: PanelFacts['brief']['leadExit']): Solid => {
  const { closing, battenMm, cavity } = base;
  const plate: Block = {
    x: centred(closing.widthMm - 2 * lidPlayMm),
    y: centred(closing.heightMm - 2 * lidPlayMm),
    z: [0, closing.thicknessMm],
  };
  const batten: readonly Block[] =
    battenMm > 0.5
      ? [
          {
            x: centred(Math.max(10, cavity.lengthMm - 2 * bossMm)),
            y: centred(Math.max(3, cavity.widthMm - 1)),
            z: [closing.thicknessMm, closing.thicknessMm + battenMm],
          },
        ]
      : [];
  const holes = [
    ...screwPlaces(base).flatMap((at) => boreAlong('z', at, screwMm, [0, closing.thicknessMm])),
    ...(exit === 'bottom'
      ? boreAlong('z', [0, 0], base.exit.diameterMm, [0, closing.thicknessMm + Math.max(0, battenMm)])
      : []),
  ];
  return { name: 'lid', title: 'lid, its batten up', triangles: solidOfBlocks([plate, ...batten], holes) };
};

/** What is printed of an edge-lit sheet’s base. */
export const panelSolids = (
  { assembly, geometry, brief }: PanelFacts,
  eye: EyeHole | null = null,
): readonly Solid[] => {
  const { holder } = geometry;
  return holder.kind === 'base' && assembly.holder.kind === 'base' && assembly.holder.make === 'printed'
    ? [printedBase(holder, holder.slot.lengthMm, brief.leadExit, eye), printedLid(holder, brief.leadExit)]
    : [];
};

/** What of the base is printed (kg); none of a wooden one. */
export const printedKgOf = ({ assembly, geometry }: Pick<PanelFacts, 'assembly' | 'geometry'>): number => {
  const { holder } = geometry;
  if (holder.kind !== 'base' || assembly.holder.kind !== 'base' || assembly.holder.make !== 'printed') return 0;
  const { lengthMm, depthMm, heightMm, slot, cavity, battenMm } = holder;
  const mm3 =
    lengthMm * depthMm * heightMm -
    slot.widthMm * slot.deepMm * slot.lengthMm -
    cavity.lengthMm * cavity.widthMm * (cavity.highMm - Math.max(0, battenMm));
  return (Math.max(0, mm3) * densityKgM3 * solidShare) / 1e9;
};
