import { findMaterials } from '../../document/catalogue/index.js';
import { glowOf } from '../../light/glow/index.js';
import { memoizeLast } from '../../base/maths/index.js';
import { faceStack } from '../../light/optics/index.js';
import { coverage, type Outline } from '../../base/outlines/index.js';
import { sumParts } from '../../making/parts/index.js';
import { buildListOf } from '../../making/steps/index.js';
import { success } from '../../base/result.js';
import type { BoxResults } from '../../sign/evaluate/types.js';
import type { CaseDesign, LightboxAssembly } from '../../document/design/index.js';
import { recomputedOf, commonStages } from '../shared/common-stages.js';
import type { Build } from '../shared/types.js';
import { boxRouter } from '../shared/wire-routes.js';
import { lightboxBought } from './bought.js';
import { lightboxGeometry } from './geometry.js';
import { leadEntry } from './lead-entry.js';
import { lightboxParts } from './parts.js';
import { lightboxRuns } from './runs.js';
import { lightboxSection } from './section.js';
import { sheddingArea } from './shedding-area.js';
import { lightboxSteps } from './steps.js';
import { ventsOf } from './vents.js';

/** The stages of a light box, in the order of the work. */
export const lightboxPipeline: Build<LightboxAssembly, BoxResults>['pipeline'] = (catalogue, fonts, limits) => {
  // Rasters of the same size are new objects each time; their numbers tell them apart.
  const letters = memoizeLast((outline: Outline, width: number, height: number, columns: number, rows: number) =>
    coverage(outline, { x: -width / 2, y: -height / 2, width, height }, columns, rows),
  );
  const stages = {
    ...commonStages(),
    materials: memoizeLast(findMaterials),
    geometry: memoizeLast(lightboxGeometry),
    entry: memoizeLast(leadEntry),
    runs: memoizeLast(lightboxRuns),
    router: memoizeLast(boxRouter),
    section: memoizeLast(lightboxSection),
    optics: memoizeLast(faceStack),
    glow: memoizeLast(
      (...[brief, mode, geometry, materials, stack, distribution, runs, circuit, lettering]: GlowArguments) =>
        glowOf({
          brief,
          mode,
          geometry,
          materials,
          stack,
          distribution,
          runs,
          circuit,
          lettersOn: ({ area, columns, rows }) =>
            letters.run(lettering.outline, area.width, area.height, columns, rows),
          limits,
        }),
    ),
    shedding: memoizeLast((geometry: BoxResults['geometry'], vents: CaseDesign['vents'], glow: BoxResults['glow']) => ({
      areaM2: sheddingArea(geometry),
      closed: true,
      outLm: glow.balance.outLm,
      vents: ventsOf(geometry, vents ?? null, glow.incidentLm),
    })),
    parts: memoizeLast(
      (...[brief, mode, mirrored, design, geometry, materials, runs, lettering, circuit]: PartArguments) => {
        const facts = { brief, mode, mirrored, design, geometry, materials, runs, lettering };
        const cut = lightboxParts(facts);
        return sumParts(cut, lightboxBought(catalogue, facts, circuit, cut));
      },
    ),
    plan: memoizeLast(
      (...[brief, mode, mirrored, design, geometry, materials, runs, lettering, circuit, parts]: PlanArguments) =>
        buildListOf(
          lightboxSteps({
            brief,
            mode,
            mirrored,
            design,
            geometry,
            materials,
            runs,
            lettering,
            circuit,
            parts: parts.cut,
          }),
        ),
    ),
  };

  return (design, assembly) => {
    const { brief, power } = design;
    const { artwork, light } = assembly;
    const found = stages.materials.run(assembly, catalogue, 'assemblies.0');
    if (!found.ok) return found;
    const materials = found.value;
    const font = stages.font.run(artwork.fontId, artwork.ownFont ?? null, fonts);
    const laid = stages.artwork.run(brief.text, artwork, font, artwork.offsetXMm, artwork.offsetYMm);
    if (!laid.ok) return laid;
    const lettering = laid.value;
    const workability = stages.workability.run(lettering.outline, materials.tool);
    const sized = stages.geometry.run(assembly.case, materials);
    if (!sized.ok) return sized;
    const geometry = sized.value;
    const strung = stages.runs.run(geometry, light, materials);
    if (!strung.ok) return strung;
    const runs = strung.value;
    const section = stages.section.run(geometry, assembly.case, materials, runs);
    const entry = stages.entry.run(brief.leadExit, geometry);
    const circuit = stages.circuit.run(
      brief,
      power,
      catalogue,
      materials.strip,
      entry,
      runs,
      stages.router.run(geometry.inside, runs),
    );
    const distribution = stages.photometry.run(materials.strip, light.photometry);
    if (!distribution.ok) return distribution;
    const stack = stages.optics.run(materials);
    const glow = stages.glow.run(
      brief,
      artwork.mode,
      geometry,
      materials,
      stack,
      distribution.value,
      runs,
      circuit,
      lettering,
    );
    const shedding = stages.shedding.run(geometry, assembly.case.vents, glow);
    const heat = stages.heat.run(brief, power, materials.strip, circuit, shedding);
    const facts = [
      brief,
      artwork.mode,
      artwork.mirrored === true,
      assembly.case,
      geometry,
      materials,
      runs,
      lettering,
      circuit,
    ] as const;
    const parts = stages.parts.run(...facts);
    const packing = stages.packing.run(parts, runs, materials.strip, catalogue, brief.quantity);
    const plan = stages.plan.run(...facts, parts);
    const cost = stages.cost.run(brief, parts, packing, plan, catalogue);
    const results: BoxResults = {
      build: 'lightbox',
      design,
      assembly,
      materials,
      lettering,
      workability,
      geometry,
      runs,
      section,
      distribution: distribution.value,
      stack,
      circuit,
      glow,
      heat,
      parts,
      packing,
      buildList: plan,
      cost,
    };
    return success({ results, recomputed: recomputedOf(stages) });
  };
};

type PartArguments = [
  brief: BoxResults['design']['brief'],
  mode: LightboxAssembly['artwork']['mode'],
  mirrored: boolean,
  design: LightboxAssembly['case'],
  geometry: BoxResults['geometry'],
  materials: BoxResults['materials'],
  runs: BoxResults['runs'],
  lettering: BoxResults['lettering'],
  circuit: BoxResults['circuit'],
];
type PlanArguments = [...PartArguments, parts: BoxResults['parts']];
type GlowArguments = [
  brief: PartArguments[0],
  mode: PartArguments[1],
  geometry: PartArguments[4],
  materials: PartArguments[5],
  stack: BoxResults['stack'],
  distribution: BoxResults['distribution'],
  runs: PartArguments[6],
  circuit: PartArguments[8],
  lettering: PartArguments[7],
];
