import type { Font } from 'opentype.js';
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
}

const capHeightUnits = (font: Font): number => {
  const stated = font.tables.os2?.sCapHeight ?? 0;
  if (stated > 0) return stated;
  const box = font.charToGlyph('H').getPath(0, 0, font.unitsPerEm).getBoundingBox();
  return box.y2 - box.y1 || font.unitsPerEm * 0.7;
};

interface Line {
  readonly outline: Outline;
  readonly widthMm: number;
}

const setLine = (font: Font, text: string, sizeMm: number, trackingMm: number): Line => {
  const scale = sizeMm / font.unitsPerEm;
  const glyphs = font.stringToGlyphs(text);
  const rings: Outline[] = [];
  let pen = 0;
  glyphs.forEach((glyph, index) => {
    rings.push(glyphRings(glyph.getPath(pen, 0, sizeMm)));
    const next = glyphs[index + 1];
    pen += (glyph.advanceWidth ?? 0) * scale;
    if (next !== undefined) pen += font.getKerningValue(glyph, next) * scale + trackingMm;
  });
  return { outline: rings.flat(), widthMm: pen };
};

const alignShift: Readonly<Record<Artwork['align'], number>> = { left: 0, centre: 0.5, right: 1 };

/** Lines of text in one font, united, with the middle of their ink at `shift`. */
const setText = (font: Font, text: string, artwork: Artwork, [shiftX, shiftY]: Point): Outline => {
  const sizeMm = (artwork.capHeightMm * font.unitsPerEm) / capHeightUnits(font);
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

/**
 * The artwork stage: `text` set in the chosen font, or a drawing, as clean outlines, holes clockwise, its middle `shift` mm right and up of
 * the origin.
 * Fails when text is to be set and its font was not found. Characters without a glyph are listed in `missing`.
 */
export const layLettering = (
  text: string,
  artwork: Artwork,
  font: Result<Font>,
  shiftX = 0,
  shiftY = 0,
): Result<Lettering> => {
  const shift: Point = [shiftX, shiftY];
  const { drawing } = artwork;
  const found = (outline: Outline, letterCount: number, missing: readonly string[]): Result<Lettering> =>
    success({ outline, bounds: outlineBounds(outline), areaMm2: outlineArea(outline), letterCount, missing });
  if (drawing !== null && drawing !== undefined) {
    const outline = placeDrawing(drawing, shift);
    return found(outline, outline.filter((ring) => ringArea(ring) > 0).length, []);
  }
  if (!font.ok) return font;
  const characters = [...text.replace(/\r/g, '')];
  const known = characters.filter((c) => c === '\n' || font.value.charToGlyph(c).index > 0 || /\s/.test(c));
  return found(setText(font.value, known.join(''), artwork, shift), known.filter((c) => !/\s/.test(c)).length, [
    ...new Set(characters.filter((c) => !known.includes(c))),
  ]);
};
