/** Stock as it is bought, by what its fields say. */
interface Bought {
  readonly sheetWidthMm: number;
  readonly sheetHeightMm: number;
  readonly trimMm?: number;
  readonly form?: 'sheet' | 'bar';
}

/** What of a sheet or bar parts may be cut from, long side first, and where that begins on it (mm). */
export interface UsableSize {
  readonly longMm: number;
  readonly shortMm: number;
  readonly atMm: readonly [along: number, across: number];
}

/**
 * A sheet without what is trimmed off all round, since its edges are bruised or printed over; a bar without what is trimmed off
 * both ends, which split: its width stays.
 */
export const usableSize = ({ sheetWidthMm, sheetHeightMm, trimMm = 0, form = 'sheet' }: Bought): UsableSize => {
  const across = form === 'bar' ? 0 : trimMm;
  return {
    longMm: Math.max(0, Math.max(sheetWidthMm, sheetHeightMm) - 2 * trimMm),
    shortMm: Math.max(0, Math.min(sheetWidthMm, sheetHeightMm) - 2 * across),
    atMm: [trimMm, across],
  };
};

/** Whether a part can be cut from one sheet of it, either way round. */
export const fitsSheet = (
  stock: Bought,
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
): boolean => {
  const { longMm, shortMm } = usableSize(stock);
  return longMm >= Math.max(widthMm, heightMm) && shortMm >= Math.min(widthMm, heightMm);
};
