import { binsAtLeast, fewestBins } from './fewest-bins.js';
import { cutApart, ways } from './guillotine.js';

/** A rectangle to be cut, mm. */
export interface SheetPiece {
  readonly label: string;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** A piece in its place on a sheet, from the sheet's lower left corner. */
export interface PlacedPiece extends SheetPiece {
  readonly sheet: number;
  readonly x: number;
  readonly y: number;
  readonly turned: boolean;
}

/** Pieces on sheets. */
export interface SheetPacking {
  readonly sheets: number;
  /** Proven: no fewer sheets will do. */
  readonly atLeast: number;
  readonly placed: readonly PlacedPiece[];
  /** Pieces larger than a whole sheet. */
  readonly tooLarge: readonly SheetPiece[];
}

interface Sheet {
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Long side along the sheet, as members and grain run. */
const lying = (piece: SheetPiece): SheetPiece & { readonly turned: boolean } =>
  piece.heightMm > piece.widthMm
    ? { ...piece, widthMm: piece.heightMm, heightMm: piece.widthMm, turned: true }
    : { ...piece, turned: false };

const almost = 1e-6;

/** How many sheets the area of some pieces needs, `times` over, a kerf counted to each: proof that fewer will not do. */
export const sheetsByArea = (
  pieces: readonly SheetPiece[],
  sheet: { readonly sheetWidthMm: number; readonly sheetHeightMm: number },
  kerfMm: number,
  times = 1,
): number => {
  const used = pieces.reduce((sum, piece) => sum + (piece.widthMm + kerfMm) * (piece.heightMm + kerfMm), 0);
  const each = (sheet.sheetWidthMm + kerfMm) * (sheet.sheetHeightMm + kerfMm);
  return Math.ceil((times * used) / each - almost);
};

/**
 * Bounds on the sheets that some pieces need: by area; and by those that are more than half as high as a sheet, which lie one
 * beside the other in a single strip. Where pieces may turn, only those count that are too long to lie across.
 */
const sheetsAtLeast = (pieces: readonly SheetPiece[], sheet: Sheet, kerfMm: number, mayTurn: boolean): number => {
  const [width, height] = [sheet.widthMm + kerfMm, sheet.heightMm + kerfMm];
  const byArea = sheetsByArea(pieces, { sheetWidthMm: sheet.widthMm, sheetHeightMm: sheet.heightMm }, kerfMm);
  const high = pieces.filter(({ widthMm, heightMm }) => Math.min(widthMm, heightMm) + kerfMm > height / 2 + almost);
  const inOneStrip = mayTurn
    ? high.filter(({ widthMm, heightMm }) => Math.max(widthMm, heightMm) > sheet.heightMm)
    : high;
  // More than half as large both ways, however it lies: one a sheet.
  const alone = pieces.filter(
    ({ widthMm, heightMm }) => Math.min(widthMm, heightMm) + kerfMm > width / 2 + almost,
  ).length;
  return Math.max(
    byArea,
    alone,
    binsAtLeast(
      inOneStrip.map(({ widthMm }) => widthMm + kerfMm),
      width,
    ),
  );
};

/** The highest that any sheet but the last is cut to matters little; what is left of the last one in one piece does. */
const lastUsed = (placed: readonly PlacedPiece[], sheets: number): number =>
  placed.filter(({ sheet }) => sheet === sheets - 1).reduce((most, { y, heightMm }) => Math.max(most, y + heightMm), 0);

/** Bars: pieces as high as the stock lie one after the other. */
const onBars = (pieces: readonly (SheetPiece & { turned: boolean })[], sheet: Sheet, kerfMm: number): SheetPacking => {
  const { bins, atLeast } = fewestBins(
    pieces.map(({ widthMm }) => widthMm + kerfMm),
    sheet.widthMm + kerfMm,
  );
  const placed = bins.flatMap((bin, at) => {
    let x = 0;
    return bin.map((index): PlacedPiece => {
      const piece = pieces[index]!;
      const spot = { ...piece, sheet: at, x, y: 0 };
      x += piece.widthMm + kerfMm;
      return spot;
    });
  });
  return { sheets: bins.length, atLeast, placed, tooLarge: [] };
};

/** Strips one above the other, tallest first, each piece in the first strip with room: how a saw bench likes it best. */
const inStrips = (
  pieces: readonly (SheetPiece & { turned: boolean })[],
  sheet: Sheet,
  kerfMm: number,
): readonly PlacedPiece[] => {
  interface Strip {
    readonly sheet: number;
    readonly y: number;
    readonly heightMm: number;
    usedMm: number;
  }
  const strips: Strip[] = [];
  const openStrip = (heightMm: number): Strip => {
    const last = strips.at(-1);
    const y = last === undefined ? 0 : last.y + last.heightMm + kerfMm;
    const onSame = last !== undefined && y + heightMm <= sheet.heightMm;
    const strip = { sheet: onSame ? last.sheet : (last?.sheet ?? -1) + 1, y: onSame ? y : 0, heightMm, usedMm: 0 };
    strips.push(strip);
    return strip;
  };
  return [...pieces]
    .sort((a, b) => b.heightMm - a.heightMm || b.widthMm - a.widthMm)
    .map((piece) => {
      const room = strips.find(
        (strip) => strip.heightMm >= piece.heightMm && strip.usedMm + piece.widthMm <= sheet.widthMm,
      );
      const strip = room ?? openStrip(piece.heightMm);
      const spot = { ...piece, sheet: strip.sheet, x: strip.usedMm, y: strip.y };
      strip.usedMm += piece.widthMm + kerfMm;
      return spot;
    });
};

/** Pieces laid altogether before the best so far stands: some milliseconds, at every edit. */
const mostLaid = 2400;

/** The ways that are tried on so many pieces: all of them on few, fewer of every sort on many. */
const waysFor = (pieces: number): typeof ways => {
  const every = Math.ceil((ways.length * pieces) / mostLaid);
  return ways.filter((_, at) => at % every === 0);
};

const sheetsOf = (placed: readonly PlacedPiece[]): number => 1 + Math.max(-1, ...placed.map(({ sheet }) => sheet));

/**
 * Pieces on the fewest sheets found, every cut from edge to edge as a table saw makes it, a kerf between neighbours: strips
 * first, since they are the quickest to saw; where those take more sheets than the bound, offcuts are cut apart in every way
 * that is known here. Bars are packed one after the other. `mayTurn`: pieces may lie across the sheet; those of wood run with
 * the grain, long side along.
 */
export const packSheets = (
  pieces: readonly SheetPiece[],
  sheetWidthMm: number,
  sheetHeightMm: number,
  kerfMm: number,
  mayTurn = false,
): SheetPacking => {
  const sheet = { widthMm: Math.max(sheetWidthMm, sheetHeightMm), heightMm: Math.min(sheetWidthMm, sheetHeightMm) };
  const all = pieces.map(lying);
  const fits = (piece: SheetPiece): boolean => piece.widthMm <= sheet.widthMm && piece.heightMm <= sheet.heightMm;
  const own = all.filter(fits);
  const tooLarge = all.filter((piece) => !fits(piece));
  if (own.length === 0) return { sheets: 0, atLeast: 0, placed: [], tooLarge };
  if (own.every(({ heightMm }) => 2 * heightMm + kerfMm > sheet.heightMm) && !mayTurn)
    return { ...onBars(own, sheet, kerfMm), tooLarge };
  const atLeast = sheetsAtLeast(own, sheet, kerfMm, mayTurn);
  let best = inStrips(own, sheet, kerfMm);
  let sheets = sheetsOf(best);
  for (const way of waysFor(own.length)) {
    if (sheets <= atLeast) break;
    const tried = cutApart(own, sheet, kerfMm, mayTurn, way);
    const count = sheetsOf(tried);
    if (count > sheets || (count === sheets && lastUsed(tried, count) >= lastUsed(best, sheets))) continue;
    [best, sheets] = [tried, count];
  }
  return { sheets, atLeast: Math.min(atLeast, sheets), placed: best, tooLarge };
};
