import type { FontBook } from '../../artwork/lettering/index.js';
import { success } from '../../base/result.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { Stages } from '../common/build.js';
import type { StackedMemos } from './memos.js';
import type { StackedLaid, StackedResults } from './results.js';
import type { StackedAssembly } from './schema.js';

/** Lays stacked plates: everything that stands before the circuit. */
export const layStacked =
  (
    stages: StackedMemos,
    catalogue: Catalogue,
    fonts: FontBook,
  ): Stages<StackedAssembly, StackedLaid, StackedResults>['lay'] =>
  (brief, _power, assembly) => {
    const { artwork, plates, lid: design, light } = assembly;
    const found = stages.materials.run(assembly, catalogue);
    if (!found.ok) return found;
    const materials = found.value;
    const font = stages.font.run(artwork.fontId, artwork.ownFont ?? null, fonts);
    const set = stages.artwork.run(artwork.text ?? brief.text, artwork, font);
    if (!set.ok) return set;
    const lettering = set.value;
    const sized = stages.geometry.run(plates, light, materials);
    if (!sized.ok) return sized;
    const geometry = sized.value;
    const lid = stages.lid.run(lettering.outline, geometry, design, materials);
    const workability = stages.seenLosses.run(stages.workability.run(lettering.outline, materials.tool));
    const strung = stages.runs.run(geometry, light, materials.strip);
    if (!strung.ok) return strung;
    const runs = strung.value;
    const entry = stages.entry.run(brief.leadExit, geometry);
    const distribution = stages.photometry.run(materials.strip, light.photometry);
    if (!distribution.ok) return distribution;
    const stack = stages.optics.run(materials);
    return success({
      materials,
      lettering,
      workability,
      geometry,
      lid,
      runs,
      section: stages.section.run(geometry, materials, lid, runs),
      distribution: distribution.value,
      stack,
      room: stages.room.run(geometry, materials, stack, lid.pockets, plates.wallMm, lid.strokeMm),
      entry,
      router: stages.router.run(stages.roomParts.run(geometry.inside), runs, materials.strip.heightMm, 'holes'),
    });
  };
