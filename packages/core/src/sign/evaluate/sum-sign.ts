import { memoizeLast } from '../../base/maths/index.js';
import { placedRect, rectRound } from '../../base/placing/index.js';
import { buildOf, type AnyResults, type Lit } from '../../builds/index.js';
import type { Brief, FinishingDesign } from '../../document/design/index.js';
import { finishBought, finishingOf, type Finishing, type ToFinish } from '../../making/finishing/index.js';
import { setUpsInBoth } from '../../joinery/setups/index.js';
import type { Catalogue, Strip } from '../../document/catalogue/index.js';
import { stripsOf } from '../../light/runs/index.js';
import { frontOf } from '../../judging/results/index.js';
import { costOf } from '../../making/cost/index.js';
import { pack, type SegmentToCut } from '../../making/packing/index.js';
import { hangParts, type Hang, type HangParts } from '../../making/hanging/index.js';
import {
  electrical,
  membersOf,
  sumParts,
  type BoughtPart,
  type CutPart,
  type PartLayer,
} from '../../making/parts/index.js';
import { buildListOf, mergeSteps } from '../../making/steps/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import type { Design } from '../design/index.js';
import { signHanging } from './hang-sign.js';
import { keptList } from './kept-list.js';
import type { StagesOf } from './lay-sign.js';
import type { WiredAssembly } from './light-sign.js';
import type { StageResults } from './types.js';

/** A part of one assembly of several, named by it. */
const namedPart =
  (id: string, label: string) =>
  (part: CutPart): CutPart =>
    label === '' ? part : { ...part, id: `${id}-${part.id}`, name: `${label} ${part.name}` };

const wiringOf = (
  { brief, power }: Design,
  catalogue: Catalogue,
  wired: readonly WiredAssembly[],
  circuit: Circuit,
): readonly BoughtPart[] =>
  electrical(
    catalogue,
    brief,
    power,
    wired.map(({ materials, runs, assembly }) => ({
      strip: materials.strip,
      runs,
      hold: assembly.light.hold ?? 'tape',
    })),
    circuit,
  );

/** Blind holes are a layer of their own. */
const isDrilledThrough = ({ operation, depthMm }: PartLayer): boolean => operation === 'drill' && depthMm === undefined;

/** A part with what hanging drills in it: holes that go through among its own. */
const drilled = (part: CutPart, holes: readonly PartLayer[] | undefined): CutPart =>
  holes === undefined
    ? part
    : {
        ...part,
        layers: holes.reduce<readonly PartLayer[]>(
          (layers, added) =>
            isDrilledThrough(added) && layers.some(isDrilledThrough)
              ? layers.map((layer) =>
                  isDrilledThrough(layer) ? { ...layer, shapes: [...layer.shapes, ...added.shapes] } : layer,
                )
              : [...layers, added],
          part.layers,
        ),
      };

/** Puts what hanging adds to an assembly among its parts; where nothing is new, all lists keep their identity. */
const hungParts = (catalogue: Catalogue) => {
  const added = memoizeLast((hang: Hang, placing: WiredAssembly['placing']) => hangParts(hang, placing, catalogue));
  const cutParts = memoizeLast((own: readonly CutPart[], { cut, holes }: HangParts): readonly CutPart[] => [
    ...own.map((part) => drilled(part, holes.get(part.id))),
    ...cut,
  ]);
  const boughtParts = memoizeLast(
    (own: readonly BoughtPart[], { bought }: HangParts, paint: readonly BoughtPart[]): readonly BoughtPart[] => [
      ...own,
      ...bought,
      ...paint,
    ],
  );
  const noParts: HangParts = { cut: [], bought: [], holes: new Map() };
  return (each: WiredAssembly, hang: Hang | null, finishing: Finishing, paint: readonly BoughtPart[]) => {
    const parts = hang === null ? noParts : added.run(hang, each.placing);
    const cut = cutParts.run(each.cut, parts);
    return { ...each, hang, finishing, cut, bought: boughtParts.run(each.bought, parts, paint) };
  };
};

