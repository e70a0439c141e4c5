/** A point in the case, mm: x right, y up from the middle, z from the back toward the face. */
export type Point3 = readonly [number, number, number];

/** One cut piece of strip, laid straight. */
export interface Segment {
  /** Counted from 1 in the order of wiring. */
  readonly number: number;
  /** Where current enters (arrow tail) and where the piece ends. */
  readonly from: Point3;
  readonly to: Point3;
  readonly lengthMm: number;
  /** The way its LEDs face. */
  readonly normal: Point3;
  readonly on: 'back' | 'top' | 'bottom' | 'left' | 'right' | 'block';
  /** Room the strip could not fill for want of a cut mark (mm), shared between both ends. */
  readonly leftoverMm: number;
  readonly ledCount: number;
}

/** LEDs at their true places, one column a quantity; `segment` is an index into the segments. */
export interface LedField {
  readonly count: number;
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly z: Float64Array;
  readonly segment: Uint32Array;
  /** From the start of the segment (mm). */
  readonly along: Float64Array;
}

/** Every piece of strip in the case. */
export interface LightRuns {
  readonly segments: readonly Segment[];
  readonly leds: LedField;
  readonly stripMm: number;
  readonly ledPitchMm: number;
  /** Between neighbouring rows; null when there is but one, or none on the back. */
  readonly rowPitchMm: number | null;
  /** From the LEDs to what they see first, the face or a second sheet behind it (mm), the least of all. */
  readonly throwMm: number;
}
