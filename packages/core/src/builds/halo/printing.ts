import type { Board } from '../../document/catalogue/index.js';
import type { HaloAssembly } from './schema.js';

/** Lines of plastic as a nozzle of 0.4 mm lays them (mm), and how full the inside of a wall is made; typical. */
const lineMm = 0.45;
const infillShare = 0.15;
/** Usual settings where a design names none. */
export const usualPrint = { perimeters: 3, solidLayers: 5, layerMm: 0.2 } as const;
/** Plastic that is bought for a kilogram of shell: brims, purging and a failed one now and then (typical). */
export const filamentPerKg = 1.15;

/** Letters of such a board are printed, not cut. */
export const isPrinted = ({ stuff }: Pick<Board, 'stuff'>): boolean => stuff === 'printed';

/** The settings of a design, those it leaves out as usual. */
export const printOf = ({ perimeters, solidLayers, layerMm }: HaloAssembly['letters']) => ({
  perimeters: perimeters ?? usualPrint.perimeters,
  solidLayers: solidLayers ?? usualPrint.solidLayers,
  layerMm: layerMm ?? usualPrint.layerMm,
});

/** Plastic in a wall that is solid from both sides to a depth, and filled loosely between (mm). */
const plasticMm = (thicknessMm: number, solidMm: number): number => {
  const solid = Math.min(thicknessMm, 2 * solidMm);
  return solid + infillShare * (thicknessMm - solid);
};

/**
 * How much plastic light must pass (mm): in returns as many perimeters from each side as are printed, in fronts as many
 * solid layers. A line with round sides, `layerMm` high, fills its width but for h (1 − π/4): lower layers lie closer.
 * What is cut from a sheet is solid.
 */
export const plasticOf = (
  letters: HaloAssembly['letters'],
  board: Pick<Board, 'stuff' | 'thicknessMm'>,
): { readonly returnMm: number; readonly frontMm: number } => {
  if (!isPrinted(board)) return { returnMm: letters.wallMm, frontMm: board.thicknessMm };
  const { perimeters, solidLayers, layerMm } = printOf(letters);
  const spacingMm = Math.max(lineMm / 4, lineMm - layerMm * (1 - Math.PI / 4));
  return {
    returnMm: plasticMm(letters.wallMm, perimeters * spacingMm),
    frontMm: plasticMm(board.thicknessMm, solidLayers * layerMm),
  };
};
