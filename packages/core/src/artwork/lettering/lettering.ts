import {
  moveOutline,
  outlineArea,
  outlineBounds,
  pointsOf,
  ringArea,
  unite,
  type Outline,
  type Point,
  type Rect,
} from '../../base/outlines/index.js';
import { success, type Result } from '../../base/result.js';
import type { Artwork } from '../../document/design/index.js';
import { glyphRings } from './glyph-rings.js';
import type { FontWeights, LetterFont } from './letter-font.js';
import { runsOf } from './text-runs.js';

/** The lettering as cut: outlines in mm with the middle of the face at the origin. */
export interface Lettering {
  readonly outline: Outline;
  /** Around the outline; null when there is no ink. */
  readonly bounds: Rect | null;
  readonly areaMm2: number;
  /** Letters with ink, spaces not counted. */
  readonly letterCount: number;
  /** Characters that the font does not have; they are left out. */
  readonly missing: readonly string[];
  /** How heavy its font can be set; left out where it has one weight, or nothing is set. */
  readonly weights?: FontWeights;
}

interface Line {
  readonly outline: Outline;
  readonly widthMm: number;
}

const setLine = (font: LetterFont, text: string, sizeMm: number, trackingMm: number): Line => {
  const scale = sizeMm / font.unitsPerEm;
  const rings: Outline[] = [];
  let pen = 0;
  /** The letter before, so that room is put between letters and nowhere within one. */
  let before: { readonly cluster: number; readonly run: number; readonly joined: boolean } | null = null;
  runsOf(text).forEach(({ text: run, from, rightToLeft, joined }, number) => {
    for (const { id, cluster, advance, right, up } of font.shape(run, rightToLeft, trackingMm === 0)) {
      const own = { cluster: from + cluster, run: number, joined };
      const apart =
        before !== null &&
        before.cluster !== own.cluster &&
        // Joined letters stay joined.
        !(joined && before.joined && before.run === number);
      if (apart) pen += trackingMm;
      rings.push(glyphRings(font.outlineOf(id), scale, [pen + right * scale, up * scale]));
      pen += advance * scale;
      before = own;
    }
  });
  return { outline: rings.flat(), widthMm: pen };
};

const alignShift: Readonly<Record<Artwork['align'], number>> = { left: 0, centre: 0.5, right: 1 };

/** Lines of text in one font, united, with the middle of their ink at `shift`. */
const setText = (font: LetterFont, text: string, artwork: Artwork, [shiftX, shiftY]: Point): Outline => {
  const sizeMm = (artwork.capHeightMm * font.unitsPerEm) / font.capHeight;
  const lines = text
    .split('\n')
    .map((line) => setLine(font, line, sizeMm, (artwork.tracking ?? 0) * artwork.capHeightMm));
  const widest = Math.max(...lines.map(({ widthMm }) => widthMm));
  const step = artwork.lineSpacing * artwork.capHeightMm;
  const stacked = lines.flatMap(({ outline, widthMm }, index) =>
    moveOutline(outline, (widest - widthMm) * alignShift[artwork.align], -index * step),
  );
  const united = unite(stacked);
  const bounds = outlineBounds(united);
  if (bounds === null) return united;
  const middleX = bounds.x + bounds.width / 2;
  // The block of cap heights is centred, not the ink: a descender must not lift the line off the middle.
  const middleY = (artwork.capHeightMm - (lines.length - 1) * step) / 2;
  return moveOutline(united, shiftX - middleX, shiftY - middleY);
};

/** Outlines of a drawing at its true size, the middle of its ink at `shift`. */
const placeDrawing = ({ rings, scale }: Drawing, [shiftX, shiftY]: Point): Outline => {
  const outline = rings.map((numbers) => pointsOf(numbers, scale));
  const bounds = outlineBounds(outline);
  return bounds === null
    ? outline
    : moveOutline(outline, shiftX - bounds.x - bounds.width / 2, shiftY - bounds.y - bounds.height / 2);
};

type Drawing = NonNullable<Artwork['drawing']>;

/** Characters that only tell how others are set. */
const isUnseen = /\p{Default_Ignorable_Code_Point}/u;

/**
 * The artwork stage: `text` set in the chosen font, or a drawing, as clean outlines, holes clockwise, its middle `shift` mm right and up of
 * the origin.
 * Fails when text is to be set and its font was not found. Characters without a glyph are listed in `missing`.
 */
export const layLettering = (
  text: string,
  artwork: Artwork,
  font: Result<LetterFont>,
  shiftX = 0,
  shiftY = 0,
): Result<Lettering> => {
  const shift: Point = [shiftX, shiftY];
  const { drawing } = artwork;
  const found = (
    outline: Outline,
    letterCount: number,
    missing: readonly string[],
    weights: FontWeights | null = null,
  ): Result<Lettering> =>
    success({
      outline,
      bounds: outlineBounds(outline),
      areaMm2: outlineArea(outline),
      letterCount,
      missing,
      ...(weights === null ? {} : { weights }),
    });
  if (drawing !== null && drawing !== undefined) {
    const outline = placeDrawing(drawing, shift);
    return found(outline, outline.filter((ring) => ringArea(ring) > 0).length, []);
  }
  if (!font.ok) return font;
  const set = artwork.weight === undefined ? font.value : font.value.atWeight(artwork.weight);
  const characters = [...text.replace(/\r/g, '')];
  const known = characters.filter((c) => /\s/.test(c) || isUnseen.test(c) || set.has(c));
  const seen = known.filter((c) => !/\s/.test(c) && !isUnseen.test(c));
  return found(
    setText(set, known.join(''), artwork, shift),
    seen.length,
    [...new Set(characters.filter((c) => !known.includes(c)))],
    font.value.weights,
  );
};
