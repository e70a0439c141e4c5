import type { Block } from '../radiosity/index.js';

/** A flat sheet part, in mm. */
export interface SheetSize {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly thicknessMm: number;
}

/** A rabbet or groove along a member. */
export interface Seat {
  readonly kind: 'rabbet' | 'groove';
  readonly holds: 'face' | 'back';
  /** From the member's front edge to the near side of the seat (mm). */
  readonly fromFrontMm: number;
  /** Along the depth of the case (mm). */
  readonly widthMm: number;
  /** Into the thickness of the board (mm). */
  readonly depthMm: number;
  /** Left uncut at each end (mm), so that the seat does not show on the outside of the corner. */
  readonly stopMm: number;
}

/** One piece of the frame that the returns make. */
export interface Member {
  readonly name: 'top' | 'bottom' | 'left' | 'right';
  /** Long side, over mitres where there are any. */
  readonly lengthMm: number;
  /** Front edge to rear edge. */
  readonly widthMm: number;
  readonly thicknessMm: number;
  readonly ends: 'square' | 'mitre';
  readonly seats: readonly Seat[];
}

/**
 * A case in mm. Drawings and light use x right, y up, from the middle of the face; z from the inner side of the back
 * toward the face.
 */
export interface CaseGeometry {
  readonly outside: { readonly widthMm: number; readonly heightMm: number; readonly depthMm: number };
  readonly inside: { readonly widthMm: number; readonly heightMm: number; readonly depthMm: number };
  readonly face: SheetSize;
  readonly back: SheetSize;
  readonly members: readonly Member[];
  /** Front of the face, from the inner side of the back. */
  readonly faceFrontZMm: number;
  /** From the inner side of the back to what the LEDs see first: the face, or a second sheet behind it. */
  readonly lightDepthMm: number;
  /** What stands on the back inside the case. */
  readonly block: Block | null;
}
