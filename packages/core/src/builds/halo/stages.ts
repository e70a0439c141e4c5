import type { Board } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import type { HaloAssembly } from './schema.js';
import type { HaloLaid, HaloResults } from './results.js';
import { haloGlowOf, type Post } from '../../light/wall/index.js';
import type { LoadedPost, PostedPart } from '../../making/hanging/index.js';
import type { Looking } from '../../light/wall/index.js';
import { memoizeLast } from '../../base/maths/index.js';
import { outlineArea, simplify, solidParts, type Outline } from '../../base/outlines/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { Jumper, LightShare } from '../../light/runs/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import { success } from '../../base/result.js';
import { findHaloMaterials } from './materials.js';
import { letterBed } from '../letters/heat-bed.js';
import { leadEntryOf } from '../letters/lead-entry.js';
import { jumpersOf } from '../letters/jumpers.js';
import { letterPaths, letterRuns } from '../letters/runs.js';
import { partsOfLetters } from '../letters/splits.js';
import { recomputedOf, commonStages } from '../common/common-stages.js';
import type { BuildWork } from '../common/build.js';
import { letterRouters } from '../common/wire-routes.js';
import { haloGeometry } from './geometry.js';
import { haloBought, haloParts, type HaloFacts } from './parts.js';
import { haloPosts, letterKgPerM2, pinnedPosts, stripBandOf } from './posts.js';
import { haloSection } from './section.js';
import { haloSteps } from './steps.js';

/** Strip, posts and light follow the outline this closely (mm); tools follow it as it is. */
const followedMm = 0.05;

/** Strip on its side looks out, or in when it stands inside the return of an open shell. */
const lookingOf = ({ letters, light }: HaloAssembly): Looking => {
  if (!light.standing) return 'wall';
  return letters.form === 'hollow' && letters.back === 'open' ? 'in' : 'out';
};

const noPosts: readonly Post[] = [];
const postList = (parts: readonly PostedPart[]) => parts.flatMap(({ posts }) => posts);

/** The stages of halo letters, in the order of the work. */
export const haloStages: BuildWork<HaloAssembly, HaloLaid, HaloResults>['stages'] = (catalogue, fonts, limits) => {
  const stages = {
    ...commonStages(),
    materials: memoizeLast(findHaloMaterials),
    letters: memoizeLast(solidParts),
    letterParts: memoizeLast(partsOfLetters),
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
    glow: memoizeLast(haloGlowOfParts),
    shedding: memoizeLast((areaMm2: number, outLm: number, board: Board, stripMm: number) => ({
      areaM2: (2 * areaMm2) / 1e6,
      closed: false,
      outLm,
      vents: null,
      bed: letterBed(board, 2, areaMm2, stripMm),
    })),
    parts: memoizeLast((...facts: FactList) => {
      const known = factsOf(...facts);
      const cut = haloParts(known);
      return { cut, bought: haloBought(catalogue, known, cut) };
    }),
    steps: memoizeLast((circuit: Circuit, cut: readonly CutPart[], jumpers: readonly Jumper[], ...facts: FactList) =>
      haloSteps({ ...factsOf(...facts), parts: cut, circuit, jumpers }),
    ),
  };

  function haloGlowOfParts(
    ...[brief, outline, geometry, materials, runs, share, distribution, posts, looking, setbackMm]: GlowArguments
  ) {
    return haloGlowOf({
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
  }

  return {
    lay: (brief, power, assembly) => {
      const { artwork, light } = assembly;
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
      const outline = stages.shape.run(lettering.outline);
      const sized = stages.geometry.run(assembly, materials, lettering.bounds);
      if (!sized.ok) return sized;
      const geometry = sized.value;
      const kgPerM2 = letterKgPerM2(geometry, materials);
      const paths = stages.paths.run(outline, light, materials.strip);
      const bed = stages.bed.run(geometry.ledZMm);
      // Strip along the outline comes first and posts keep off it, but for those put by hand; laid otherwise it makes way.
      const free = stages.runs.run(outline, paths, bed, light, materials.strip, noPosts, geometry.ledZMm);
      if (!free.ok) return free;
      const band = light.layout === 'outline' ? stages.band.run(light, materials.strip, free.value.segments) : null;
      const posts = stages.posted.run(outline, kgPerM2, assembly.posts, band);
      const inTheWay = band === null ? stages.posts.run(posts) : stages.pinned.run(assembly.posts);
      const strung =
        inTheWay.length === 0
          ? free
          : stages.runsAround.run(outline, paths, bed, light, materials.strip, inTheWay, geometry.ledZMm);
      if (!strung.ok) return strung;
      const runs = strung.value;
      const section = stages.section.run(outline, geometry, assembly, materials, runs, posts);
      const entry = stages.entry.run(brief.leadExit, outline);
      const router = stages.router.run(letters, runs, materials.strip.widthMm, power.crossings ?? 'over');
      const distribution = stages.photometry.run(materials.strip, light.photometry);
      if (!distribution.ok) return distribution;
      return success({
        materials,
        lettering,
        workability,
        geometry,
        runs,
        posts,
        section,
        distribution: distribution.value,
        entry,
        router,
      });
    },
    light: (brief, power, assembly, laid, { circuit, share, wires, ownPower }) => {
      const { lettering, geometry, materials, runs, distribution, posts } = laid;
      const outline = stages.shape.run(lettering.outline);
      const jumpers = stages.jumpers.run(wires, outline);
      const glow = stages.glow.run(
        brief,
        outline,
        geometry,
        materials,
        runs,
        share,
        distribution,
        stages.posts.run(posts),
        lookingOf(assembly),
        assembly.light.setbackMm,
      );
      const shedding = stages.shedding.run(Math.abs(outlineArea(outline)), glow.outLm, materials.board, runs.stripMm);
      return { glow, jumpers, heat: stages.heat.run(brief, power, materials.strip, circuit, ownPower, shedding) };
    },
    parts: (results) => stages.parts.run(...factListOf(results, stages.letters.run(results.lettering.outline))),
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
  assembly: HaloAssembly,
  geometry: HaloResults['geometry'],
  materials: HaloResults['materials'],
  runs: HaloResults['runs'],
  posts: HaloResults['posts'],
  letters: readonly Outline[],
];

const factListOf = (
  { design, assembly, geometry, materials, runs, posts }: Omit<HaloResults, 'cut' | 'bought' | 'packing'>,
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
