import type { BeforeParts } from '../../judging/results/index.js';
import type { Finishing } from '../../making/finishing/index.js';
import type { Hang } from '../../making/hanging/index.js';
import type { Board, Catalogue } from '../../document/catalogue/index.js';
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
import { faceLitBacker } from './backer.js';
import { letterBed } from '../letters/heat-bed.js';
import { leadEntryOf } from '../letters/lead-entry.js';
import { jumpersOf } from '../letters/jumpers.js';
import { letterPaths, letterRuns } from '../letters/runs.js';
import { letteringMemos } from '../letters/lay-lettering.js';
import { letterRouters } from '../common/wire-routes.js';
import { cansGeometry } from './geometry.js';
import { faceLitBought, faceLitParts, shapingByShape, type FaceLitFacts } from './parts.js';
import { faceLitSection } from './section.js';
import { faceLitSteps } from './steps.js';
import type { GridLimits } from '../../light/glow/index.js';

/** Strip and light follow the outline this closely (mm); tools follow it as it is. */
const followedMm = 0.05;
/** Share of the backs that still sheds heat when they hang close to a wall. */
const backShare = 0.5;

export type FactList = readonly [
  brief: Brief,
  assembly: FaceLitAssembly,
  geometry: FaceLitResults['geometry'],
  materials: FaceLitResults['materials'],
  runs: FaceLitResults['runs'],
  letters: readonly Outline[],
];

/** What parts and steps are made from, as a list that a memo can hold against the last. */
export const factListOf = (
  { design, assembly, geometry, materials, runs }: BeforeParts<FaceLitResults>,
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

/** The stages of face-lit letters, each memoized by its last calls. */
export const faceLitMemos = (catalogue: Catalogue, limits: GridLimits) => {
  const shaping = shapingByShape();
  const trace = traceByCan();
  const insideOf = outlineByShape((part, wallMm: number) => offset(part, -wallMm, followedMm));
  return {
    ...letteringMemos(),
    materials: memoizeLast(findFaceLitMaterials),
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
      const cut = faceLitParts(known);
      const backer = faceLitBacker(known, cut, catalogue);
      return { cut: [...cut, ...backer.cut], bought: [...faceLitBought(catalogue, known), ...backer.bought] };
    }),
    steps: memoizeLast(
      (
        circuit: Circuit,
        cut: readonly CutPart[],
        jumpers: readonly Jumper[],
        hang: Hang | null,
        finishing: Finishing,
        ...facts: FactList
      ) => faceLitSteps({ ...factsOf(...facts), parts: cut, circuit, jumpers, hang, finishing }),
    ),
  };
};

export type FaceLitMemos = ReturnType<typeof faceLitMemos>;

/** What strip and light go by: the letters as they are followed, and the inside of their returns. */
export const shapesOf = (stages: FaceLitMemos, { outline }: FaceLitLaid['lettering'], wallMm: number) => {
  const shape = stages.shape.run(outline);
  return { outline: shape, inside: stages.inside.run(shape, wallMm) };
};
