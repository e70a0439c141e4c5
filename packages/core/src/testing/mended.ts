import type { FontBook } from '../artwork/lettering/index.js';
import { shippedCatalogue } from '../document/catalogue/index.js';
import type { AnyDesign } from '../document/design/index.js';
import type { Finding } from '../judging/findings/index.js';
import { applyChange, type Design } from '../sign/design/index.js';
import { coarse } from './harness.js';
import { createEvaluator, evaluate } from '../sign/evaluate/index.js';

/** What a rule finds on a design on a coarse map, its fixes tried; null where it is silent. Fails where the design is refused. */
export const findingOn = (design: AnyDesign, fonts: FontBook, rule: string): Finding | null => {
  const result = evaluate(design as unknown as Design, shippedCatalogue, fonts, coarse, rule);
  if (!result.ok) throw new Error(result.problems.map(({ path, message }) => `${path} ${message}`).join('; '));
  return result.value.findings.find((found) => found.rule === rule) ?? null;
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
  const finding = findingOn(design, fonts, rule);
  if (finding === null) throw new Error(`${rule} is not found`);
  const fix = finding.fixes.find(({ id }) => id === fixId);
  if (fix === undefined)
    throw new Error(`${rule} offers ${finding.fixes.map(({ id }) => id).join(', ')}, not ${fixId}`);
  const changed = applyChange(design as unknown as Design, fix.change);
  if (!changed.ok) throw new Error(`${fixId} makes no sign`);
  const after = createEvaluator(shippedCatalogue, fonts, coarse).evaluate(changed.value);
  return { finding, gone: after.ok && !after.value.findings.some((found) => found.rule === rule) };
};
