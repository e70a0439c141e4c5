/** A rabbet or groove along the inner side of a member, in which a sheet sits. */
export interface Seat {
  readonly kind: 'rabbet' | 'groove';
  /** What sits in it, in a word. */
  readonly holds: string;
  /** From the member's front edge to the near side of the seat (mm). */
  readonly fromFrontMm: number;
  /** Along the width of the member (mm). */
  readonly widthMm: number;
  /** Into the thickness of the stock (mm). */
  readonly depthMm: number;
  /** Left uncut at each end (mm), so that the seat does not show on the outside of the corner. */
  readonly stopMm: number;
  /** Thickness of the sheet that sits in it (mm). */
  readonly sheetMm: number;
  /** Its mouth is broken at 45° so far along the surface (mm); left out: sharp. */
  readonly mouthMm?: number;
}

/** How members meet at a corner. */
export type CornerJoint = 'butt' | 'rabbet' | 'pocket-screws' | 'dowels' | 'mitre' | 'mitre-spline' | 'mitre-tenon';

/**
 * A screw, dowel or tenon across a corner, by where its middle line crosses the end of the member (mm). An insert stands in the
 * end of the member between; a machine screw through the other one goes into it, without glue.
 */
export interface Fastener {
  readonly kind: 'screw' | 'pocket-screw' | 'dowel' | 'tenon' | 'insert';
  /** From the front edge. */
  readonly fromFrontMm: number;
  readonly diameterMm: number;
  readonly lengthMm: number;
  /** Bored from the outside over the head of a screw, for a plug to hide it. */
  readonly plug: Plug | null;
}

/** A plug of the same wood, glued over the head of a screw (mm). */
export interface Plug {
  readonly diameterMm: number;
  readonly depthMm: number;
}

/** One member of a frame: a board on edge round a case, or a rail round a picture. */
export interface Member {
  readonly name: string;
  /** Runs through to the outside at both ends, or stands between those that do. */
  readonly runs: 'through' | 'between';
  /** Long side, over mitres where there are any. */
  readonly lengthMm: number;
  /** Front edge to rear edge. */
  readonly widthMm: number;
  readonly thicknessMm: number;
  readonly joint: CornerJoint;
  /** How the ends are cut. */
  readonly ends: 'square' | 'mitre';
  readonly seats: readonly Seat[];
  /** Across each end on the inner side, into which a member between fits; none: 0 (mm). */
  readonly endRabbetMm: number;
  readonly fasteners: readonly Fastener[];
}
