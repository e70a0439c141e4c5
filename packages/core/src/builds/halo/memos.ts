import type { BeforeParts } from '../../judging/results/index.js';
import type { Finishing } from '../../making/finishing/index.js';
import type { Hang } from '../../making/hanging/index.js';
import type { Board, Catalogue } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import type { HaloAssembly } from './schema.js';
import type { HaloResults } from './results.js';
import { haloGlowOf, type Looking } from '../../light/wall/index.js';
import type { LoadedPost, PostedPart } from '../../making/hanging/index.js';
import { memoizeLast } from '../../base/maths/index.js';
import { simplify, type Outline } from '../../base/outlines/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { Jumper, LightShare } from '../../light/runs/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import { haloBacker } from './backer.js';
import { findHaloMaterials } from './materials.js';
import { letterBed } from '../letters/heat-bed.js';
import { leadEntryOf } from '../letters/lead-entry.js';
import { jumpersOf } from '../letters/jumpers.js';
import { letterPaths, letterRuns } from '../letters/runs.js';
import { letteringMemos } from '../letters/lay-lettering.js';
import { letterRouters } from '../common/wire-routes.js';
import { haloGeometry } from './geometry.js';
import { haloBought, haloParts, type HaloFacts } from './parts.js';
import { haloPosts, pinnedPosts, stripBandOf } from './posts.js';
import { haloSection } from './section.js';
import { haloSteps } from './steps.js';
import type { GridLimits } from '../../light/glow/index.js';

/** Strip, posts and light follow the outline this closely (mm); tools follow it as it is. */
const followedMm = 0.05;

const postList = (parts: readonly PostedPart[]) => parts.flatMap(({ posts }) => posts);

export type FactList = readonly [
  brief: Brief,
  assembly: HaloAssembly,
  geometry: HaloResults['geometry'],
  materials: HaloResults['materials'],
  runs: HaloResults['runs'],
  posts: HaloResults['posts'],
  letters: readonly Outline[],
];

/** What parts and steps are made from, as a list that a memo can hold against the last. */
export const factListOf = (
  { design, assembly, geometry, materials, runs, posts }: BeforeParts<HaloResults>,
  letters: readonly Outline[],
): FactList => [design.brief, assembly, geometry, materials, runs, posts, letters];

const factsOf = (...[brief, assembly, geometry, materials, runs, posts, letters]: FactList): HaloFacts => ({
  brief,
  assembly,
  geometry,
  materials,
  runs,
  posts,
  letters,
});

type GlowArguments = [
  brief: Brief,
  outline: Outline,
  geometry: HaloResults['geometry'],
  materials: HaloResults['materials'],
  runs: HaloResults['runs'],
  share: LightShare,
  distribution: HaloResults['distribution'],
  posts: readonly LoadedPost[],
  looking: Looking,
  setbackMm: number,
];

const glowWithin =
  (limits: GridLimits) =>
  (...[brief, outline, geometry, materials, runs, share, distribution, posts, looking, setbackMm]: GlowArguments) =>
    haloGlowOf({
      brief,
      outline,
      geometry,
      materials,
      runs,
      share,
      distribution,
      posts,
      looking,
      setbackMm,
      limits,
    });

/** The stages of halo letters, each memoized by its last calls. */
export const haloMemos = (catalogue: Catalogue, limits: GridLimits) => {
  return {
    ...letteringMemos(),
    materials: memoizeLast(findHaloMaterials),
    shape: memoizeLast((outline: Outline) => simplify(outline, followedMm)),
    geometry: memoizeLast(haloGeometry),
    entry: memoizeLast(leadEntryOf),
    posted: memoizeLast(haloPosts),
    posts: memoizeLast(postList),
    pinned: memoizeLast(pinnedPosts),
    band: memoizeLast(stripBandOf),
    bed: memoizeLast((ledZMm: number) => ({ ledZMm, facing: 'wall' as const })),
    paths: memoizeLast(letterPaths()),
    runsAround: memoizeLast(letterRuns),
    runs: memoizeLast(letterRuns),
    router: memoizeLast(letterRouters()),
    jumpers: memoizeLast(jumpersOf),
    section: memoizeLast(haloSection),
    glow: memoizeLast(glowWithin(limits)),
    shedding: memoizeLast((areaMm2: number, outLm: number, board: Board, stripMm: number) => ({
      areaM2: (2 * areaMm2) / 1e6,
      closed: false,
      outLm,
      vents: null,
      bed: letterBed(board, 2, areaMm2, stripMm),
    })),
    parts: memoizeLast((jumpers: readonly Jumper[], ...facts: FactList) => {
      const known = factsOf(...facts);
      const letters = haloParts(known);
      const backer = haloBacker(known, jumpers, catalogue);
      return {
        cut: [...letters, ...backer.cut],
        bought: [...haloBought(catalogue, known, letters), ...backer.bought],
      };
    }),
    steps: memoizeLast(
      (
        circuit: Circuit,
        cut: readonly CutPart[],
        jumpers: readonly Jumper[],
        hang: Hang | null,
        finishing: Finishing,
        ...facts: FactList
      ) => haloSteps({ ...factsOf(...facts), parts: cut, circuit, jumpers, hang, finishing }),
    ),
  };
};

export type HaloMemos = ReturnType<typeof haloMemos>;
