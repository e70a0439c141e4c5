import { findHaloMaterials, type HaloMaterials } from '../../document/catalogue/index.js';
import type { Brief, HaloAssembly } from '../../document/design/index.js';
import type { HaloResults } from '../../sign/evaluate/types.js';
import { haloGlowOf, type PostedPart } from '../../light/wall/index.js';
import type { Looking } from '../../light/wall/index.js';
import { memoizeLast } from '../../base/maths/index.js';
import { outlineArea, simplify, solidParts, type Outline } from '../../base/outlines/index.js';
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
import { haloGeometry } from './geometry.js';
import { haloBought, haloParts } from './parts.js';
import { haloPosts, letterKgPerM2, postsByShape } from './posts.js';
import { haloSection } from './section.js';
import { haloSteps } from './steps.js';

/** Strip, posts and light follow the outline this closely (mm); tools follow it as it is. */
const followedMm = 0.05;

/** Strip on its side looks out, or in when it stands inside the return of an open shell. */
const lookingOf = ({ letters, light }: HaloAssembly): Looking => {
  if (!light.standing) return 'wall';
  return letters.form === 'hollow' && letters.back === 'open' ? 'in' : 'out';
};

const postList = (parts: readonly PostedPart[]) => parts.flatMap(({ posts }) => posts);

/** The stages of halo letters, in the order of the work. */
export const haloPipeline: Build<HaloAssembly, HaloResults>['pipeline'] = (catalogue, fonts, limits) => {
  const solvePosts = postsByShape();
  const stages = {
    ...commonStages(),
    materials: memoizeLast(findHaloMaterials),
    letters: memoizeLast(solidParts),
    pieces: memoizeLast(piecesOfLetters),
    shape: memoizeLast((outline: Outline) => simplify(outline, followedMm)),
    geometry: memoizeLast(haloGeometry),
    entry: memoizeLast(leadEntryOf),
    posted: memoizeLast(haloPosts),
    posts: memoizeLast(postList),
    bed: memoizeLast((ledZMm: number) => ({ ledZMm, facing: 'wall' as const })),
    paths: memoizeLast(letterPaths()),
    runs: memoizeLast(letterRuns),
    router: memoizeLast(letterRouters()),
    jumpers: memoizeLast(jumpersOf),
    section: memoizeLast(haloSection),
    glow: memoizeLast(haloGlowOfParts),
    shedding: memoizeLast((areaMm2: number, outLm: number) => ({
      areaM2: (2 * areaMm2) / 1e6,
      closed: false,
      outLm,
      vents: null,
    })),
    parts: memoizeLast((...[brief, assembly, geometry, materials, runs, posts, letters, circuit]: PartArguments) => {
      const facts = { brief, assembly, geometry, materials, runs, posts, letters };
      return sumParts(haloParts(facts), haloBought(catalogue, facts, circuit));
    }),
    plan: memoizeLast(
      (...[brief, assembly, geometry, materials, runs, posts, letters, circuit, parts, jumpers]: PlanArguments) =>
        buildListOf(
          haloSteps({ brief, assembly, geometry, materials, runs, posts, letters, circuit, jumpers, parts: parts.cut }),
        ),
    ),
  };

  function haloGlowOfParts(
    ...[brief, outline, geometry, materials, runs, circuit, distribution, parts, looking, setbackMm]: GlowArguments
  ) {
    return haloGlowOf({
      brief,
      outline,
      geometry,
      materials,
      runs,
      circuit,
      distribution,
      parts,
      looking,
      setbackMm,
      limits,
    });
  }

  return (design, assembly) => {
    const { brief, power } = design;
    const { artwork, light } = assembly;
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
    const sized = stages.geometry.run(assembly, materials, lettering.bounds);
    if (!sized.ok) return sized;
    const geometry = sized.value;
    const posts = stages.posted.run(
      outline,
      letterKgPerM2(geometry, materials),
      assembly.posts,
      light,
      materials.strip,
      solvePosts,
    );
    const standing = stages.posts.run(posts);
    const strung = stages.runs.run(
      outline,
      stages.paths.run(outline, light, materials.strip),
      stages.bed.run(geometry.ledZMm),
      light,
      materials.strip,
      standing,
      geometry.ledZMm,
    );
    if (!strung.ok) return strung;
    const runs = strung.value;
    const section = stages.section.run(outline, geometry, assembly, materials, runs, posts);
    const entry = stages.entry.run(brief.leadExit, outline);
    const router = stages.router.run(letters, runs, materials.strip.widthMm, power.crossings ?? 'over');
    const circuit = stages.circuit.run(brief, power, catalogue, materials.strip, entry, runs, router);
    const jumpers = stages.jumpers.run(circuit, outline);
    const distribution = stages.photometry.run(materials.strip, light.photometry);
    if (!distribution.ok) return distribution;
    const glow = stages.glow.run(
      brief,
      outline,
      geometry,
      materials,
      runs,
      circuit,
      distribution.value,
      posts,
      lookingOf(assembly),
      light.setbackMm,
    );
    const shedding = stages.shedding.run(Math.abs(outlineArea(outline)), glow.outLm);
    const heat = stages.heat.run(brief, power, materials.strip, circuit, shedding);
    const facts = [brief, assembly, geometry, materials, runs, posts, letters, circuit] as const;
    const parts = stages.parts.run(...facts);
    const packing = stages.packing.run(parts, runs, materials.strip, catalogue, brief.quantity);
    const plan = stages.plan.run(...facts, parts, jumpers);
    const cost = stages.cost.run(brief, parts, packing, plan, catalogue);
    const results: HaloResults = {
      build: 'halo',
      design,
      assembly,
      materials,
      lettering,
      workability,
      geometry,
      runs,
      jumpers,
      posts,
      section,
      distribution: distribution.value,
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
  assembly: HaloAssembly,
  geometry: HaloResults['geometry'],
  materials: HaloMaterials,
  runs: HaloResults['runs'],
  posts: HaloResults['posts'],
  letters: readonly Outline[],
  circuit: HaloResults['circuit'],
];
type PlanArguments = [...PartArguments, parts: HaloResults['parts'], jumpers: HaloResults['jumpers']];
type GlowArguments = [
  brief: Brief,
  outline: Outline,
  geometry: HaloResults['geometry'],
  materials: HaloMaterials,
  runs: HaloResults['runs'],
  circuit: HaloResults['circuit'],
  distribution: HaloResults['distribution'],
  parts: HaloResults['posts'],
  looking: Looking,
  setbackMm: number,
];