/** Paint and glue of an assembly; alike ones keep their identity. */
const finishStage = (catalogue: Catalogue) => {
  const toFinish = memoizeLast((asked: ToFinish) => asked);
  const finishing = memoizeLast((asked: ToFinish, design: FinishingDesign | undefined, brief: Brief) => {
    const found = finishingOf(asked, design, brief, catalogue);
    return { finishing: found, bought: finishBought(found) };
  });
  return (brief: Brief, each: WiredAssembly) =>
    finishing.run(toFinish.run(buildOf(each).work.toFinish(each)), each.assembly.finishing, brief);
};

/** An assembly with its light, which is worked out when it is first asked for: a trial may want nothing of it. */
const withLight = <Own extends object>(own: Own, lit: () => Lit): Own & Lit => {
  let known: Lit | null = null;
  const found = (): Lit => (known ??= lit());
  return Object.defineProperties(own, {
    glow: { enumerable: true, get: () => found().glow },
    heat: { enumerable: true, get: () => found().heat },
  }) as Own & Lit;
};

/** Adds up what the assemblies of a sign share: parts, sheets, steps, cost. */
export const signSums = (catalogue: Catalogue, stagesOf: StagesOf) => {
  const listed = memoizeLast(sumParts);
  const planned = memoizeLast(buildListOf);
  const setUps = memoizeLast((cut: readonly CutPart[], cutters: Catalogue['cutters']) =>
    setUpsInBoth(membersOf(cut), cutters),
  );
  const packing = memoizeLast(pack);
  const cost = memoizeLast(costOf);
  const hangs = signHanging(catalogue);
  const hung: ReturnType<typeof hungParts>[] = [];
  const finishes: ReturnType<typeof finishStage>[] = [];
  const cutList = keptList<CutPart>();
  const strips = keptList<Strip>();
  const segmentsToCut = memoizeLast((solved: Circuit): readonly SegmentToCut[] => solved.segments);

  const sumUp = (design: Design, wired: readonly WiredAssembly[], circuit: Circuit): StageResults => {
    const wiring = wiringOf(design, catalogue, wired, circuit);
    const finished = wired.map((each, index) => (finishes[index] ??= finishStage(catalogue))(design.brief, each));
    const ways = hangs(
      design.brief,
      wired,
      wiring,
      finished.map(({ bought }) => bought),
    );
    const own = wired.map((each, index) =>
      (hung[index] ??= hungParts(catalogue))(each, ways[index]!, finished[index]!.finishing, finished[index]!.bought),
    );
    const cut = cutList(own.flatMap((each) => each.cut.map(namedPart(each.id, each.label))));
    const parts = listed.run(cut, [...wiring, ...own.flatMap(({ bought }) => bought)]);
    const packed = packing.run(
      parts.cut,
      segmentsToCut.run(circuit),
      strips(own.flatMap(({ materials, runs }) => stripsOf(materials.strip, runs).map(({ strip }) => strip))),
      catalogue,
      design.brief.quantity,
    );
    const buildList = planned.run(
      mergeSteps(own.map((each) => ({ ...each, steps: stagesOf(each.assembly, each.index).steps(each) }))),
      catalogue.rates.learnedTimes,
    );
    const assemblies = own.map(({ lit, ...each }): AnyResults => withLight({ ...each, packing: packed }, lit));
    return {
      design,
      // Each was made by the build that its name names.
      assemblies: assemblies as unknown as StageResults['assemblies'],
      bounds: rectRound(
        assemblies.flatMap((each) => [
          placedRect(each.placing, frontOf(each)),
          // What letters stand on is seen as well; it is in the axes of the sign already.
          ...(each.hang?.bodies.length === 1 ? [each.hang.bodies[0]!.bounds] : []),
        ]),
      ),
      // A backer lies behind what its letters count from.
      depthMm: Math.max(
        ...assemblies.flatMap(({ placing, geometry, hang }) => [
          placing.zMm + geometry.outside.depthMm,
          ...(hang?.bodies.map(({ depthMm }) => depthMm) ?? []),
        ]),
      ),
      circuit,
      parts,
      packing: packed,
      setUps: setUps.run(parts.cut, catalogue.cutters),
      buildList,
      cost: cost.run(design.brief, parts, packed, buildList, catalogue),
    };
  };
  return { sumUp, stages: { packing, cost } };
};
