import { set, type DesignChange } from '../../../document/design/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import type { LayersResults } from '../results.js';
import type { SheetDesign } from '../schema.js';

/** The sheets of a design with one of them changed. */
export const withSheet = (results: LayersResults, index: number, change: Partial<SheetDesign>): DesignChange => [
  set(
    fieldsIn(results).scene.sheets,
    results.assembly.scene.sheets.map((sheet, at) => (at === index ? { ...sheet, ...change } : sheet)),
  ),
];

/** Sheets as they are called: “Otter” and “Front”. */
export const listed = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)!}`;
