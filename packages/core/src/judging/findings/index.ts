import { cornersRound, countersLoose, gapsLost, strokesThin, toolCannotCut } from './artwork-rules.js';
import { colourDrifts } from './colour-rules.js';
import { dataTooFar, pixelCountShort, sensorHidden, wrongController } from './drive-rules.js';
import { clipsLoseContact, wireOverPads } from './joint-rules.js';
import { overRating } from './power-rules.js';
import { gravity } from './harm.js';
import { oddTotal, seriesImpossible, unequalSeries } from './series-rules.js';
import { finishRules } from './finish-rules.js';
import { hangRules } from './hanging/index.js';
import { onEach, onSign, type SignCheck } from './for-build.js';
import { costsTooMuch, leadDrops, missingLetters, notResolved } from './shared-rules.js';
import { newerOnShelf } from './shelf-rules.js';
import { batteryEmpty, jointsInTheWet, notLimitedPower, supplyInTheWet } from './supply-rules.js';
import { fedAtWrongEnd, notSolved, wiringContradicts } from './wiring-rules.js';
import { runTooLong } from './run-rules.js';
import { bareOutdoors, segmentOverReel, wrongColour } from './strip-rules.js';
import { stripsDiffer } from './strips-differ.js';
import type { RuleContext, Severity, SignFinding } from './types.js';
import type { SignResults } from '../results/index.js';

export { overBed, overBedWords } from './artwork-rules.js';
export { changeStrip, evenlyOver, oneChange, suitableStrips } from './candidates.js';
export { ofBuild, onSign, type SignCheck } from './for-build.js';
export { readsAsLit } from './reads-as-lit.js';
export { judgedWith, type Glimpse, type Judged } from './harm.js';
export { asShown, resolveRemedies, tryRemedies, withoutRemedies, type Trial, type Trials } from './resolve.js';
export { partOverSheet, supplyTooSmall } from './shared-rules.js';
export { otherWays } from './hanging/common.js';
export { wholeFront } from './places.js';
export type {
  Candidate,
  Finding,
  Fix,
  Measure,
  Place,
  RawFinding,
  Remedy,
  Rule,
  RuleContext,
  Severity,
  SignFinding,
  SignRule,
  WorkStep,
} from './types.js';

/** The checks that every sign has, whatever its builds, in the order in which they are told. */
const sharedChecks: readonly SignCheck[] = [
  onSign(stripsDiffer),
  onEach(wrongColour),
  onEach(bareOutdoors),
  onSign(runTooLong),
  onSign(leadDrops),
  onSign(overRating),
  onSign(notSolved),
  onSign(wiringContradicts),
  onSign(fedAtWrongEnd),
  onSign(wrongController),
  onSign(seriesImpossible),
  onSign(unequalSeries),
  onSign(oddTotal),
  onSign(colourDrifts),
  onSign(sensorHidden),
  onSign(dataTooFar),
  onSign(pixelCountShort),
  onSign(supplyInTheWet),
  onSign(jointsInTheWet),
  onSign(clipsLoseContact),
  onSign(wireOverPads),
  onSign(batteryEmpty),
  onSign(notLimitedPower),
  onEach(missingLetters),
  onEach(toolCannotCut),
  onEach(strokesThin),
  onEach(gapsLost),
  onEach(cornersRound),
  onEach(countersLoose),
  ...hangRules.map(onEach),
  ...finishRules.map(onEach),
  onSign(segmentOverReel),
  onSign(costsTooMuch),
  onEach(notResolved),
  onSign(newerOnShelf),
];

/**
 * The findings stage: every check asked, those of the builds first; the gravest first. Remedies are tried later, by
 * `resolveRemedies`.
 */
export const findFaults = (context: RuleContext<SignResults>, ofBuilds: readonly SignCheck[]): readonly SignFinding[] =>
  [...ofBuilds, ...sharedChecks]
    .flatMap((check, place) => check(context).map((found) => ({ ...found, check: place })))
    .sort((a, b) => gravity[a.severity] - gravity[b.severity]);

/**
 * How grave a finding is in a design of the same assemblies, by its own check alone: others may ask for light that nothing
 * else wants of a trial. Null where it is not found.
 */
export const findAgain = (
  context: RuleContext<SignResults>,
  ofBuilds: readonly SignCheck[],
  { id, check }: SignFinding,
): Severity | null =>
  [...ofBuilds, ...sharedChecks][check]!(context).find((found) => found.id === id)?.severity ?? null;
