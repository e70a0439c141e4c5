import type { Board } from '../../document/catalogue/index.js';
import type { StripBed } from '../../power/heat/index.js';

/** What the strip of letters lies on: their fronts, open on both sides, or their backs against the wall. */
export const letterBed = (
  { conductsWmK, thicknessMm }: Board,
  openSides: StripBed['openSides'],
  areaMm2: number,
  stripMm: number,
): StripBed => ({ conductsWmK, thicknessMm, openSides, pitchMm: stripMm > 0 ? areaMm2 / stripMm : 0 });
