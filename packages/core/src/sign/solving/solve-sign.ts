import { buildOf, worthOfADoubling, type LightAim } from '../../builds/index.js';
import { pathOf, set, valueOfPath, type DesignChange } from '../../document/design/index.js';
import type { Judged, SignFinding } from '../../judging/findings/index.js';
import { inDesign } from '../../judging/results/index.js';
import type { Judge } from '../evaluate/index.js';
import { applyChange, type Design } from '../design/index.js';
import { aimOf } from './aim.js';
import { setByHand } from './kept.js';
import { sentenceOf } from './words.js';

/** A sign that was solved, and in a line what was chosen and why, or what stands in the way. */
export interface SolvedSign {
  readonly design: Design;
  /** Nothing stops it, and nothing disappoints. */
  readonly clean: boolean;
  readonly sentence: string;
  /** How many designs were judged. */
  readonly tried: number;
}

/** So often is a seed mended before it is given up. */
const mostMended = 5;
/** After so many designs no other is begun to be mended. */
const mostTried = 90;
/** So many of the best are mended and looked at on the page’s map. */
const mostLookedAt = 3;
/** Seeds come cheapest first: after so many clean ones none is looked for that is cheaper still; fewer after a long search. */
const cleanEnough = 2;
const longSearch = 5;

const severe = ({ findings }: Judged): readonly SignFinding[] => findings.filter(({ severity }) => severity !== 'note');

interface Candidate {
  readonly design: Design;
  readonly judged: Judged;
  /** All that was set on the way here. */
  readonly change: DesignChange;
}

const priceOf = ({ judged }: Candidate): number => judged.results.cost.perSign;
const luminanceOf = ({ judged }: Candidate, index: number): number =>
  judged.results.assemblies[index]!.glow.evenness.meanCdM2;

/** Fewer stops, then fewer fixes, then the lower price, to which counts how far it is from the luminance that is wanted. */
const badness = (candidate: Candidate, index: number, { wantedCdM2 }: LightAim): readonly number[] => {
  const found = severe(candidate.judged);
  const stops = found.filter(({ severity }) => severity === 'stop').length;
  const doublings = Math.abs(Math.log2(Math.max(luminanceOf(candidate, index), 1e-6) / wantedCdM2));
  return [stops, found.length - stops, priceOf(candidate) + worthOfADoubling * doublings];
};

/** Which of two is the better, for an assembly and what is aimed at. */
const comparison =
  (index: number, aim: LightAim) =>
  (a: Candidate, b: Candidate): boolean => {
    const [one, other] = [badness(a, index, aim), badness(b, index, aim)];
    const at = one.findIndex((value, place) => value !== other[place]);
    return at >= 0 && one[at]! < other[at]!;
  };
type IsBetter = ReturnType<typeof comparison>;

/** Power as the tool would choose it: by its own rules, and not turned down. */
const plainPower: DesignChange = [
  set(inDesign.power.supplyId, 'auto'),
  set(inDesign.power.wireId, 'auto'),
  set(inDesign.power.supplyCount, 1),
  set(inDesign.power.feed, 'both-ends'),
  set(inDesign.power.level, 1),
  set(inDesign.power.nightLevel, 1),
];

/**
 * The design with what was chosen written into it, so that the next time is known what was set by hand since: every field
 * that was the solver’s to set, and of those that were kept what stood there before.
 */
const withRecord = (design: Design, changes: readonly DesignChange[], sentence: string): Design => {
  const paths = [...new Set(changes.flat().map(({ path }) => path))];
  const kept = (design.solved?.chosen ?? []).filter(({ path }) => !paths.includes(path));
  // What a design leaves out is kept as null, which a stored design can say.
  const chosen = [...kept, ...paths.map((path) => ({ path, value: valueOfPath(design, path) ?? null }))];
  return { ...design, solved: { sentence, chosen } };
};

/** The best way out of the gravest that has one; null where none of what is found has. */
function* wayOut(
  { design, judged }: Candidate,
  judge: Judge,
  mayGoOn: () => boolean,
): Generator<void, DesignChange | null> {
  for (const finding of severe(judged)) {
    if (!mayGoOn()) return null;
    const { fixes } = yield* judge.mend(design, judged, finding);
    const [best] = fixes;
    if (best !== undefined) return best.change;
  }
  return null;
}

