import type { FillBy, Outline, Ring } from '../../base/outlines/index.js';

/** A line of a drawing, mm, y up. A closed one joins its last point to its first. */
export interface DrawnPath {
  readonly points: Ring;
  readonly closed: boolean;
}

/** One shape of a drawing: an area that is filled, or lines that are only drawn. */
export interface DrawnShape {
  /** What the drawing calls the group or layer it is in; empty when it is in none. */
  readonly layer: string;
  /** The names of all groups it lies in, the outermost first; left out where there is but its layer. */
  readonly groups?: readonly string[];
  /** How its area is told where its lines cross; `null` for lines that are only drawn. */
  readonly fill: FillBy | null;
  /** Of lines that are only drawn, how their colour is written; left out where the file tells none. */
  readonly stroke?: string;
  /** Its colour as six hexadecimal digits: of what fills it, else of its lines; left out where the file tells none. */
  readonly colour?: string;
  readonly paths: readonly DrawnPath[];
  /** Only what lies in here is seen. */
  readonly clip: Outline | null;
}

/** What was read from a file: shapes as they were drawn, nothing put right yet. */
export interface Drawing {
  readonly kind: 'svg' | 'dxf' | 'picture';
  readonly shapes: readonly DrawnShape[];
  /** False when the file does not say how long its unit is, so that its size must be checked by a known length. */
  readonly sizeStated: boolean;
  /** What was left out or taken for granted, in sentences. */
  readonly notes: readonly string[];
}
