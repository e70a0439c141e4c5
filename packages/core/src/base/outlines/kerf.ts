import { offset } from './unite.js';
import type { Outline } from './types.js';

/**
 * Where the middle of a cut `cutMm` wide runs so that what is left has the size drawn: half the cut outside outer rings,
 * half of it into holes. Holes narrower than the cut vanish, since nothing that wide cuts them.
 */
export const besideCut = (outline: Outline, cutMm: number): Outline => offset(outline, cutMm / 2);
