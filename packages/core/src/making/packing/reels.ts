import { roundOff } from '../../base/maths/index.js';
import { fewestBins } from './fewest-bins.js';
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

/** What is cut from one reel; less than nothing stays where one piece is longer than it. */
const reelOf = (pieces: readonly ReelPiece[], reelMm: number): Reel => ({
  pieces,
  leftMm: reelMm - pieces.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
});

/** Pieces on the fewest reels. What is longer than a reel is cut in parts; what cannot be has a reel to itself. */
export const cutReels = (pieces: readonly ReelPiece[], reelMm: number, cutPitchMm: number): ReelCuts => {
  const parts = pieces.flatMap((piece) => inReelLengths(piece, reelMm, cutPitchMm));
  const own = parts.filter(({ lengthMm }) => lengthMm <= reelMm);
  const { bins } = fewestBins(
    own.map(({ lengthMm }) => lengthMm),
    reelMm,
  );
  return {
    reels: [
      ...bins.map((bin) =>
        reelOf(
          bin.map((at) => own[at]!),
          reelMm,
        ),
      ),
      ...parts.filter(({ lengthMm }) => lengthMm > reelMm).map((part) => reelOf([part], reelMm)),
    ],
    joined: pieces.filter(({ lengthMm }) => lengthMm > reelMm),
  };
};
