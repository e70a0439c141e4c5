import { cansGlowOf, traceByCan } from '../../light/can/index.js';
import { findFaceLitMaterials, type FaceLitMaterials } from '../../document/catalogue/index.js';
import type { Brief, FaceLitAssembly } from '../../document/design/index.js';
import type { FaceLitResults } from '../../sign/evaluate/types.js';
import { memoizeLast } from '../../base/maths/index.js';
import { faceStack } from '../../light/optics/index.js';
import {
  offset,
  outlineArea,
  outlineByShape,
  ringLength,
  simplify,
  solidParts,
  type Outline,
  type Point,
} from '../../base/outlines/index.js';
import { sumParts } from '../../making/parts/index.js';
import { buildListOf } from '../../making/steps/index.js';
import { success } from '../../base/result.js';
import { leadEntryOf } from '../letters/lead-entry.js';
import { jumpersOf } from '../letters/jumpers.js';
import { letterPaths, letterRuns } from '../letters/runs.js';
import { piecesOfLetters } from '../letters/splits.js';
import { recomputedOf, commonStages } from '../shared/common-stages.js';
import type { Build } from '../shared/types.js';
import { letterRouters } from '../shared/wire-routes.js';
import { cansGeometry } from './geometry.js';
import { faceLitBought, faceLitParts, shapingByShape } from './parts.js';
import { faceLitSection } from './section.js';
import { faceLitSteps } from './steps.js';

/** Strip and light follow the outline this closely (mm); tools follow it as it is. */
const followedMm = 0.05;
/** Share of the backs that still sheds heat when they hang close to a wall. */
const backShare = 0.5;

const noPosts = [] as const;

