import type { FontBook } from '../../artwork/lettering/index.js';
import { memoizeLast, sum } from '../../base/maths/index.js';
import { placedRect, rectRound, unplaced3, type Placing } from '../../base/placing/index.js';
import { failure, success, type Problem, type Result } from '../../base/result.js';
import { buildOf, stageNames, type AnyLaid, type AnyResults, type StageName } from '../../builds/index.js';
import type { Catalogue, Strip } from '../../document/catalogue/index.js';
import type { AnyAssembly } from '../../judging/results/index.js';
import { frontOf } from '../../judging/results/index.js';
import type { GridLimits } from '../../light/glow/index.js';
import { costOf } from '../../making/cost/index.js';
import { pack, type SegmentToCut } from '../../making/packing/index.js';
import { electrical, sumParts, type CutPart, type Parts } from '../../making/parts/index.js';
import { buildListOf, mergeSteps } from '../../making/steps/index.js';
import {
  assemblyLabel,
  signRunsOf,
  solveCircuit,
  type Circuit,
  type Router,
  type WireRun,
  type WiredAssembly,
} from '../../power/circuit/index.js';
import type { Design } from '../design/index.js';
import { placingsOf } from './placings.js';
import type { StageResults, StageRun } from './types.js';

/** An assembly that is laid, and where it stands. */
interface Standing {
  readonly assembly: AnyAssembly;
  readonly index: number;
  readonly label: string;
  readonly laid: AnyLaid;
  readonly placing: Placing;
}

const inAssembly = (index: number, problems: readonly Problem[]): readonly Problem[] =>
  problems.map(({ path, message }) => ({ path: `assemblies.${index}.${path}`, message }));

/** Wires that end in an assembly, in its own axes; all of them as they are where it is the only one. */
const wiresIn = ({ wires, segments }: Circuit, index: number, placing: Placing, count: number): readonly WireRun[] => {
  if (count === 1) return wires;
  return wires
    .filter(({ ends: [, to] }) => to !== 'lead' && segments[to.segment]!.assembly === index)
    .map((wire) => ({
      ...wire,
      path: wire.path.map((at) => unplaced3(placing, at)),
      holes: wire.holes.map((at) => unplaced3(placing, at)),
      at: [unplaced3(placing, wire.at[0]), unplaced3(placing, wire.at[1])] as const,
    }));
};

/** A part of one assembly of several, named by it. */
const namedPart =
  (id: string, label: string) =>
  (part: CutPart): CutPart =>
    label === '' ? part : { ...part, id: `${id}-${part.id}`, name: `${label} ${part.name}` };

type AnyStages = ReturnType<ReturnType<typeof buildOf>['work']['stages']>;

/**
 * The pipelines of all builds, and between them what a sign shares: `lay` of each assembly, `wire` of the sign, `light` of
 * each, `sum` of the sign. Every stage is memoized by its last call by the identity of its inputs: an edit recomputes only what
 * lies downstream of it. One runner serves one page or one search.
 */
