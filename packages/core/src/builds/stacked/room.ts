import type { Outline } from '../../base/outlines/index.js';
import type { FaceStack } from '../../light/optics/index.js';
import type { GridLimits } from '../../light/glow/index.js';
import { thicker, throughPocket, type EdgeBand, type PatchLimits, type StackRoom } from '../../light/stack/index.js';
import type { StackedGeometry } from './geometry.js';
import type { StackedMaterials } from './materials.js';

/** White paint on the ledge; typical. */
const ledgeReflects = 0.8;
/** Walls of pockets, cut and bare; typical. */
const pocketReflects = 0.45;

/** A ring of opal as wide as the wall: what its edge passes of the light on its inside, and what it gives back. */
export const bandOf = ({ passes, reflects, thicknessMm }: StackedMaterials['rings'][number], wallMm: number) =>
  thicker({ reflects, passes }, wallMm / thicknessMm);

/** How deep letters lie behind the front of the lid’s underside: where the lid is thicker than what is let in (mm). */
export const sunkMm = ({ lid, inlay }: Pick<StackedMaterials, 'lid' | 'inlay'>): number =>
  Math.max(0, lid.thicknessMm - inlay.thicknessMm);

/** The room of a stack as light sees it; letters flush with the front of their lid, their pockets as wide as their strokes. */
export const roomOf = (
  geometry: StackedGeometry,
  materials: StackedMaterials,
  face: FaceStack,
  letters: Outline,
  wallMm: number,
  strokeMm: number | null,
): StackRoom => {
  const lined = materials.lining.reflectance;
  const through = throughPocket(strokeMm ?? 20, sunkMm(materials), pocketReflects);
  return {
    outline: geometry.inside,
    bands: geometry.rings.map(({ stock, glows }) =>
      glows
        ? { heightMm: stock.thicknessMm, ...bandOf(stock, wallMm) }
        : { heightMm: stock.thicknessMm, reflects: lined, passes: 0 },
    ),
    baseReflects: lined,
    lid: { reflects: lined, passes: 0 },
    inlay: {
      reflects: through * face.innerReflectance + (1 - through) * pocketReflects,
      passes: through * face.transmittance,
    },
    inlays: letters,
    ledge:
      geometry.ledge === null
        ? null
        : { line: geometry.ledge.line, heightMm: geometry.ledge.heightMm, reflects: ledgeReflects },
  };
};

/** What of a room its patches are cut by: what its surfaces give back is not among it. */
export const shapeOfRoom = ({ outline, bands, ledge }: StackRoom): string =>
  JSON.stringify([
    outline,
    bands.map(({ heightMm, passes }) => [heightMm, passes > 0]),
    ledge === null ? null : [ledge.line, ledge.heightMm],
  ]);

/** The bands at the edge that glow, by their height over the wall: a stack lies flat on it. */
export const edgeOf = ({ rings, baseMm }: StackedGeometry): readonly EdgeBand[] =>
  rings
    .filter((ring) => ring.glows)
    .map(({ fromZMm, toZMm }) => ({ fromZMm: baseMm + fromZMm, toZMm: baseMm + toZMm }));

/** What the wall’s view of them depends on. */
export const shapeOfEdge = (geometry: StackedGeometry): string =>
  JSON.stringify([geometry.outline, edgeOf(geometry), geometry.rings.some((ring) => ring.glows)]);

/** How finely light is worked out, by how fine its picture is wanted. */
export const patchLimits = ({ longSide }: GridLimits): PatchLimits =>
  longSide > 300
    ? { mostCells: 340, mostStretches: 80 }
    : longSide < 200
      ? { mostCells: 80, mostStretches: 36 }
      : { mostCells: 190, mostStretches: 60 };
