import type { FontBook } from '../../artwork/lettering/index.js';
import { success } from '../../base/result.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { Stages } from '../common/build.js';
import type { PanelMemos } from './memos.js';
import type { PanelLaid, PanelResults } from './results.js';
import type { EdgeLitAssembly } from './schema.js';

const none: NonNullable<EdgeLitAssembly['areas']> = [];

const underMmOf = ({ holder }: EdgeLitAssembly): number => (holder.kind === 'top' ? (holder.underMm ?? 0) : 0);

/** Lays an edge-lit sheet: everything that stands before the circuit. */
export const layPanel =
  (
    stages: PanelMemos,
    catalogue: Catalogue,
    fonts: FontBook,
  ): Stages<EdgeLitAssembly, PanelLaid, PanelResults>['lay'] =>
  (brief, _power, assembly) => {
    const { artwork, light } = assembly;
    const found = stages.materials.run(assembly, catalogue);
    if (!found.ok) return found;
    const materials = found.value;
    const sized = stages.geometry.run(assembly, materials);
    if (!sized.ok) return sized;
    const geometry = sized.value;
    // The artwork goes by the middle of the sheet, which stands above that of sheet and base together.
    const { x, y, width, height } = geometry.sheet;
    const set = stages.artwork.run(
      artwork,
      assembly.areas ?? none,
      brief.text,
      materials.areaTools,
      stages.font.run(artwork.fontId, artwork.ownFont ?? null, fonts),
      fonts,
      x + width / 2,
      y + height / 2,
    );
    if (!set.ok) return set;
    const areas = set.value;
    const lettering = stages.all.run(areas);
    const workability = stages.workability.run(lettering.outline, materials.tool);
    const strung = stages.runs.run(geometry, light, materials, underMmOf(assembly));
    if (!strung.ok) return strung;
    const runs = strung.value;
    const section = stages.section.run(geometry, assembly, materials, runs);
    const entry = stages.entry.run(brief.leadExit, geometry);
    const router = stages.router.run(geometry, runs);
    const distribution = stages.photometry.run(materials.strip, light.photometry);
    if (!distribution.ok) return distribution;
    return success({
      materials,
      lettering,
      areas,
      workability,
      geometry,
      runs,
      section,
      distribution: distribution.value,
      entry,
      router,
    });
  };
