import { roundOff } from '../../base/maths/index.js';
import { snapToCut } from '../../light/laying/index.js';

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
export interface ReelCuts {
  readonly reels: readonly Reel[];
  /** Pieces longer than a whole reel, as asked for: each is cut in parts and joined on a cut mark. */
  readonly joined: readonly ReelPiece[];
}

/** A piece longer than a reel in parts of whole cuts, to be soldered end to end; others as they are. */
const inReelLengths = (piece: ReelPiece, reelMm: number, cutPitchMm: number): readonly ReelPiece[] => {
  const { lengthMm: partMm } = snapToCut(reelMm, cutPitchMm);
  if (piece.lengthMm <= reelMm || partMm === 0) return [piece];
  const parts = Math.ceil(piece.lengthMm / partMm - roundOff);
  return Array.from({ length: parts }, (_, part) => ({
    label: `${piece.label}, part ${part + 1} of ${parts}`,
    lengthMm: Math.min(partMm, piece.lengthMm - part * partMm),
  }));
};

/**
 * Pieces on reels, longest first, each from the first reel with enough left (first-fit decreasing, at most 11/9 of the
 * best + 1). What is longer than a reel is cut in parts.
 */
export const cutReels = (pieces: readonly ReelPiece[], reelMm: number, cutPitchMm: number): ReelCuts => {
  const reels: { pieces: ReelPiece[]; leftMm: number }[] = [];
  const parts = pieces.flatMap((piece) => inReelLengths(piece, reelMm, cutPitchMm));
  for (const piece of parts.sort((a, b) => b.lengthMm - a.lengthMm)) {
    let reel = reels.find(({ leftMm }) => leftMm >= piece.lengthMm);
    if (reel === undefined) {
      reel = { pieces: [], leftMm: reelMm };
      reels.push(reel);
    }
    reel.pieces.push(piece);
    reel.leftMm -= piece.lengthMm;
  }
  return { reels, joined: pieces.filter(({ lengthMm }) => lengthMm > reelMm) };
};
