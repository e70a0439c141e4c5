/** A length to be cut from a reel. */
export interface ReelPiece {
  readonly label: string;
  readonly lengthMm: number;
}

/** What is cut from one reel, in order, and what stays on it. */
export interface Reel {
  readonly pieces: readonly ReelPiece[];
  readonly leftMm: number;
}

/** Which reel each piece comes from. */
export interface ReelPlan {
  readonly reels: readonly Reel[];
  /** Pieces longer than a whole reel: they need a joint. */
  readonly tooLong: readonly ReelPiece[];
}

/** Pieces on reels, longest first, each from the first reel with enough left (first-fit decreasing, at most 11/9 of the best + 1). */
export const planReels = (pieces: readonly ReelPiece[], reelMm: number): ReelPlan => {
  const reels: { pieces: ReelPiece[]; leftMm: number }[] = [];
  const longestFirst = [...pieces].sort((a, b) => b.lengthMm - a.lengthMm);
  for (const piece of longestFirst.filter(({ lengthMm }) => lengthMm <= reelMm)) {
    let reel = reels.find(({ leftMm }) => leftMm >= piece.lengthMm);
    if (reel === undefined) {
      reel = { pieces: [], leftMm: reelMm };
      reels.push(reel);
    }
    reel.pieces.push(piece);
    reel.leftMm -= piece.lengthMm;
  }
  return { reels, tooLong: longestFirst.filter(({ lengthMm }) => lengthMm > reelMm) };
};
