/** A point in mm; x to the right, y up. */
export type Point = readonly [number, number];

/** A closed ring; the last point joins the first. Outer rings run anticlockwise (positive area), holes clockwise. */
export type Ring = readonly Point[];

/** Rings that together bound an area by the non-zero rule. */
export type Outline = readonly Ring[];

/** An axis-parallel rectangle in mm, from its lower left corner. */
export interface Rect {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** An affine map: a, b, c, d, e, f with x' = a x + c y + e and y' = b x + d y + f. */
export type Affine = readonly [a: number, b: number, c: number, d: number, e: number, f: number];
