import type { Outline } from '../../base/outlines/index.js';
import type { PartLayer } from '../../making/parts/index.js';

/** Tenths of a millimetre, as notes on parts have them. */
export const round = (mm: number): string => `${Math.round(mm * 10) / 10}`;

/** The outline that a part is cut to. */
export const cutOut = (outline: Outline): PartLayer => ({ operation: 'cut', shapes: [{ kind: 'outline', outline }] });
