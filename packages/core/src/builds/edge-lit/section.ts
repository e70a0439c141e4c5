import { rectRing, subtract, type Outline, type Ring } from '../../base/outlines/index.js';
import type { LightRuns } from '../../light/runs/index.js';
import type { Section, SectionShape } from '../../light/section/index.js';
import type { BaseGeometry } from './base-geometry.js';
import type { FramedGeometry } from './framed-geometry.js';
import type { PanelGeometry } from './geometry.js';
import { behindOf } from './look.js';
import type { PanelMaterials } from './materials.js';
import type { EdgeLitAssembly } from './schema.js';

const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;

/** A rectangle by its bounds, z then y. */
const between = (z0: number, z1: number, y0: number, y1: number): Ring =>
  rectRing({ x: z0, y: y0, width: z1 - z0, height: y1 - y0 });

/** The wood of a base where it is cut across its cavity. */
const baseShapes = (
  { outside, thicknessMm, rearZMm, frontZMm, bedMm, sheet }: PanelGeometry,
  base: BaseGeometry,
  materials: PanelMaterials,
): readonly SectionShape[] => {
  const low = -outside.heightMm / 2;
  const middle = thicknessMm / 2;
  const { slot, cavity, closing } = base;
  const top = low + base.heightMm;
  const block: Outline = subtract(
    [between(rearZMm, frontZMm, low, top)],
    [
      between(middle - slot.widthMm / 2, middle + slot.widthMm / 2, top - slot.deepMm, top + 1),
      between(middle - cavity.widthMm / 2, middle + cavity.widthMm / 2, low - 1, top - slot.deepMm + 0.001),
      between(middle - closing.heightMm / 2, middle + closing.heightMm / 2, low - 1, low + closing.thicknessMm),
    ],
  );
  const half = Math.min(materials.strip.widthMm, cavity.widthMm - 1) / 2;
  const lidTop = low + closing.thicknessMm;
  return [
    ...block.map((ring): SectionShape => ({ role: 'return', material: materials.board.name, ring })),
    {
      role: 'back',
      material: materials.closing?.name ?? 'lid',
      ring: between(middle - closing.heightMm / 2, middle + closing.heightMm / 2, low, lidTop),
    },
    ...(base.battenMm > 0.5
      ? [
          {
            role: 'block' as const,
            material: 'batten under the strip',
            ring: between(middle - half, middle + half, lidTop, Math.min(lidTop + base.battenMm, sheet.y - bedMm)),
          },
        ]
      : []),
  ];
};

/** One member of a frame, at the top (+1) or the bottom (−1). */
const memberShapes = (
  { rearZMm, frontZMm }: PanelGeometry,
  framed: FramedGeometry,
  material: string,
  side: 1 | -1,
): readonly SectionShape[] => {
  const [member] = framed.members;
  const inner = (side * framed.inside.heightMm) / 2;
  const outer = inner + side * framed.stockMm;
  const body = between(rearZMm, frontZMm, Math.min(inner, outer), Math.max(inner, outer));
  const seats = (member?.seats ?? []).map(({ fromFrontMm, widthMm, depthMm }) => {
    const [from, to] = [inner - side * 0.001, inner + side * depthMm];
    return between(
      frontZMm - fromFrontMm - widthMm,
      fromFrontMm === 0 ? frontZMm + 1 : frontZMm - fromFrontMm,
      Math.min(from, to),
      Math.max(from, to),
    );
  });
  return subtract([body], seats).map((ring): SectionShape => ({ role: 'return', material, ring }));
};

const framedShapes = (
  geometry: PanelGeometry,
  framed: FramedGeometry,
  materials: PanelMaterials,
): readonly SectionShape[] => {
  const { closing } = framed;
  return [
    ...memberShapes(geometry, framed, materials.board.name, 1),
    ...memberShapes(geometry, framed, materials.board.name, -1),
    ...(closing === null
      ? []
      : [
          {
            role: 'back' as const,
            material: materials.closing?.name ?? 'bottom',
            ring: between(
              geometry.rearZMm,
              geometry.rearZMm + closing.thicknessMm,
              -closing.heightMm / 2,
              closing.heightMm / 2,
            ),
          },
        ]),
  ];
};

/** Strip before the upper and the lower edge, as the slice meets it. */
const stripShapes = ({ segments }: LightRuns, { strip }: PanelMaterials): readonly SectionShape[] =>
  segments
    .filter(({ on }) => on === 'top' || on === 'bottom')
    .map(({ from, normal }) => {
      const [y, z] = [from[1], from[2]];
      const back = y - normal[1] * strip.heightMm;
      return {
        role: 'strip' as const,
        material: strip.name,
        ring: between(z - strip.widthMm / 2, z + strip.widthMm / 2, Math.min(y, back), Math.max(y, back)),
      };
    });

