import type { Catalogue, Strip } from '../../document/catalogue/index.js';
import { suitableStrips } from '../../judging/findings/index.js';
import type { LetterResults } from './results.js';

/** Strip cut more coarsely than this share of the letters’ height leaves the ends of their strokes dark; typical. */
const coarsestCut = 0.2;
/** Room on each side of strip in the middle of a stroke (mm): at least, and where the stroke has it. */
const [tightMm, roomyMm] = [0.5, 2] as const;
/** Strokes of a letter are narrower than their mean here and there. */
const narrowShare = 0.85;

/** How far strip along the middle of strokes stays from their edges (mm). */
export const besideStripMm = (strokeMm: number, { widthMm }: Strip): number =>
  Math.max(tightMm, Math.min(roomyMm, Math.floor((narrowShare * strokeMm - widthMm) * 5) / 10));
/** What a coarse cut is worth less, for a cut as long as the letters are high (in the catalogue’s currency). */
const coarseCutPrice = 80;

/** Strips that suit letters of this size, each with what its coarse cuts count against it. */
export const seedStrips = (
  results: LetterResults,
  catalogue: Catalogue,
  strokeMm: number,
): readonly { readonly strip: Strip; readonly penalty: number }[] => {
  const { capHeightMm } = results.assembly.artwork;
  const suiting = suitableStrips(results, catalogue).filter(
    (strip) =>
      strip.form !== 'modules' && strip.addressable !== true && strip.widthMm + 2 * tightMm < narrowShare * strokeMm,
  );
  const fine = suiting.filter(({ cutPitchMm }) => cutPitchMm <= coarsestCut * capHeightMm);
  return (fine.length > 0 ? fine : suiting).map((strip) => ({
    strip,
    penalty: (coarseCutPrice * strip.cutPitchMm) / capHeightMm,
  }));
};
