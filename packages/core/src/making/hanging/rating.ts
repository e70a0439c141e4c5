import type { Catalogue, Fixing, Ground, Stuff } from '../../document/catalogue/index.js';
import type { Wall } from './types.js';
import type { FixingLoad } from './loads.js';

/** Of what a fixing may carry, along the wall and off it together: shares added up, which is on the safe side. */
export const useOf = ({ shearKg, pullKg }: Fixing, load: Pick<FixingLoad, 'kg'>, offKg: number): number =>
  load.kg / shearKg + Math.max(0, offKg) / pullKg;

/** What may be screwed into such a ground, the cheapest first; the one that the design names, where it holds there. */
export const fixingsFor = (catalogue: Catalogue, ground: Ground, id: string | undefined): readonly Fixing[] => {
  const fit = catalogue.fixings
    .filter(({ holdsIn }) => holdsIn.includes(ground))
    .sort((a, b) => a.price - b.price || a.shearKg - b.shearKg);
  const named = fit.filter((each) => each.id === id);
  return named.length > 0 ? named : fit;
};

/** What may hold in a wall, for choosing from: in studs’ walls timber first. */
export const fixingItems = (
  { fixings }: Pick<Catalogue, 'fixings'>,
  { kind }: Pick<Wall, 'kind'>,
): readonly Fixing[] => {
  const grounds: readonly Ground[] = kind === 'studs' ? ['timber', 'board'] : [kind];
  return grounds.flatMap((ground) => fixings.filter(({ holdsIn }) => holdsIn.includes(ground)));
};

/** What one plate, spacer or screw with a washer may pull at a sheet, for each millimetre of it (kg), typical. */
const holdsPerMm: Readonly<Record<Stuff, number>> = {
  wood: 0.9,
  composite: 1.2,
  metal: 4,
  acrylic: 0.8,
  glass: 0.5,
  printed: 0.5,
  foam: 0.15,
  film: 0,
};
/** Thicker sheets hold no more: then it is the screw that gives (mm). */
const noMoreMm = 12;
/** A glue block behind it takes the screws (kg). */
const blockHoldsKg = 15;

/** What a sheet holds of one plate, spacer or screw (kg). */
export const sheetHoldsKg = (stuff: Stuff, thicknessMm: number, blocks: boolean): number => {
  const alone = holdsPerMm[stuff] * Math.min(noMoreMm, thicknessMm);
  return blocks ? Math.max(alone, blockHoldsKg) : alone;
};
