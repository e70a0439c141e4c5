import { chooseFont, layLettering, type FontBook } from '../artwork/index.js';
import { findMaterials, type Catalogue } from '../catalogue/index.js';
import { wireUp } from '../circuit/index.js';
import { costOf } from '../cost/index.js';
import type { Design } from '../design/index.js';
import { caseGeometry } from '../geometry/index.js';
import { glowOf, type GridWish } from '../glow/index.js';
import { heatOf } from '../heat/index.js';
import { layRuns } from '../light-runs/index.js';
import { remember } from '../maths/index.js';
import { faceStack } from '../optics/index.js';
import { coverage, type Outline } from '../outlines/index.js';
import { pack } from '../packing/index.js';
import { listParts } from '../parts/index.js';
import { distributionOf } from '../photometry/index.js';
import { planBuild } from '../plan/index.js';
import { failure, success, type Result } from '../result.js';
import { cutSection } from '../section/index.js';
import { workabilityOf } from '../workability/index.js';
import { stageNames, type StageName, type StageResults } from './types.js';

/** Stage results and which stages had to be computed anew. */
export interface StageRun {
  readonly results: StageResults;
  readonly recomputed: readonly StageName[];
}

/**
 * The pipeline, every stage remembering its last call by the identity of its inputs: an edit recomputes only what lies
 * downstream of it. One runner serves one page or one search.
 */
export const createStages = (catalogue: Catalogue, fonts: FontBook, wish: GridWish) => {
  // Rasters of the same size are new objects each time; their numbers tell them apart.
  const letters = remember((outline: Outline, width: number, height: number, columns: number, rows: number) =>
    coverage(outline, { x: -width / 2, y: -height / 2, width, height }, columns, rows),
  );
  const stages = {
    materials: remember(findMaterials),
    font: remember(chooseFont),
    artwork: remember(layLettering),
    workability: remember(workabilityOf),
    geometry: remember(caseGeometry),
    runs: remember(layRuns),
    section: remember(cutSection),
    circuit: remember(wireUp),
    photometry: remember(distributionOf),
    optics: remember(faceStack),
    glow: remember(
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
          wish,
        }),
    ),
    heat: remember(heatOf),
    parts: remember(
      (...[build, brief, mode, mirrored, design, geometry, materials, runs, lettering, circuit]: PartArguments) =>
        listParts(build, catalogue, { brief, mode, mirrored, design, geometry, materials, runs, lettering }, circuit),
    ),
    packing: remember(pack),
    plan: remember(
      (
        ...[build, brief, mode, mirrored, design, geometry, materials, runs, lettering, circuit, parts]: PlanArguments
      ) =>
        planBuild(build, {
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
    cost: remember(costOf),
  };

  return (design: Design): Result<StageRun> => {
    const [assembly] = design.assemblies;
    if (assembly === undefined) return failure({ path: 'assemblies', message: 'a design needs one assembly' });
    const { brief, power } = design;
    const { build, artwork, light } = assembly;
    const materials = stages.materials.run(assembly, catalogue, 'assemblies.0');
    if (!materials.ok) return materials;
    const font = stages.font.run(artwork.fontId, artwork.ownFont ?? null, fonts);
    const lettering = stages.artwork.run(brief.text, artwork, font);
    if (!lettering.ok) return lettering;
    const workability = stages.workability.run(lettering.value.outline, materials.value.tool);
    const geometry = stages.geometry.run(build, assembly.case, materials.value);
    if (!geometry.ok) return geometry;
    const runs = stages.runs.run(build, geometry.value, light, materials.value);
    if (!runs.ok) return runs;
    const section = stages.section.run(build, geometry.value, assembly.case, materials.value, runs.value);
    const circuit = stages.circuit.run(brief, power, catalogue, materials.value.strip, geometry.value, runs.value);
    const distribution = stages.photometry.run(materials.value.strip, light.photometry);
    if (!distribution.ok) return distribution;
    const stack = stages.optics.run(materials.value);
    const glow = stages.glow.run(
      brief,
      artwork.mode,
      geometry.value,
      materials.value,
      stack,
      distribution.value,
      runs.value,
      circuit,
      lettering.value,
    );
    const heat = stages.heat.run(brief, geometry.value, materials.value, circuit, glow);
    const facts = [
      build,
      brief,
      artwork.mode,
      artwork.mirrored === true,
      assembly.case,
      geometry.value,
      materials.value,
      runs.value,
      lettering.value,
      circuit,
    ] as const;
    const parts = stages.parts.run(...facts);
    const packing = stages.packing.run(parts, runs.value, materials.value.strip, catalogue, brief.quantity);
    const plan = stages.plan.run(...facts, parts);
    const cost = stages.cost.run(brief, parts, packing, plan, catalogue);
    return success({
      results: {
        design,
        materials: materials.value,
        lettering: lettering.value,
        workability,
        geometry: geometry.value,
        runs: runs.value,
        section,
        distribution: distribution.value,
        stack,
        circuit,
        glow,
        heat,
        parts,
        packing,
        plan,
        cost,
      },
      recomputed: stageNames.filter((name) => !stages[name].reused()),
    });
  };
};

type PartArguments = [
  build: StageResults['design']['assemblies'][number]['build'],
  brief: StageResults['design']['brief'],
  mode: StageResults['design']['assemblies'][number]['artwork']['mode'],
  mirrored: boolean,
  design: StageResults['design']['assemblies'][number]['case'],
  geometry: StageResults['geometry'],
  materials: StageResults['materials'],
  runs: StageResults['runs'],
  lettering: StageResults['lettering'],
  circuit: StageResults['circuit'],
];
type PlanArguments = [...PartArguments, parts: StageResults['parts']];
type GlowArguments = [
  brief: PartArguments[1],
  mode: PartArguments[2],
  geometry: PartArguments[5],
  materials: PartArguments[6],
  stack: StageResults['stack'],
  distribution: StageResults['distribution'],
  runs: PartArguments[7],
  circuit: PartArguments[9],
  lettering: PartArguments[8],
];
