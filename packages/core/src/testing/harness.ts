import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { loadFontBook, type FontBook } from '../artwork/lettering/index.js';
import { shippedCatalogue } from '../document/catalogue/index.js';
import { demoDesigns } from '../sign/demo/index.js';
import {
  applyChange,
  type Design,
  type DesignChange,
  type FaceLitDesign,
  type HaloDesign,
  type LightboxDesign,
} from '../document/design/index.js';
import {
  createEvaluator,
  evaluate,
  type BoxEvaluation,
  type Evaluation,
  type FaceLitEvaluation,
  type HaloEvaluation,
} from '../sign/evaluate/index.js';
import type { Result } from '../base/result.js';

const packages = createRequire(import.meta.url);

/** The shipped fonts, read from their packages. */
export const testFonts = (): Promise<FontBook> =>
  loadFontBook(async (file) => {
    const bytes = await readFile(packages.resolve(file));
    return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
  });

/** `design` changed; fails the test when the change is no valid design. */
export const changed = <Given extends Design>(design: Given, change: Readonly<Record<string, unknown>>): Given => {
  const fields: DesignChange = Object.entries(change).map(([path, value]) => ({ path, value }));
  const result = applyChange(design, fields);
  if (!result.ok) throw new Error(result.problems.map(({ path, message }) => `${path} ${message}`).join('; '));
  // A change of fields leaves the build as it was.
  return result.value as Given;
};

/** Paths inside the one assembly, for short tests. */
export const inAssembly = (change: Readonly<Record<string, unknown>>): Readonly<Record<string, unknown>> =>
  Object.fromEntries(Object.entries(change).map(([path, value]) => [`assemblies.0.${path}`, value]));

/** What a design of a known build evaluates to. */
type EvaluationOf<Given extends Design> = Given extends LightboxDesign
  ? BoxEvaluation
  : Given extends HaloDesign
    ? HaloEvaluation
    : Given extends FaceLitDesign
      ? FaceLitEvaluation
      : Evaluation;

const sound = <Given extends Design>(result: Result<Evaluation>): EvaluationOf<Given> => {
  if (!result.ok) throw new Error(result.problems.map(({ path, message }) => `${path} ${message}`).join('; '));
  return result.value as EvaluationOf<Given>;
};

/** Evaluates without fixes; fails the test when the design is refused. */
export const evaluated = <Given extends Design>(design: Given, fonts: FontBook): EvaluationOf<Given> =>
  sound<Given>(createEvaluator(shippedCatalogue, fonts).evaluate(design));

/** Evaluates on the coarser map that fixes are tried on; fails the test when the design is refused. */
export const evaluatedCoarsely = <Given extends Design>(design: Given, fonts: FontBook): EvaluationOf<Given> =>
  sound<Given>(createEvaluator(shippedCatalogue, fonts).quick(design));

/** Evaluates with fixes tried. */
export const evaluatedWithFixes = <Given extends Design>(design: Given, fonts: FontBook): EvaluationOf<Given> =>
  sound<Given>(evaluate(design, shippedCatalogue, fonts));

/** The pharmacy's box, the ferry hall's letters and the café's letters of the demo shop. */
export const dispensary: LightboxDesign = demoDesigns.dispensary;
export const curlew: HaloDesign = demoDesigns.curlew;
export const tern: FaceLitDesign = demoDesigns.tern;
