import type { FontBook, Lettering } from '../../artwork/lettering/index.js';
import { outlineArea, outlineBounds, type Outline } from '../../base/outlines/index.js';
import { success, type Result } from '../../base/result.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import type { Stages } from '../common/build.js';
import type { GrooveMemos } from './memos.js';
import type { GrooveLaid, GrooveResults } from './results.js';
import type { GrooveAssembly } from './schema.js';

const nothing: Lettering = { outline: [], bounds: null, areaMm2: 0, letterCount: 0, missing: [] };

/** Letters as the artwork sets them; none where lines are drawn, unless the carrier is letters. */
const set = (
  stages: GrooveMemos,
  brief: Brief,
  { artwork, lines, carrier }: GrooveAssembly,
  fonts: FontBook,
): Result<Lettering> => {
  if (lines.from === 'drawn' && carrier.kind !== 'letters') return success(nothing);
  const font = stages.font.run(artwork.fontId, artwork.ownFont ?? null, fonts);
  return stages.artwork.run(artwork.text ?? brief.text, artwork, font);
};

/** What shines, as the lettering that other stages know: lines as wide as they are lit. */
export const asLit = (lettering: Lettering, litArea: Outline): Lettering => ({
  ...lettering,
  outline: litArea,
  bounds: outlineBounds(litArea),
  areaMm2: outlineArea(litArea),
});

/** Lays strip in a groove: everything that stands before the circuit. */
export const layGroove =
  (
    stages: GrooveMemos,
    catalogue: Catalogue,
    fonts: FontBook,
  ): Stages<GrooveAssembly, GrooveLaid, GrooveResults>['lay'] =>
  (brief, _power, assembly) => {
    const found = stages.materials.run(assembly, catalogue);
    if (!found.ok) return found;
    const materials = found.value;
    const lettered = set(stages, brief, assembly, fonts);
    if (!lettered.ok) return lettered;
    const lines = stages.lines.run(lettered.value.outline, assembly.lines);
    if (!lines.ok) return lines;
    const sized = stages.geometry.run(
      assembly.carrier,
      assembly.groove.lies,
      stages.size.run(assembly.groove, materials),
      materials.sheet,
      materials.back,
      lines.value,
      lettered.value.outline,
      assembly.lines.scale ?? 1,
    );
    if (!sized.ok) return sized;
    const geometry = sized.value;
    const lettering = stages.lit.run(lettered.value, geometry.litArea);
    const workability = stages.workability.run(geometry.outline, materials.tool, geometry.parts);
    const entry = stages.entry.run(brief.leadExit, geometry);
    const strung = stages.runs.run(geometry, assembly.light, materials, entry);
    if (!strung.ok) return strung;
    const runs = strung.value;
    const section = stages.section.run(geometry, assembly, materials);
    const router = stages.router.run(geometry, runs, assembly.carrier.kind === 'clear');
    const distribution = stages.photometry.run(materials.strip, assembly.light.photometry);
    if (!distribution.ok) return distribution;
    return success({
      materials,
      lettering,
      workability,
      geometry,
      runs,
      section,
      distribution: distribution.value,
      entry,
      router,
    });
  };
