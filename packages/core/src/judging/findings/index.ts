import { cornersRound, countersLoose, gapsLost, strokesThin } from './artwork-rules.js';
import { colourDrifts } from './colour-rules.js';
import { dataTooFar, pixelCountShort, sensorHidden, wrongController } from './drive-rules.js';
import { overRating } from './power-rules.js';
import { seriesImpossible, unequalSeries } from './series-rules.js';
import { costsTooMuch, leadDrops, missingLetters, notResolved } from './shared-rules.js';
import { batteryEmpty, jointsInTheWet, notLimitedPower, supplyInTheWet } from './supply-rules.js';
import { fedAtWrongEnd, notSolved, wiringContradicts } from './wiring-rules.js';
import { bareOutdoors, pieceOverReel, runTooLong, wrongColour } from './strip-rules.js';
import type { RawFinding, Rule, RuleContext, Severity } from './types.js';

export { overBed } from './artwork-rules.js';
export { changeStrip, oneChange, suitableStrips } from './candidates.js';
export { rulesFor } from './for-build.js';
export { readsAsLit } from './reads-as-lit.js';
export { resolveRemedies, withoutRemedies, type Trial } from './resolve.js';
export { partOverSheet, supplyTooSmall } from './shared-rules.js';
export { wholeFront } from './strip-rules.js';
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
  WorkStep,
} from './types.js';

/** The checks that every build shares. */
const sharedRules: readonly Rule[] = [
  wrongColour,
  bareOutdoors,
  runTooLong,
  leadDrops,
  overRating,
  notSolved,
  wiringContradicts,
  fedAtWrongEnd,
  wrongController,
  seriesImpossible,
  unequalSeries,
  colourDrifts,
  sensorHidden,
  dataTooFar,
  pixelCountShort,
  supplyInTheWet,
  jointsInTheWet,
  batteryEmpty,
  notLimitedPower,
  missingLetters,
  strokesThin,
  gapsLost,
  cornersRound,
  countersLoose,
  pieceOverReel,
  costsTooMuch,
  notResolved,
];

const order: Readonly<Record<Severity, number>> = { stop: 0, fix: 1, note: 2 };

/**
 * The findings stage: every rule asked, those of the builds first; the gravest first. Remedies are tried later, by
 * `resolveRemedies`.
 */
export const findFaults = (context: RuleContext, rulesOfBuilds: readonly Rule[]): readonly RawFinding[] =>
  [...rulesOfBuilds, ...sharedRules]
    .map((rule) => rule(context))
    .filter((finding) => finding !== null)
    .sort((a, b) => order[a.severity] - order[b.severity]);
