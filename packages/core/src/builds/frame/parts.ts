import type { Lettering } from '../../artwork/lettering/index.js';
import { moveOutline } from '../../base/outlines/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { FrameMaterials } from './results.js';
import type { ShowsDesign } from './schema.js';

/** A mirror as it is sent to be made: its outline, and where its silver is off, seen from behind, where silver is. */
const mirrorPart = (
  part: CutPart,
  { kind }: ShowsDesign,
  { mirror }: FrameMaterials,
  { outline }: Lettering,
): CutPart => {
  const { widthMm, heightMm } = part;
  // Worked from behind: left is right, and rings still wind as they should.
  const worked = moveOutline(outline, widthMm / 2, heightMm / 2).map((ring) =>
    ring.map(([x, y]) => [widthMm - x, y] as const).reverse(),
  );
  return {
    ...part,
    name: kind === 'lit-mirror' ? 'Mirror' : 'Mirror tile',
    materialId: mirror!.id,
    materialName: mirror!.name,
    note: `${kind === 'lit-mirror' ? 'band' : 'artwork'}: silver and paint off from behind, drawn mirrored, and frosted; edges ground and polished`,
    layers: [
      ...part.layers.filter(({ operation }) => operation === 'cut'),
      ...(worked.length === 0
        ? []
        : [{ operation: 'engrave' as const, shapes: [{ kind: 'outline' as const, outline: worked }] }]),
    ],
  };
};

/** The cut parts of a frame: those of its case, its face as what it shows, no film. */
export const frameParts = (
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
