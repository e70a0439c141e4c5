import type { Brief } from '../../document/design/index.js';
import { glowOf } from '../../light/glow/index.js';
import type { LightShare } from '../../light/runs/index.js';
import { memoizeLast } from '../../base/maths/index.js';
import { coverage, type Outline } from '../../base/outlines/index.js';
import { success } from '../../base/result.js';
import { faceStack } from '../../light/optics/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import type { StripBed } from '../../power/heat/index.js';
import type { BuildWork } from '../common/build.js';
import type { PartFacts } from './types.js';
import { commonStages, recomputedOf } from '../common/common-stages.js';
import { boxRouter } from '../common/wire-routes.js';
import { lightboxBought } from './bought.js';
import { lightboxGeometry } from './geometry.js';
import { boxBed } from './heat-bed.js';
import { leadEntry } from './lead-entry.js';
import { findBoxMaterials } from './materials.js';
import { lightboxParts } from './parts.js';
import type { BoxLaid, BoxResults } from './results.js';
import { lightboxRuns } from './runs.js';
import type { BoxArtwork, CaseDesign, LightboxAssembly } from './schema.js';
import { lightboxSection } from './section.js';
import { sheddingArea } from './shedding-area.js';
import { lightboxSteps } from './steps.js';
import { ventsOf } from './vents.js';

/** The stages of a light box, in the order of the work. */
export const lightboxStages: BuildWork<LightboxAssembly, BoxLaid, BoxResults>['stages'] = (
  catalogue,
  fonts,
  limits,
) => {
  // Rasters of the same size are new objects each time; their numbers tell them apart.
  const letters = memoizeLast((outline: Outline, width: number, height: number, columns: number, rows: number) =>
    coverage(outline, { x: -width / 2, y: -height / 2, width, height }, columns, rows),
  );
  const stages = {
    ...commonStages(),
    materials: memoizeLast(findBoxMaterials),
    geometry: memoizeLast(lightboxGeometry),
    entry: memoizeLast(leadEntry),
    runs: memoizeLast(lightboxRuns),
    router: memoizeLast(boxRouter),
    section: memoizeLast(lightboxSection),
    optics: memoizeLast(faceStack),
    glow: memoizeLast(
      (
        brief: Brief,
        mode: BoxArtwork['mode'],
        geometry: BoxLaid['geometry'],
        materials: BoxLaid['materials'],
        stack: BoxLaid['stack'],
        distribution: BoxLaid['distribution'],
        runs: BoxLaid['runs'],
        share: LightShare,
        lettering: BoxLaid['lettering'],
      ) =>
        glowOf({
          brief,
          litLetters: mode === 'lit-letters',
          geometry,
          materials,
          stack,
          distribution,
          runs,
          share,
          lettersOn: ({ area, columns, rows }) =>
            letters.run(lettering.outline, area.width, area.height, columns, rows),
          limits,
        }),
    ),
    bed: memoizeLast(boxBed),
    shedding: memoizeLast(
      (geometry: BoxLaid['geometry'], vents: CaseDesign['vents'], glow: BoxResults['glow'], bed: StripBed) => ({
        areaM2: sheddingArea(geometry),
        closed: true,
        outLm: glow.balance.outLm,
        vents: ventsOf(geometry, vents ?? null, glow.incidentLm),
        bed,
      }),
    ),
    parts: memoizeLast((...facts: FactList) => {
      const known = factsOf(...facts);
      const cut = lightboxParts(known);
      return { cut, bought: lightboxBought(catalogue, known, cut) };
    }),
    steps: memoizeLast((circuit: Circuit, cut: readonly CutPart[], ...facts: FactList) =>
      lightboxSteps({ ...factsOf(...facts), parts: cut, circuit }),
    ),
  };
  return {
    lay: (brief, _power, assembly) => {
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
      const strung = stages.runs.run(geometry, light, materials);
      if (!strung.ok) return strung;
      const runs = strung.value;
      const section = stages.section.run(geometry, assembly.case, materials, runs);
      const entry = stages.entry.run(brief.leadExit, geometry);
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
    },
    light: (brief, power, { artwork, case: design, light }, laid, { circuit, share, ownPower }) => {
      const { geometry, materials, stack, distribution, runs, lettering } = laid;
      const glow = stages.glow.run(
        brief,
        artwork.mode,
        geometry,
        materials,
        stack,
        distribution,
        runs,
        share,
        lettering,
      );
      const shedding = stages.shedding.run(
        geometry,
        design.vents,
        glow,
        stages.bed.run(geometry, light, materials, runs, brief.place),
      );
      return { glow, heat: stages.heat.run(brief, power, materials.strip, circuit, ownPower, shedding) };
    },
    parts: (results) => stages.parts.run(...factListOf(results)),
    steps: (results) => stages.steps.run(results.circuit, results.cut, ...factListOf(results)),
    recomputed: () => recomputedOf(stages),
  };
};

type FactList = readonly [
  brief: Brief,
  mode: BoxArtwork['mode'],
  mirrored: boolean,
  design: CaseDesign,
  geometry: BoxLaid['geometry'],
  materials: BoxLaid['materials'],
  runs: BoxLaid['runs'],
  lettering: BoxLaid['lettering'],
];

const factListOf = ({
  design,
  assembly,
  geometry,
  materials,
  runs,
  lettering,
}: Omit<BoxResults, 'cut' | 'bought' | 'packing'>): FactList => [
  design.brief,
  assembly.artwork.mode,
  assembly.artwork.mirrored === true,
  assembly.case,
  geometry,
  materials,
  runs,
  lettering,
];

const factsOf = (...[brief, mode, mirrored, design, geometry, materials, runs, lettering]: FactList): PartFacts => ({
  brief,
  mode,
  mirrored,
  design,
  geometry,
  materials,
  runs,
  lettering,
});
