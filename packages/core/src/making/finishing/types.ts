import type { FinishingDesign } from '../../document/design/index.js';
import type { Glue, Paint, Stuff } from '../../document/catalogue/index.js';

/** One side of a sign that is seen, or that light falls on. */
export interface Surface {
  readonly id: string;
  readonly name: string;
  readonly stuff: Stuff;
  readonly m2: number;
  /** Both sides are painted, so that it is turned over between coats. */
  readonly turned: boolean;
  readonly masked: string | null;
  readonly showsGrain: boolean;
  /** What it comes with when nothing is laid on it: metal and composite come coated. */
  readonly comesFinished: boolean;
  /** Coats that the design sets by another field: a lining. Null where the surface’s own are taken. */
  readonly fixed: readonly Layer[] | null;
}

/** So many coats of a paint, as a design says it. */
export type Layer = NonNullable<FinishingDesign['coats']>[number]['layers'][number];

/** A joint that is glued, by its length. */
export interface Bond {
  readonly id: string;
  readonly what: string;
  readonly between: readonly [Stuff, Stuff];
  readonly mm: number;
  /** What comes out of it is seen, and cannot be sanded off. */
  readonly fine: boolean;
}

/** What a build says of paint and glue. */
export interface ToFinish {
  readonly surfaces: readonly Surface[];
  readonly bonds: readonly Bond[];
  /** What is inside can be reached before the case is glued alone: a face in a groove shuts it in. */
  readonly shutsIn: boolean;
}

/** So many coats of one paint on a surface. */
export interface Coated {
  readonly paint: Paint;
  readonly coats: number;
  /** What goes into it, with what goes past (L). */
  readonly litres: number;
  /** Nothing holds it there: neither the surface nor the coat under it. */
  readonly letsGo: boolean;
  readonly workMin: number;
  /** Until the next coat of anything, all its coats counted; turning over doubles it. */
  readonly waitMin: number;
}

/** A surface with its coats. */
export interface FinishedSurface extends Surface {
  readonly layers: readonly Coated[];
}

/** A joint with its glue. */
export interface GluedBond extends Bond {
  /** Null where nothing on the shelf holds both. */
  readonly glue: Glue | null;
  readonly ml: number;
  readonly holds: boolean;
}

/** What a sign wants of one paint or glue, for the whole order. */
export interface Supplies {
  readonly itemId: string;
  readonly name: string;
  readonly unit: 'L' | 'ml';
  readonly needed: number;
  /** Cans or tubes of so much each. */
  readonly each: number;
  readonly count: number;
  readonly left: number;
  /** At hand by the design; null where it is bought. */
  readonly atHand: number | null;
}

/** Paint and glue of one assembly. */
export interface Finishing {
  readonly surfaces: readonly FinishedSurface[];
  readonly bonds: readonly GluedBond[];
  readonly supplies: readonly Supplies[];
  /** Whether the inside is painted before the case is glued. */
  readonly insideFirst: boolean;
  readonly shutsIn: boolean;
  /** What the design allows between coats (min); null: as long as they want. */
  readonly betweenCoatsMin: number | null;
}
