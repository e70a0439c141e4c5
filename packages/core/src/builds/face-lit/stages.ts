import type { Board } from '../../document/catalogue/index.js';
import { findFaceLitMaterials, type FaceLitMaterials } from './materials.js';
import { cansGlowOf, traceByCan } from '../../light/can/index.js';
import type { Brief } from '../../document/design/index.js';
import type { FaceLitAssembly } from './schema.js';
import type { FaceLitLaid, FaceLitResults } from './results.js';
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
import type { CutPart } from '../../making/parts/index.js';
import type { Jumper, LightShare } from '../../light/runs/index.js';
import type { Circuit, WireRun } from '../../power/circuit/index.js';
import { success } from '../../base/result.js';
import { letterBed } from '../letters/heat-bed.js';
import { leadEntryOf } from '../letters/lead-entry.js';
import { jumpersOf } from '../letters/jumpers.js';
import { letterPaths, letterRuns } from '../letters/runs.js';
import { partsOfLetters } from '../letters/splits.js';
import { recomputedOf, commonStages } from '../common/common-stages.js';
import type { BuildWork } from '../common/build.js';
import { letterRouters } from '../common/wire-routes.js';
import { cansGeometry } from './geometry.js';
import { faceLitBought, faceLitParts, shapingByShape, type FaceLitFacts } from './parts.js';
import { faceLitSection } from './section.js';
import { faceLitSteps } from './steps.js';

/** Strip and light follow the outline this closely (mm); tools follow it as it is. */
const followedMm = 0.05;
/** Share of the backs that still sheds heat when they hang close to a wall. */
const backShare = 0.5;

const noPosts = [] as const;

