import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { loadFontBook, type FontBook } from '../artwork/index.js';
import { shippedCatalogue } from '../catalogue/index.js';
import { demoDesigns } from '../demo/index.js';
import { applyChange, type Design, type DesignChange } from '../design/index.js';
import { createEvaluator, evaluate, type Evaluation } from '../evaluate/index.js';

const packages = createRequire(import.meta.url);

/** The shipped fonts, read from their packages. */
export const testFonts = (): Promise<FontBook> =>
  loadFontBook(async (file) => {
    const bytes = await readFile(packages.resolve(file));
    return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
  });

/** `design` changed; fails the test when the change is no valid design. */
export const changed = (design: Design, change: Readonly<Record<string, unknown>>): Design => {
  const fields: DesignChange = Object.entries(change).map(([path, value]) => ({ path, value }));
  const result = applyChange(design, fields);
  if (!result.ok) throw new Error(result.problems.map(({ path, message }) => `${path} ${message}`).join('; '));
  return result.value;
};

/** Paths inside the one assembly, for short tests. */
export const inBox = (change: Readonly<Record<string, unknown>>): Readonly<Record<string, unknown>> =>
  Object.fromEntries(Object.entries(change).map(([path, value]) => [`assemblies.0.${path}`, value]));

/** Evaluates without fixes; fails the test when the design is refused. */
export const look = (design: Design, fonts: FontBook): Evaluation => {
  const result = createEvaluator(shippedCatalogue, fonts).evaluate(design);
  if (!result.ok) throw new Error(result.problems.map(({ path, message }) => `${path} ${message}`).join('; '));
  return result.value;
};

/** Evaluates on the coarser map that fixes are tried on; fails the test when the design is refused. */
export const glance = (design: Design, fonts: FontBook): Evaluation => {
  const result = createEvaluator(shippedCatalogue, fonts).quick(design);
  if (!result.ok) throw new Error(result.problems.map(({ path, message }) => `${path} ${message}`).join('; '));
  return result.value;
};

/** Evaluates with fixes tried. */
export const lookWithFixes = (design: Design, fonts: FontBook): Evaluation => {
  const result = evaluate(design, shippedCatalogue, fonts);
  if (!result.ok) throw new Error(result.problems.map(({ path, message }) => `${path} ${message}`).join('; '));
  return result.value;
};

/** The pharmacy's box of the demo shop. */
export const dispensary: Design = demoDesigns.dispensary;
