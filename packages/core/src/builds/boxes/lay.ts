import { success, type Result } from '../../base/result.js';
import type { LightRuns } from '../../light/runs/index.js';
import type { BoxLaid, BoxResults } from './results.js';
import type { BoxAssembly } from './schema.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { FontBook } from '../../artwork/lettering/index.js';
import type { BoxMemos } from './memos.js';
import type { Stages } from '../common/build.js';

type Box = Stages<BoxAssembly, BoxLaid, BoxResults>;

/** Lays the strip of a case, whatever it lies on. */
export type Strung = (
  assembly: BoxAssembly,
  laid: Pick<BoxLaid, 'geometry' | 'materials' | 'lettering'>,
) => Result<LightRuns>;

/** Lays a case with a lit face: everything that stands before the circuit. */
export const layBox =
  (
    stages: BoxMemos,
    catalogue: Catalogue,
    fonts: FontBook,
    runsOf: Strung = ({ light }, { geometry, materials }) => stages.runs.run(geometry, light, materials),
  ): Box['lay'] =>
  (brief, _power, assembly) => {
    const { artwork, light } = assembly;
    const found = stages.materials.run(assembly, catalogue);
    if (!found.ok) return found;
    const materials = found.value;
    const font = stages.font.run(artwork.fontId, artwork.ownFont ?? null, fonts);
    const set = stages.artwork.run(artwork.text ?? brief.text, artwork, font, artwork.offsetXMm, artwork.offsetYMm);
    if (!set.ok) return set;
    const lettering = set.value;
    const workability = stages.workability.run(lettering.outline, materials.tool);
    const sized = stages.geometry.run(assembly.case, materials);
    if (!sized.ok) return sized;
    const geometry = sized.value;
    const strung = runsOf(assembly, { geometry, materials, lettering });
    if (!strung.ok) return strung;
    const runs = strung.value;
    const section = stages.section.run(geometry, assembly.case, materials, runs);
    const entry = stages.entry.run(brief.leadExit, geometry, runs, materials.strip);
    const router = stages.router.run(geometry.inside, runs);
    const distribution = stages.photometry.run(materials.strip, light.photometry);
    if (!distribution.ok) return distribution;
    const stack = stages.optics.run(materials);
    return success({
      materials,
      lettering,
      workability,
      geometry,
      runs,
      section,
      distribution: distribution.value,
      stack,
      entry,
      router,
    });
  };
