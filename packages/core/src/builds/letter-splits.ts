import type { LetterArtwork } from '../design/index.js';
import { outlineBounds, splitAlongAll, type CutLine, type Outline, type Split } from '../outlines/index.js';

/** Whether a place lies in the box round a letter. */
const boxHolds = (letter: Outline, x: number, y: number): boolean => {
  const bounds = outlineBounds(letter);
  return (
    bounds !== null && x >= bounds.x && x <= bounds.x + bounds.width && y >= bounds.y && y <= bounds.y + bounds.height
  );
};

/** The lines that a design cuts one letter along: those whose place lies in the box round it. */
const linesThrough = (letter: Outline, splits: LetterArtwork['splits']): readonly CutLine[] =>
  (splits ?? [])
    .filter(({ xMm, yMm }) => boxHolds(letter, xMm, yMm))
    .map(({ xMm, yMm, angleDeg }) => ({ at: [xMm, yMm], angleDeg }));

/** Any outline of a letter (its front, its back) cut where the design cuts the letter. */
export const splitLetter = (
  letter: Outline,
  part: Outline,
  { splits, registration }: Pick<LetterArtwork, 'splits' | 'registration'>,
): Split => splitAlongAll(part, linesThrough(letter, splits), registration ?? 'tabs');

/** The pieces that letters are cut in. */
export const piecesOfLetters = (
  letters: readonly Outline[],
  splits: LetterArtwork['splits'],
  registration: LetterArtwork['registration'],
): readonly Outline[] => letters.flatMap((letter) => splitLetter(letter, letter, { splits, registration }).pieces);

const suffixes = 'abcdefghijklmnopqrstuvwxyz';

/** “a”, “b” … of a piece; nothing for a letter in one. */
export const pieceSuffix = (index: number, count: number): string =>
  count < 2 ? '' : (suffixes[index] ?? `-${index + 1}`);