/** The stages of face-lit letters, in the order of the work. */
export const faceLitStages: BuildWork<FaceLitAssembly, FaceLitLaid, FaceLitResults>['stages'] = (
  catalogue,
  fonts,
  limits,
) => {
  const shaping = shapingByShape();
  const trace = traceByCan();
  const insideOf = outlineByShape((part, wallMm: number) => offset(part, -wallMm, followedMm));
  const stages = {
    ...commonStages(),
    materials: memoizeLast(findFaceLitMaterials),
    letters: memoizeLast(solidParts),
    letterParts: memoizeLast(partsOfLetters),
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
      (...[brief, outline, inside, lit, geometry, materials, stack, distribution, runs, share]: GlowArguments) =>
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
          share,
          limits,
          trace,
        }),
    ),
    shedding: memoizeLast((outline: Outline, depthMm: number, outLm: number, board: Board, stripMm: number) => {
      const roundMm = outline.reduce((sum, ring) => sum + ringLength(ring), 0);
      return {
        areaM2: (Math.abs(outlineArea(outline)) * (1 + backShare) + roundMm * depthMm) / 1e6,
        closed: true,
        outLm,
        vents: null,
        bed: letterBed(board, 1, Math.abs(outlineArea(outline)), stripMm),
      };
    }),
    parts: memoizeLast((wires: readonly WireRun[], ...facts: FactList) => {
      const wireHoles = wires.flatMap(({ holes }) => holes.map(([x, y]): Point => [x, y]));
      const known = { ...factsOf(...facts), shaping, wireHoles };
      return { cut: faceLitParts(known), bought: faceLitBought(catalogue, known) };
    }),
    steps: memoizeLast((circuit: Circuit, cut: readonly CutPart[], jumpers: readonly Jumper[], ...facts: FactList) =>
      faceLitSteps({ ...factsOf(...facts), parts: cut, circuit, jumpers }),
    ),
  };

  /** What strip and light go by: the letters as they are followed, and the inside of their returns. */
  const shapesOf = ({ outline }: FaceLitLaid['lettering'], wallMm: number) => {
    const shape = stages.shape.run(outline);
    return { outline: shape, inside: stages.inside.run(shape, wallMm) };
  };

  return {
    lay: (brief, power, assembly) => {
      const { artwork, light, cans } = assembly;
      const found = stages.materials.run(assembly, catalogue);
      if (!found.ok) return found;
      const materials = found.value;
      const font = stages.font.run(artwork.fontId, artwork.ownFont ?? null, fonts);
      const set = stages.artwork.run(artwork.text ?? brief.text, artwork, font);
      if (!set.ok) return set;
      const lettering = set.value;
      const letters = stages.letters.run(lettering.outline);
      const letterParts = stages.letterParts.run(letters, artwork.splits, artwork.registration);
      const workability = stages.workability.run(lettering.outline, materials.tool, letterParts);
      const { outline, inside } = shapesOf(lettering, cans.wallMm);
      const sized = stages.geometry.run(cans, materials, lettering.bounds);
      if (!sized.ok) return sized;
      const geometry = sized.value;
      const returns = stages.returns.run(lettering.outline, geometry.wallMm);
      const bed = stages.bed.run(geometry.ledZMm);
      const throwMm = geometry.depthInsideMm - geometry.ledZMm;
      const paths = stages.paths.run(inside, light, materials.strip);
      const strung = stages.runs.run(inside, paths, bed, light, materials.strip, noPosts, throwMm);
      if (!strung.ok) return strung;
      const runs = strung.value;
      const section = stages.section.run(outline, geometry, assembly, materials, runs);
      const entry = stages.entry.run(brief.leadExit, outline);
      const router = stages.router.run(letters, runs, materials.strip.widthMm, power.crossings ?? 'holes');
      const distribution = stages.photometry.run(materials.strip, light.photometry);
      if (!distribution.ok) return distribution;
      const stack = stages.optics.run(materials);
      return success({
        materials,
        lettering,
        workability,
        geometry,
        returns,
        runs,
        section,
        distribution: distribution.value,
        stack,
        entry,
        router,
      });
    },
    light: (brief, power, { cans }, laid, { circuit, share, wires, ownPower }) => {
      const { lettering, geometry, materials, stack, distribution, runs } = laid;
      const { outline, inside } = shapesOf(lettering, cans.wallMm);
      const jumpers = stages.jumpers.run(wires, outline);
      const lit = stages.lit.run(inside, Math.min(materials.face.thicknessMm, geometry.wallMm + 1));
      const glow = stages.glow.run(brief, outline, inside, lit, geometry, materials, stack, distribution, runs, share);
      const shedding = stages.shedding.run(
        outline,
        geometry.outside.depthMm,
        glow.balance.outLm,
        materials.backBoard,
        runs.stripMm,
      );
      return { glow, jumpers, heat: stages.heat.run(brief, power, materials.strip, circuit, ownPower, shedding) };
    },
    parts: (results) =>
      stages.parts.run(results.wires, ...factListOf(results, stages.letters.run(results.lettering.outline))),
    steps: (results) =>
      stages.steps.run(
        results.circuit,
        results.cut,
        results.jumpers,
        ...factListOf(results, stages.letters.run(results.lettering.outline)),
      ),
    recomputed: () => recomputedOf(stages),
  };
};

type FactList = readonly [
  brief: Brief,
  assembly: FaceLitAssembly,
  geometry: FaceLitResults['geometry'],
  materials: FaceLitResults['materials'],
  runs: FaceLitResults['runs'],
  letters: readonly Outline[],
];

const factListOf = (
  { design, assembly, geometry, materials, runs }: Omit<FaceLitResults, 'cut' | 'bought' | 'packing'>,
  letters: readonly Outline[],
): FactList => [design.brief, assembly, geometry, materials, runs, letters];

const factsOf = (
  ...[brief, assembly, geometry, materials, runs, letters]: FactList
): Omit<FaceLitFacts, 'shaping' | 'wireHoles'> => ({ brief, assembly, geometry, materials, runs, letters });

type GlowArguments = [
  brief: Brief,
  outline: Outline,
  inside: Outline,
  lit: Outline,
  geometry: FaceLitResults['geometry'],
  materials: FaceLitResults['materials'],
  stack: FaceLitResults['stack'],
  distribution: FaceLitResults['distribution'],
  runs: FaceLitResults['runs'],
  share: LightShare,
];
