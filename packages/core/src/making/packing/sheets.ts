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
  readonly placed: readonly PlacedPiece[];
  /** Pieces larger than a whole sheet. */
  readonly tooLarge: readonly SheetPiece[];
}

interface Strip {
  readonly sheet: number;
  readonly y: number;
  readonly heightMm: number;
  usedMm: number;
}

const longSideFirst = (piece: SheetPiece): SheetPiece & { readonly turned: boolean } =>
  piece.heightMm > piece.widthMm
    ? { ...piece, widthMm: piece.heightMm, heightMm: piece.widthMm, turned: true }
    : { ...piece, turned: false };

/**
 * Rips first, cross-cuts second: pieces lie long side along the sheet in strips, tallest first, each in the first strip
 * with room (first-fit decreasing height; at most 1.7 × the least height, E. Coffman et al. 1980). Every cut runs from
 * edge to edge, as a table saw makes it. A kerf is left between neighbours.
 */
export const packSheets = (
  pieces: readonly SheetPiece[],
  sheetWidthMm: number,
  sheetHeightMm: number,
  kerfMm: number,
): SheetPacking => {
  const [sheetLong, sheetShort] = [Math.max(sheetWidthMm, sheetHeightMm), Math.min(sheetWidthMm, sheetHeightMm)];
  const lying = pieces.map(longSideFirst).sort((a, b) => b.heightMm - a.heightMm || b.widthMm - a.widthMm);
  const fits = (piece: SheetPiece): boolean => piece.widthMm <= sheetLong && piece.heightMm <= sheetShort;
  const strips: Strip[] = [];
  const placed: PlacedPiece[] = [];
  const openStrip = (heightMm: number): Strip => {
    const last = strips[strips.length - 1];
    const y = last === undefined ? 0 : last.y + last.heightMm + kerfMm;
    const onSame = last !== undefined && y + heightMm <= sheetShort;
    const strip = { sheet: onSame ? last.sheet : (last?.sheet ?? -1) + 1, y: onSame ? y : 0, heightMm, usedMm: 0 };
    strips.push(strip);
    return strip;
  };
  for (const piece of lying.filter(fits)) {
    const room = strips.find((strip) => strip.heightMm >= piece.heightMm && strip.usedMm + piece.widthMm <= sheetLong);
    const strip = room ?? openStrip(piece.heightMm);
    placed.push({ ...piece, sheet: strip.sheet, x: strip.usedMm, y: strip.y });
    strip.usedMm += piece.widthMm + kerfMm;
  }
  return {
    sheets: (strips[strips.length - 1]?.sheet ?? -1) + 1,
    placed,
    tooLarge: lying.filter((piece) => !fits(piece)),
  };
};
