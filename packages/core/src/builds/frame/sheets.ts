/** Sheets of the usual size hold what is no larger than this, with room for a saw; beyond, a large one has to be bought (mm). */
const usualSheetMm = [1190, 590] as const;

const suffixFor = (widthMm: number, heightMm: number): string =>
  Math.max(widthMm, heightMm) > usualSheetMm[0] || Math.min(widthMm, heightMm) > usualSheetMm[1] ? '-large' : '';

/** Clear sheet for a print so large, and the opal one that goes tight behind print or mirror. */
export const clearSheetFor = (widthMm: number, heightMm: number): string => `clear-3${suffixFor(widthMm, heightMm)}`;
export const opalBehind = (widthMm: number, heightMm: number) => ({
  sheetId: `opal-3${suffixFor(widthMm, heightMm)}`,
  gapMm: 0,
});

/** Beside the front sheet, the print between them, in one groove. */
export const opalWithin = (widthMm: number, heightMm: number) => ({ ...opalBehind(widthMm, heightMm), seated: true });

/** From a tile to the diffuser in its own groove (mm). */
const behindTileMm = 4;

/** Behind a tile that comes out, in a groove of its own. */
export const opalBehindTile = (widthMm: number, heightMm: number) => ({
  ...opalBehind(widthMm, heightMm),
  gapMm: behindTileMm,
  seated: true,
});