/** The stages of face-lit letters, in the order of the work. */
export const faceLitPipeline: Build<FaceLitAssembly, FaceLitResults>['pipeline'] = (catalogue, fonts, limits) => {
  const shaping = shapingByShape();
  const trace = traceByCan();
  const insideOf = outlineByShape((part, wallMm: number) => offset(part, -wallMm, followedMm));
  const stages = {
    ...commonStages(),
    materials: memoizeLast(findFaceLitMaterials),
    letters: memoizeLast(solidParts),
    pieces: memoizeLast(piecesOfLetters),
    shape: memoizeLast((outline: Outline) => simplify(outline, followedMm)),
    inside: memoizeLast((outline: Outline, wallMm: number) =>
      solidParts(outline).flatMap((part) => insideOf(part, wallMm)),
    ),
    lit: memoizeLast((inside: Outline, borderMm: number) =>
      solidParts(inside).flatMap((part) => shaping.offset(part, -borderMm)),
    ),
    geometry: memoizeLast(cansGeometry),
    returns: memoizeLast((outline: Outline, wallMm: number) => outline.map((ring) => shaping.develop(ring, wallMm))),
    entry: memoizeLast(leadEntryOf),
    bed: memoizeLast((ledZMm: number) => ({ ledZMm, facing: 'face' as const })),
    paths: memoizeLast(letterPaths()),
    runs: memoizeLast(letterRuns),
    router: memoizeLast(letterRouters()),
    jumpers: memoizeLast(jumpersOf),
    section: memoizeLast(faceLitSection),
    optics: memoizeLast((materials: FaceLitMaterials) => faceStack({ ...materials, second: null })),
    glow: memoizeLast(
      (...[brief, outline, inside, lit, geometry, materials, stack, distribution, runs, circuit]: GlowArguments) =>
        cansGlowOf({
          brief,
          outline,
          inside,
          lit,
          geometry,
          materials,
          stack,
          distribution,
          runs,
          circuit,
          limits,
          trace,
        }),
    ),
    shedding: memoizeLast((outline: Outline, depthMm: number, outLm: number) => {
      const roundMm = outline.reduce((sum, ring) => sum + ringLength(ring), 0);
      return {
        areaM2: (Math.abs(outlineArea(outline)) * (1 + backShare) + roundMm * depthMm) / 1e6,
        closed: true,
        outLm,
        vents: null,
      };
    }),
    parts: memoizeLast((...[brief, assembly, geometry, materials, runs, letters, circuit]: PartArguments) => {
      const wireHoles = circuit.wires.flatMap(({ holes }) => holes.map(([x, y]): Point => [x, y]));
      const facts = { brief, assembly, geometry, materials, runs, letters, shaping, wireHoles };
      return sumParts(faceLitParts(facts), faceLitBought(catalogue, facts, circuit));
    }),
    plan: memoizeLast(
      (...[brief, assembly, geometry, materials, runs, letters, circuit, parts, jumpers]: PlanArguments) =>
        buildListOf(
          faceLitSteps({ brief, assembly, geometry, materials, runs, letters, circuit, jumpers, parts: parts.cut }),
        ),
    ),
  };

  return (design, assembly) => {
    const { brief, power } = design;
    const { artwork, light, cans } = assembly;
    const found = stages.materials.run(assembly, catalogue, 'assemblies.0');
    if (!found.ok) return found;
    const materials = found.value;
    const font = stages.font.run(artwork.fontId, artwork.ownFont ?? null, fonts);
    const laid = stages.artwork.run(brief.text, artwork, font);
    if (!laid.ok) return laid;
    const lettering = laid.value;
    const letters = stages.letters.run(lettering.outline);
    const pieces = stages.pieces.run(letters, artwork.splits, artwork.registration);
    const workability = stages.workability.run(lettering.outline, materials.tool, pieces);
    const outline = stages.shape.run(lettering.outline);
    const sized = stages.geometry.run(cans, materials, lettering.bounds);
    if (!sized.ok) return sized;
    const geometry = sized.value;
    const returns = stages.returns.run(lettering.outline, geometry.wallMm);
    const inside = stages.inside.run(outline, cans.wallMm);
    const bed = stages.bed.run(geometry.ledZMm);
    const throwMm = geometry.depthInsideMm - geometry.ledZMm;
    const paths = stages.paths.run(inside, light, materials.strip);
    const strung = stages.runs.run(inside, paths, bed, light, materials.strip, noPosts, throwMm);
    if (!strung.ok) return strung;
    const runs = strung.value;
    const section = stages.section.run(outline, geometry, assembly, materials, runs);
    const entry = stages.entry.run(brief.leadExit, outline);
    const router = stages.router.run(letters, runs, materials.strip.widthMm, power.crossings ?? 'holes');
    const circuit = stages.circuit.run(brief, power, catalogue, materials.strip, entry, runs, router);
    const jumpers = stages.jumpers.run(circuit, outline);
    const distribution = stages.photometry.run(materials.strip, light.photometry);
    if (!distribution.ok) return distribution;
    const stack = stages.optics.run(materials);
    const lit = stages.lit.run(inside, Math.min(materials.face.thicknessMm, geometry.wallMm + 1));
    const glow = stages.glow.run(
      brief,
      outline,
      inside,
      lit,
      geometry,
      materials,
      stack,
      distribution.value,
      runs,
      circuit,
    );
    const shedding = stages.shedding.run(outline, geometry.outside.depthMm, glow.balance.outLm);
    const heat = stages.heat.run(brief, power, materials.strip, circuit, shedding);
    const facts = [brief, assembly, geometry, materials, runs, letters, circuit] as const;
    const parts = stages.parts.run(...facts);
    const packing = stages.packing.run(parts, runs, materials.strip, catalogue, brief.quantity);
    const plan = stages.plan.run(...facts, parts, jumpers);
    const cost = stages.cost.run(brief, parts, packing, plan, catalogue);
    const results: FaceLitResults = {
      build: 'face-lit',
      design,
      assembly,
      materials,
      lettering,
      workability,
      geometry,
      returns,
      runs,
      jumpers,
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
  brief: Brief,
  assembly: FaceLitAssembly,
  geometry: FaceLitResults['geometry'],
  materials: FaceLitMaterials,
  runs: FaceLitResults['runs'],
  letters: readonly Outline[],
  circuit: FaceLitResults['circuit'],
];
type PlanArguments = [...PartArguments, parts: FaceLitResults['parts'], jumpers: FaceLitResults['jumpers']];
type GlowArguments = [
  brief: Brief,
  outline: Outline,
  inside: Outline,
  lit: Outline,
  geometry: FaceLitResults['geometry'],
  materials: FaceLitMaterials,
  stack: FaceLitResults['stack'],
  distribution: FaceLitResults['distribution'],
  runs: FaceLitResults['runs'],
  circuit: FaceLitResults['circuit'],
];