/** Mends the gravest of what is found, again and again, until nothing severe is left or nothing helps. */
function* mended(
  start: Candidate,
  judge: Judge,
  isBetter: IsBetter,
  mayGoOn: () => boolean,
): Generator<void, Candidate> {
  let now = start;
  for (let round = 0; round < mostMended; round += 1) {
    const change = yield* wayOut(now, judge, mayGoOn);
    const changed = change === null ? null : applyChange(now.design, change);
    if (change === null || changed?.ok !== true) return now;
    yield;
    const judged = judge.rough(changed.value);
    if (judged === null) return now;
    const next = { design: changed.value, judged, change: [...now.change, ...change] };
    if (!isBetter(next, now)) return now;
    now = next;
  }
  return now;
}

/** What is brighter than wanted by more than this is turned down to so many times what is wanted. */
const [muchBrighter, somewhatBrighter] = [2.5, 1.5] as const;

/** One change that turns down what is far brighter than its place wants by day and night alike; none where it is not. */
const turnedDown = (
  chosen: Candidate,
  index: number,
  { wantedCdM2, dayAndNight }: LightAim,
): readonly DesignChange[] => {
  const luminance = luminanceOf(chosen, index);
  if (dayAndNight || severe(chosen.judged).length > 0 || luminance <= muchBrighter * wantedCdM2) return [];
  const level = ((chosen.design.power.level ?? 1) * somewhatBrighter * wantedCdM2) / luminance;
  return [[set(inDesign.power.level, Math.max(0.05, Math.round(100 * level) / 100))]];
};

/** Without what the maker has set by hand. */
const free = (change: DesignChange, kept: readonly string[]): DesignChange =>
  change.filter(({ path }) => !kept.some((own) => path === own || path.startsWith(`${own}.`)));

/**
 * Chooses strip, layout, depth or standoff, faces, boards, supplies and level for the assembly at `index`: of what has
 * neither stop nor fix, the cheapest that was found. What `kept` names (paths) stays as it is. A generator: it yields before
 * every design that it judges.
 */
export function* solveSign(
  start: Design,
  index: number,
  judge: Judge,
  kept: readonly string[] = setByHand(start),
): Generator<void, SolvedSign> {
  const power = free(plainPower, kept);
  const plain = applyChange(start, power);
  const base = plain.ok ? plain.value : start;
  yield;
  let tried = 1;
  const first = judge.rough(base);
  const own = first?.results.assemblies[index];
  if (first === null || own === undefined)
    return {
      design: start,
      clean: false,
      sentence: 'This design cannot be judged; mend what it is refused for.',
      tried,
    };
  const aim = aimOf(start.brief, own.glow.faceReflectance);
  const isBetter = comparison(index, aim);
  const seeds = buildOf(own).work.seeds(own, judge.catalogue, aim);
  const found: Candidate[] = [{ design: base, judged: first, change: power }];
  for (const { change } of seeds) {
    const clean = found.filter(({ judged }) => severe(judged).length === 0).length;
    if (clean >= cleanEnough || (clean > 0 && found.length > longSearch)) break;
    const own = free(change, kept);
    const changed = applyChange(base, own);
    if (!changed.ok) continue;
    yield;
    tried += 1;
    const judged = judge.rough(changed.value);
    if (judged === null) continue;
    found.push({ design: changed.value, judged, change: [...power, ...own] });
  }
  found.sort((a, b) => (isBetter(a, b) ? -1 : 1));
  let chosen: Candidate | null = null;
  // What will do on the rough map is looked at once more on the page’s, and mended there if need be.
  for (const candidate of found.slice(0, mostLookedAt)) {
    const search = mended(candidate, judge, isBetter, () => tried < mostTried);
    let turn = search.next();
    for (; turn.done !== true; turn = search.next()) {
      tried += 1;
      yield;
    }
    yield;
    tried += 1;
    const { design, change } = turn.value;
    const judged = judge.exact(design);
    if (judged === null) continue;
    const looked = { design, judged, change };
    if (chosen === null || isBetter(looked, chosen)) chosen = looked;
    if (severe(chosen.judged).length === 0) break;
  }
  chosen ??= found[0]!;
  for (const change of kept.includes(pathOf(inDesign.power.level)) ? [] : turnedDown(chosen, index, aim)) {
    const changed = applyChange(chosen.design, change);
    if (!changed.ok) break;
    yield;
    tried += 1;
    const judged = judge.exact(changed.value);
    if (judged === null || severe(judged).length > 0) break;
    chosen = { design: changed.value, judged, change: [...chosen.change, ...change] };
  }
  const left = severe(chosen.judged);
  const sentence = sentenceOf(chosen.judged, left, index);
  const settable = [power, chosen.change, ...seeds.map(({ change }) => free(change, kept))];
  return { design: withRecord(chosen.design, settable, sentence), clean: left.length === 0, sentence, tried };
}
