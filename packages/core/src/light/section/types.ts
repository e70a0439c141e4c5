import type { Ring } from '../../base/outlines/index.js';

/** One thing cut through: its outline in the section's own axes (x: z of the case, y up), in mm. */
export interface SectionShape {
  readonly role: 'return' | 'back' | 'face' | 'strip' | 'block' | 'wall' | 'letter' | 'post' | 'batten' | 'fixing';
  readonly material: string;
  readonly ring: Ring;
}

/** One named layer from back to front, with the figures a maker reads beside it. */
export interface SectionLayer {
  readonly name: string;
  readonly detail: string;
  /** Where a leader line points, in the section's axes. */
  readonly at: readonly [number, number];
  /** It tells how far off the wall a build holds itself: what it hangs by tells that in its place. */
  readonly toWall?: boolean;
}

/** A cut through the case, top to bottom, to scale. */
export interface Section {
  readonly shapes: readonly SectionShape[];
  readonly layers: readonly SectionLayer[];
  /** z of the rear and front of everything (mm). */
  readonly rearZMm: number;
  readonly frontZMm: number;
  readonly heightMm: number;
  /** Only this part of it is drawn: what lies beyond is all alike (y from low to high, z from rear to front). */
  readonly near?: {
    readonly lowMm: number;
    readonly highMm: number;
    readonly rearZMm: number;
    readonly frontZMm: number;
  };
  /** Where on the front it is taken (mm right of the middle). */
  readonly atXMm: number;
}