export const createStages = (catalogue: Catalogue, fonts: FontBook, limits: GridLimits) => {
  const own = new Map<string, AnyStages>();
  /** Each place of the list has stages of its own for each build, so that two boxes do not forget each other. */
  const stagesOf = (assembly: AnyAssembly, index: number): AnyStages => {
    const key = `${index} ${assembly.build}`;
    const known = own.get(key) ?? buildOf(assembly).work.stages(catalogue, fonts, limits);
    own.set(key, known);
    return known;
  };
  const wired = memoizeLast(
    (
      ids: readonly string[],
      strips: readonly Strip[],
      runs: readonly WiredAssembly['runs'][],
      entries: readonly WiredAssembly['entry'][],
      routers: readonly Router[],
      placings: readonly Placing[],
    ) =>
      signRunsOf(
        ids.map((id, index) => ({
          id,
          strip: strips[index]!,
          runs: runs[index]!,
          entry: entries[index]!,
          router: routers[index]!,
          placing: placings[index]!,
        })),
      ),
  );
  const circuit = memoizeLast(solveCircuit);
  const lists = { ids: keptList<string>(), strips: keptList<Strip>() };
  const runsList = keptList<WiredAssembly['runs']>();
  const entryList = keptList<WiredAssembly['entry']>();
  const routerList = keptList<Router>();
  const placingList = keptList<Placing>();
  const wiresOf = memoizeLast((solved: Circuit, placings: readonly Placing[]) =>
    placings.map((placing, index) => wiresIn(solved, index, placing, placings.length)),
  );
  const ownPowers = memoizeLast((solved: Circuit) => {
    const all = sum(solved.shares.map(({ watts }) => watts));
    return solved.shares.map(({ watts }, index) => ({
      share: all > 0 ? watts / all : 1 / solved.shares.length,
      holdsSupply: index === 0,
    }));
  });
  const listed = memoizeLast(sumParts);
  const planned = memoizeLast(buildListOf);
  const stages = { circuit, packing: memoizeLast(pack), cost: memoizeLast(costOf) };
  const cutList = keptList<CutPart>();
  const segmentsToCut = memoizeLast((solved: Circuit): readonly SegmentToCut[] => solved.segments);

  /** Lays every assembly; every problem of every one. */
  const lay = ({ brief, power, assemblies }: Design): Result<readonly Standing[]> => {
    const laid = assemblies.map((assembly, index) => stagesOf(assembly, index).lay(brief, power, assembly));
    const problems = laid.flatMap((each, index) => (each.ok ? [] : inAssembly(index, each.problems)));
    if (problems.length > 0) return failure(...problems);
    const good = laid.flatMap((each) => (each.ok ? [each.value] : []));
    const placings = placingsOf(
      assemblies.map(({ id, place }, index) => ({ id, place, frontZMm: good[index]!.section.frontZMm })),
    );
    return success(
      assemblies.map((assembly, index) => ({
        assembly,
        index,
        label: assemblyLabel(index, assemblies.length),
        laid: good[index]!,
        placing: placings[index]!,
      })),
    );
  };

  /** Wires them all to each other and to their supplies. */
  const wire = ({ brief, power }: Design, standing: readonly Standing[]): Circuit => {
    const sign = wired.run(
      lists.ids(standing.map(({ assembly }) => assembly.id)),
      lists.strips(standing.map(({ laid }) => laid.materials.strip)),
      runsList(standing.map(({ laid }) => laid.runs)),
      entryList(standing.map(({ laid }) => laid.entry)),
      routerList(standing.map(({ laid }) => laid.router)),
      placingList(standing.map(({ placing }) => placing)),
    );
    return stages.circuit.run(brief, power, catalogue, sign);
  };

  /** Lights each with what the circuit gives it, and lists what it is made of. */
  const light = (design: Design, standing: readonly Standing[], solved: Circuit) => {
    const placings = placingList(standing.map(({ placing }) => placing));
    const wires = wiresOf.run(solved, placings);
    const powers = ownPowers.run(solved);
    return standing.map(({ assembly, index, label, laid, placing }) => {
      const share = solved.shares[index]!;
      const run = stagesOf(assembly, index);
      const ownWires = wires[index]!;
      const lit = run.light(design.brief, design.power, assembly, laid, {
        circuit: solved,
        share,
        wires: ownWires,
        ownPower: powers[index]!,
      });
      const { entry, router, ...found } = laid;
      const results = {
        build: assembly.build,
        id: assembly.id,
        index,
        label,
        placing,
        design,
        assembly,
        circuit: solved,
        share,
        wires: ownWires,
        ...found,
        ...lit,
      };
      return { ...results, ...run.parts(results) };
    });
  };

  return (design: Design): Result<StageRun> => {
    const laid = lay(design);
    if (!laid.ok) return laid;
    const standing = laid.value;
    const solved = wire(design, standing);
    const lit = light(design, standing, solved);
    const cut = cutList(lit.flatMap((each) => each.cut.map(namedPart(each.id, each.label))));
    const bought = [
      ...electrical(
        catalogue,
        design.brief,
        design.power,
        lit.map(({ materials, runs, assembly }) => ({
          strip: materials.strip,
          runs,
          hold: assembly.light.hold ?? 'tape',
        })),
        solved,
      ),
      ...lit.flatMap((each) => each.bought),
    ];
    const parts: Parts = listed.run(cut, bought);
    const packing = stages.packing.run(
      parts.cut,
      segmentsToCut.run(solved),
      lists.strips(standing.map((each) => each.laid.materials.strip)),
      catalogue,
      design.brief.quantity,
    );
    const buildList = planned.run(
      mergeSteps(lit.map((each) => ({ ...each, steps: stagesOf(each.assembly, each.index).steps(each) }))),
    );
    const cost = stages.cost.run(design.brief, parts, packing, buildList, catalogue);
    const assemblies = lit.map((each): AnyResults => ({ ...each, packing }));
    const results: StageResults = {
      design,
      // Each was made by the build that its name names.
      assemblies: assemblies as unknown as StageResults['assemblies'],
      bounds: rectRound(assemblies.map((each) => placedRect(each.placing, frontOf(each)))),
      depthMm: Math.max(...assemblies.map(({ placing, geometry }) => placing.zMm + geometry.outside.depthMm)),
      circuit: solved,
      parts,
      packing,
      buildList,
      cost,
    };
    return success({ results, recomputed: recomputedOf(stages, standing, stagesOf) });
  };
};

/** The stages of the sign and of its assemblies that did not answer from memory, in the order of the work. */
const recomputedOf = (
  shared: Partial<Readonly<Record<StageName, { readonly reused: () => boolean }>>>,
  standing: readonly Standing[],
  stagesOf: (assembly: AnyAssembly, index: number) => AnyStages,
): readonly StageName[] => {
  const anew = new Set(standing.flatMap(({ assembly, index }) => stagesOf(assembly, index).recomputed()));
  return stageNames.filter((name) => anew.has(name) || shared[name]?.reused() === false);
};

/** Keeps a list as it was as long as its items are the same. */
function keptList<Item>(): (next: readonly Item[]) => readonly Item[] {
  let last: readonly Item[] = [];
  return (next) => {
    if (next.length !== last.length || next.some((item, index) => !Object.is(item, last[index]))) last = next;
    return last;
  };
}
