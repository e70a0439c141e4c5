import type { FaceLitResults, HaloResults } from '../evaluate/types.js';
import { overBed, type Remedy, type Rule } from '../findings/index.js';
import { outlineBounds, solidParts, type Rect } from '../outlines/index.js';
import { piecesOfLetters } from './letter-splits.js';

/** Builds that cut letters one by one. */
type LetterResults = HaloResults | FaceLitResults;

/** The largest piece, which is the one that does not fit. */
const largestPiece = ({ lettering, assembly }: LetterResults): Rect | null => {
  const { splits, registration } = assembly.artwork;
  const bounds = piecesOfLetters(solidParts(lettering.outline), splits, registration).map((piece) =>
    outlineBounds(piece)!,
  );
  return bounds.length === 0
    ? null
    : bounds.reduce((a, b) => (Math.max(b.width, b.height) > Math.max(a.width, a.height) ? b : a));
};

/** Cuts the piece that does not fit across the middle of its longer side. */
const splitInTwo = (results: LetterResults): readonly Remedy[] => {
  const piece = largestPiece(results);
  if (piece === null) return [];
  const upright = piece.width >= piece.height;
  const place = {
    xMm: Math.round(piece.x + piece.width / 2),
    yMm: Math.round(piece.y + piece.height / 2),
    angleDeg: upright ? 90 : 0,
  };
  return [
    {
      id: 'split',
      candidates: [
        {
          label: `Cut that letter in two, ${upright ? 'upright' : 'level'} through its middle`,
          change: [{ path: 'assemblies.0.artwork.splits', value: [...(results.assembly.artwork.splits ?? []), place] }],
        },
      ],
    },
  ];
};

/** A letter larger than the machine reaches: it can be split. */
export const letterOverBed: Rule<LetterResults> = ({ results, catalogue }) => {
  const found = overBed({ results, catalogue });
  return found === null
    ? null
    : {
        ...found,
        what: 'A letter is larger than the machine reaches',
        remedies: [...splitInTwo(results), ...found.remedies],
      };
};
