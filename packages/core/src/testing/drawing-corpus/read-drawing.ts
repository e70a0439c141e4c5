import type { Drawing } from '../../artwork/drawings/index.js';
import { repair, type Repaired, type RepairOptions } from '../../artwork/repair/index.js';
import type { Result } from '../../base/result.js';

const said = (result: Result<unknown>): string =>
  result.ok ? '' : result.problems.map(({ path, message }) => `${path}: ${message}`).join('; ');

/** What was read; throws with what is wrong with it. */
export const read = (result: Result<Drawing>): Drawing => {
  if (!result.ok) throw new Error(said(result));
  return result.value;
};

/** What a drawing comes to when it is put right; throws where it cannot be. */
export const repaired = (drawing: Drawing, how: RepairOptions = { gapMm: 0.1, layers: null }): Repaired => {
  const result = repair(drawing, how);
  if (!result.ok) throw new Error(said(result));
  return result.value;
};

/** Why something was refused; nothing where it was not. */
export const refusal = said;

/** An SVG of 100 mm a side with this in it. */
export const svg = (body: string, head = ''): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100">${head}${body}</svg>`;
