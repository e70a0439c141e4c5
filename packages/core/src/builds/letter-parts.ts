import { moveOutline, outlineBounds, type Outline, type Point, type Rect } from '../outlines/index.js';

/** A drawing seen from behind: left is right, and rings still wind as they should. */
export const turnedOver = (outline: Outline, widthMm: number): Outline =>
  outline.map((ring) => ring.map(([x, y]): Point => [widthMm - x, y]).reverse());

/** One letter flat: its outline from its own lower left corner, mirrored when it is cut back up. */
export const flatLetter = (
  letter: Outline,
  mirrored: boolean,
): { readonly bounds: Rect; readonly outline: Outline } => {
  const bounds = outlineBounds(letter)!;
  const outline = moveOutline(letter, -bounds.x, -bounds.y);
  return { bounds, outline: mirrored ? turnedOver(outline, bounds.width) : outline };
};

/** From left to right, by their outlines. */
export const fromLeft = <Item extends { readonly outline: Outline }>(items: readonly Item[]): readonly Item[] =>
  [...items].sort((a, b) => outlineBounds(a.outline)!.x - outlineBounds(b.outline)!.x);
