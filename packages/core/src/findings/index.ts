import { cornersRound, countersLoose, gapsLost, overBed, strokesThin } from './artwork-rules.js';
import {
  costsTooMuch,
  faceBinds,
  largerThanSheet,
  leadDrops,
  lettersOverhang,
  missingLetters,
  notResolved,
  supplyTooSmall,
  tooShallow,
} from './build-rules.js';
import { dotsShow, tooDim, tooHot, unevenCorners } from './light-rules.js';
import {
  bareOutdoors,
  betweenCutMarks,
  noStrip,
  pieceOverReel,
  reelShort,
  runTooLong,
  wrongColour,
} from './strip-rules.js';
import type { RawFinding, Rule, RuleContext, Severity } from './types.js';

export { readsAsLit } from './light-rules.js';
export { resolveRemedies, withoutRemedies, type Trial } from './resolve.js';
export type { Finding, Fix, Measure, Place, RawFinding, Severity, WorkStep } from './types.js';

const rules: readonly Rule[] = [
  noStrip,
  wrongColour,
  bareOutdoors,
  supplyTooSmall,
  runTooLong,
  leadDrops,
  tooShallow,
  largerThanSheet,
  dotsShow,
  tooDim,
  unevenCorners,
  tooHot,
  faceBinds,
  lettersOverhang,
  missingLetters,
  overBed,
  strokesThin,
  gapsLost,
  cornersRound,
  countersLoose,
  betweenCutMarks,
  reelShort,
  pieceOverReel,
  costsTooMuch,
  notResolved,
];

const order: Readonly<Record<Severity, number>> = { stop: 0, fix: 1, note: 2 };

/** The findings stage: every rule asked; the gravest first. Remedies are tried later, by `resolveRemedies`. */
export const findFaults = (context: RuleContext): readonly RawFinding[] =>
  rules
    .map((rule) => rule(context))
    .filter((finding) => finding !== null)
    .sort((a, b) => order[a.severity] - order[b.severity]);