const behindNames = {
  open: 'open: what stands behind is seen through it',
  black: 'a black board behind it, air between',
  white: 'a white board behind it, air between',
  painted: 'painted on its back, the artwork left free',
  mirror: 'silvered on its back, the artwork cut through the silver',
} as const;

/** Whether the slice shows the lower edge: where that is lit, or neither it nor the upper one is. */
export const lowerFirst = ({ edges }: EdgeLitAssembly['light']): boolean =>
  edges.includes('bottom') || !edges.includes('top');

/** So much of the sheet is drawn beyond its holder (mm). */
const drawnMm = 26;
/** And so much of the holder on both sides of what lies in it (mm). */
const aroundMm = 14;

/** The part of the slice round the lit edge: the sheet a little way beyond its holder, and wood on both sides of what lies in it. */
const nearEdge = (
  { outside, seen, rearZMm, frontZMm, thicknessMm, holder }: PanelGeometry,
  lit: 1 | -1,
): NonNullable<Section['near']> => {
  const half = outside.heightMm / 2;
  const wide = holder.kind === 'base' ? holder.cavity.widthMm : holder.grooveWideMm;
  const reach = wide / 2 + aroundMm;
  const across = {
    rearZMm: Math.max(rearZMm, thicknessMm / 2 - reach),
    frontZMm: Math.min(frontZMm, thicknessMm / 2 + reach),
  };
  return lit === -1
    ? { ...across, lowMm: -half, highMm: Math.min(half, seen.y + drawnMm) }
    : { ...across, lowMm: Math.max(-half, seen.y + seen.height - drawnMm), highMm: half };
};

/** Areas beside the artwork, in words. */
const moreAreas = ({ areas = [] }: EdgeLitAssembly): string =>
  areas.length === 0 ? '' : `; ${areas.length} more ${areas.length === 1 ? 'area' : 'areas'}`;

/** The slice of an edge-lit sheet, top to bottom: the edge with its LED, slot, cavity and lid to scale. */
export const panelSection = (
  geometry: PanelGeometry,
  assembly: EdgeLitAssembly,
  materials: PanelMaterials,
  runs: LightRuns,
): Section => {
  const { sheet, thicknessMm, rearZMm, frontZMm, holder, outside } = geometry;
  const { pane, strip, engraving } = materials;
  const middle = thicknessMm / 2;
  const lit = lowerFirst(assembly.light) ? -1 : 1;
  const edgeY = lit === -1 ? sheet.y : sheet.y + sheet.height;
  const stripY = edgeY + lit * (assembly.light.gapMm + strip.heightMm / 2);
  const base = holder.kind === 'base' ? holder : null;
  return {
    shapes: [
      ...(holder.kind === 'base' ? baseShapes(geometry, holder, materials) : framedShapes(geometry, holder, materials)),
      { role: 'face', material: pane.name, ring: between(0, thicknessMm, sheet.y, sheet.y + sheet.height) },
      ...stripShapes(runs, materials),
    ],
    layers: [
      {
        name: 'sheet',
        detail: `${pane.name}, ${behindNames[behindOf(assembly.sheet, pane)]}`,
        at: [middle, edgeY - lit * 20],
      },
      {
        name: 'worked',
        detail: `${mm(assembly.artwork.depthMm)} deep on the ${assembly.artwork.mirrored === true ? 'back' : 'front'}, lines of ${mm(engraving.lineMm)}${moreAreas(assembly)}`,
        at: [assembly.artwork.mirrored === true ? 0 : thicknessMm, edgeY - lit * 30],
      },
      base === null
        ? {
            name: 'groove',
            detail: `${mm((holder as FramedGeometry).grooveWideMm)} wide, ${mm((holder as FramedGeometry).grooveMm)} deep, under the sheet’s seat`,
            at: [middle, edgeY + lit * 2],
          }
        : {
            name: 'slot',
            detail: `${mm(base.slot.widthMm)} wide, ${mm(base.slot.deepMm)} deep`,
            at: [middle + base.slot.widthMm / 2, -outside.heightMm / 2 + base.heightMm - base.slot.deepMm / 2],
          },
      {
        name: 'strip',
        detail: `${strip.name}, ${mm(assembly.light.gapMm)} before the edge`,
        at: [middle + assembly.light.offsetMm, stripY],
      },
      ...(base === null
        ? []
        : [
            {
              name: 'cavity',
              detail: `${mm(base.cavity.widthMm)} wide, ${mm(base.cavity.highMm)} high, closed by ${materials.closing?.name.toLowerCase() ?? 'a lid'}`,
              at: [middle - base.cavity.widthMm / 2, -outside.heightMm / 2 + base.closing.thicknessMm + 1] as const,
            },
          ]),
    ],
    rearZMm,
    frontZMm,
    heightMm: outside.heightMm,
    near: nearEdge(geometry, lit),
    atXMm: 0,
  };
};
