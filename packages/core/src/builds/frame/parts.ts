import type { Lettering } from '../../artwork/lettering/index.js';
import { moveOutline, turnedOver } from '../../base/outlines/index.js';
import type { BoughtPart, CutPart } from '../../making/parts/index.js';
import type { OwnParts } from '../common/build.js';
import { mirrorBought, mirrorWorkOf } from './mirror-work.js';
import type { FrameMaterials } from './results.js';
import type { FrameAssembly, ShowsDesign } from './schema.js';

/** A mirror as it is sent to be made: its outline, and where its silver is off, seen from behind, where silver is. */
const mirrorPart = (part: CutPart, shows: ShowsDesign, { mirror }: FrameMaterials, { outline }: Lettering): CutPart => {
  const { widthMm, heightMm } = part;
  const { kind } = shows;
  const worked = turnedOver(moveOutline(outline, widthMm / 2, heightMm / 2), widthMm);
  return {
    ...part,
    name: kind === 'lit-mirror' ? 'Mirror' : 'Mirror tile',
    materialId: mirror!.id,
    materialName: mirror!.name,
    stock: mirrorWorkOf(shows).by === 'glass-shop' ? 'elsewhere' : part.stock,
    note: `${kind === 'lit-mirror' ? 'band' : 'artwork'}: silver and paint off from behind, drawn mirrored, and frosted; edges ground and polished`,
    layers: [
      ...part.layers.filter(({ operation }) => operation === 'cut'),
      ...(worked.length === 0
        ? []
        : [{ operation: 'engrave' as const, shapes: [{ kind: 'outline' as const, outline: worked }] }]),
    ],
  };
};

const ownParts = (
  cut: readonly CutPart[],
  shows: ShowsDesign,
  materials: FrameMaterials,
  lettering: Lettering,
): readonly CutPart[] =>
  cut
    .filter(({ id }) => id !== 'film')
    .map((part) => {
      if (part.id === 'second-sheet') return { ...part, name: shows.kind === 'print' ? 'Rear sheet' : 'Diffuser' };
      if (part.id !== 'face') return part;
      return materials.mirror === null
        ? {
            ...part,
            name: 'Front sheet',
            note: 'clear, in front of the print; its film stays on until the end',
            layers: part.layers.filter(({ operation }) => operation === 'cut'),
          }
        : mirrorPart(part, shows, materials, lettering);
    });

/** The parts of a frame: those of its case, its face as what it shows, no film; what its mirror takes besides. */
export const frameParts = (
  cut: readonly CutPart[],
  bought: readonly BoughtPart[],
  wasteShare: number,
  { shows, case: box }: FrameAssembly,
  materials: FrameMaterials,
  lettering: Lettering,
): OwnParts => {
  const own = ownParts(cut, shows, materials, lettering);
  const { mirror } = materials;
  const face = own.find(({ id }) => id === 'face');
  if (mirror === null || face === undefined) return { cut: own, bought };
  const glued = box.retention === 'laid-on';
  return {
    cut: own,
    bought: [
      // Glued, not taped.
      ...bought.filter(({ id }) => !(glued && id === 'face-tape')),
      ...mirrorBought(mirrorWorkOf(shows), mirror, face, wasteShare),
    ],
  };
};
