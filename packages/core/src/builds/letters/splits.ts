import type { LetterArtwork } from './schema.js';
import {
  outlineBounds,
  solidParts,
  splitAlong,
  splitAlongAll,
  type CutLine,
  type Outline,
  type Split,
} from '../../base/outlines/index.js';

/** A line that a design cuts letters along, and where it is put. */
type PlacedSplit = NonNullable<LetterArtwork['splits']>[number];

/** Whether a place lies in the box round a letter. */
const boxHolds = (letter: Outline, x: number, y: number): boolean => {
  const bounds = outlineBounds(letter);
  return (
    bounds !== null && x >= bounds.x && x <= bounds.x + bounds.width && y >= bounds.y && y <= bounds.y + bounds.height
  );
};

const asLine = ({ xMm, yMm, angleDeg }: PlacedSplit): CutLine => ({ at: [xMm, yMm], angleDeg });

/** The lines that a design cuts one letter along: those whose place lies in the box round it. */
const linesThrough = (letter: Outline, splits: LetterArtwork['splits']): readonly CutLine[] =>
  (splits ?? []).filter(({ xMm, yMm }) => boxHolds(letter, xMm, yMm)).map(asLine);

/** Any outline of a letter (its front, its back) cut where the design cuts the letter. */
export const splitLetter = (
  letter: Outline,
  part: Outline,
  { splits, registration }: Pick<LetterArtwork, 'splits' | 'registration'>,
): Split => splitAlongAll(part, linesThrough(letter, splits), registration ?? 'tabs');

/** The parts that letters are cut in. */
export const partsOfLetters = (
  letters: readonly Outline[],
  splits: LetterArtwork['splits'],
  registration: LetterArtwork['registration'],
): readonly Outline[] => letters.flatMap((letter) => splitLetter(letter, letter, { splits, registration }).parts);

/** The splits of a design that leave every letter in one piece, by their index. */
export const idleSplits = (outline: Outline, splits: LetterArtwork['splits']): readonly number[] => {
  const letters = solidParts(outline);
  return [...(splits ?? []).entries()]
    .filter(([, split]) =>
      letters.every(
        (letter) =>
          !boxHolds(letter, split.xMm, split.yMm) || splitAlong(letter, asLine(split), 'pins').parts.length < 2,
      ),
    )
    .map(([index]) => index);
};

/** A line across the middle of the longer side of the largest part; null without letters. */
export const middleSplit = (
  outline: Outline,
  { splits, registration }: Pick<LetterArtwork, 'splits' | 'registration'>,
): PlacedSplit | null => {
  const boxes = partsOfLetters(solidParts(outline), splits, registration).map((part) => outlineBounds(part)!);
  if (boxes.length === 0) return null;
  const largest = boxes.reduce((a, b) => (Math.max(b.width, b.height) > Math.max(a.width, a.height) ? b : a));
  return {
    xMm: Math.round(largest.x + largest.width / 2),
    yMm: Math.round(largest.y + largest.height / 2),
    angleDeg: largest.width >= largest.height ? 90 : 0,
  };
};

const suffixes = 'abcdefghijklmnopqrstuvwxyz';

/** “a”, “b” … of a part; nothing for a letter in one. */
export const partSuffix = (index: number, count: number): string =>
  count < 2 ? '' : (suffixes[index] ?? `-${index + 1}`);
