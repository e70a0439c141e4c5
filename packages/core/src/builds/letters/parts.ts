import {
  distanceToOutline,
  moveOutline,
  outlineBounds,
  turnedOver,
  type Outline,
  type Point,
  type Rect,
} from '../../base/outlines/index.js';
import type { PartShape } from '../../making/parts/index.js';

/** A letter, or a part of one, laid flat. */
export interface FlatLetter {
  readonly bounds: Rect;
  /** From its own lower left corner, mirrored when it is cut back up. */
  readonly outline: Outline;
  /** Where a place of the letter lies on the drawing. */
  readonly place: (at: Point) => Point;
}

/** Lays a letter flat for its drawing. */
export const flatLetter = (letter: Outline, mirrored: boolean): FlatLetter => {
  const bounds = outlineBounds(letter)!;
  const outline = moveOutline(letter, -bounds.x, -bounds.y);
  return {
    bounds,
    outline: mirrored ? turnedOver(outline, bounds.width) : outline,
    place: ([x, y]) => [mirrored ? bounds.x + bounds.width - x : x - bounds.x, y - bounds.y],
  };
};

/** Arms of the cross that marks a pin (mm). */
const crossMm = 4;
/** A pin belongs to a part whose edge it stands on, give or take this (mm). */
const onEdgeMm = 0.5;

/** Crosses where pins go into the edges of a part. */
export const pinMarks = (pins: readonly Point[], part: Outline, place: FlatLetter['place']): readonly PartShape[] =>
  pins
    .filter((at) => distanceToOutline(at, part) < onEdgeMm)
    .flatMap((at): readonly PartShape[] => {
      const [x, y] = place(at);
      return [
        { kind: 'line', from: [x - crossMm, y], to: [x + crossMm, y] },
        { kind: 'line', from: [x, y - crossMm], to: [x, y + crossMm] },
      ];
    });

/** From left to right, by their outlines. */
export const fromLeft = <Item extends { readonly outline: Outline }>(items: readonly Item[]): readonly Item[] =>
  [...items].sort((a, b) => outlineBounds(a.outline)!.x - outlineBounds(b.outline)!.x);
