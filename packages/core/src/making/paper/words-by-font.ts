import { runsOf } from '../../artwork/lettering/index.js';
import type { PaperFont } from './paper-fonts.js';

/** Words in one font, written in one direction. */
export interface FontPiece {
  readonly font: PaperFont;
  readonly text: string;
}

/** Words as pieces from left to right, and the letters that no font has. */
export interface FontPieces {
  readonly pieces: readonly FontPiece[];
  readonly missing: readonly string[];
}

/** Stands for a letter that no font has. */
export const missingSign = '?';

const breaks = /[\u0000-\u001f\u007f-\u009f\u2028\u2029]+/g;
const unseen = /^\p{Cf}$/u;
const belongsBefore = /^[\p{M}\p{Cf}\s]$/u;

const piecesOfRun = (run: string, fonts: readonly PaperFont[], missing: Set<string>): readonly FontPiece[] => {
  const pieces: FontPiece[] = [];
  for (const character of run) {
    const last = pieces.at(-1);
    const stays = last !== undefined && belongsBefore.test(character) && last.font.has(character);
    const font = stays ? last.font : fonts.find(({ has }) => has(character));
    if (font === undefined && unseen.test(character)) continue;
    if (font === undefined) missing.add(character);
    const [used, text] = [font ?? fonts[0]!, font === undefined ? missingSign : character];
    if (last?.font === used) pieces[pieces.length - 1] = { font: used, text: last.text + text };
    else pieces.push({ font: used, text });
  }
  return pieces;
};

/** Scripts that run from right to left, and marks that turn a line round. */
const turned =
  /[\u0590-\u08ff\u200e\u200f\u202a-\u202e\u2066-\u2069\ufb1d-\ufdff\ufe70-\ufeff]|[\ud802\ud803\ud83a\ud83b]/;

/** Words as they are seen from left to right, piece by piece in the first font that has their letters; lines are one. */
export const wordsByFont = (words: string, fonts: readonly PaperFont[]): FontPieces => {
  const missing = new Set<string>();
  const line = words.replace(breaks, ' ');
  if (!turned.test(line)) return { pieces: piecesOfRun(line, fonts, missing), missing: [...missing] };
  const pieces = runsOf(line).flatMap(({ text, rightToLeft }) => {
    const own = piecesOfRun(text, fonts, missing);
    return rightToLeft ? [...own].reverse() : own;
  });
  return { pieces, missing: [...missing] };
};
