/** A box W × H × D (mm): x and y from its middle, z from the back (0) to the face (D). */
export interface Box {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly depthMm: number;
}

/** Something solid that stands on the back in the middle of things: x and y ranges, and how far it reaches forward (mm). */
export interface Block {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
  readonly heightMm: number;
}

/** The sides of a case, always in this order; the last is all that a block shows. */
export const sides = ['back', 'face', 'left', 'right', 'bottom', 'top', 'block'] as const;
export type Side = (typeof sides)[number];
