import type { FontBook } from '../artwork/lettering/index.js';
import type { AnyDesign } from '../document/design/index.js';
import type { Finding } from '../judging/findings/index.js';
import { applyChange, type Design } from '../sign/design/index.js';
import { coarseEvaluator, sound } from './harness.js';
import { finish } from '../sign/evaluate/index.js';

/** What a rule finds on a design on a coarse map, its fixes tried; null where it is silent. Fails where the design is refused. */
export const findingOn = (design: AnyDesign, fonts: FontBook, rule: string): Finding | null => {
  const evaluator = coarseEvaluator(fonts);
  sound(evaluator.evaluate(design as unknown as Design));
  return finish(evaluator.fixes(rule)).find((found) => found.rule === rule) ?? null;
};

/** Whether a rule is silent once the named fix of what it found has been taken. Fails where no such fix is offered. */
const goneBy = (design: AnyDesign, fonts: FontBook, { rule, fixes }: Finding, fixId: string): boolean => {
  const fix = fixes.find(({ id }) => id === fixId);
  if (fix === undefined) throw new Error(`${rule} offers ${fixes.map(({ id }) => id).join(', ')}, not ${fixId}`);
  const changed = applyChange(design as unknown as Design, fix.change);
  if (!changed.ok) throw new Error(`${fixId} makes no sign`);
  const after = coarseEvaluator(fonts).evaluate(changed.value);
  return after.ok && !after.value.findings.some((found) => found.rule === rule);
};

const foundOn = (design: AnyDesign, fonts: FontBook, rule: string): Finding => {
  const finding = findingOn(design, fonts, rule);
  if (finding === null) throw new Error(`${rule} is not found`);
  return finding;
};

/**
 * What a rule finds on a design, once the named fix of it has been taken and the rule asked again: the finding, and whether
 * it is gone. Fails where nothing is found, or no such fix is offered.
 */
export const mendedBy = (
  design: AnyDesign,
  fonts: FontBook,
  rule: string,
  fixId: string,
): { readonly finding: Finding; readonly gone: boolean } => {
  const finding = foundOn(design, fonts, rule);
  return { finding, gone: goneBy(design, fonts, finding, fixId) };
};

/** The same for several fixes of one finding, each taken by itself: those by which it is not gone. */
export const notMendedBy = (
  design: AnyDesign,
  fonts: FontBook,
  rule: string,
  fixIds: readonly string[],
): readonly string[] => {
  const finding = foundOn(design, fonts, rule);
  return fixIds.filter((fixId) => !goneBy(design, fonts, finding, fixId));
};
