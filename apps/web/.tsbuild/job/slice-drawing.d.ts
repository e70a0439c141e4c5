import type { Evaluation, Ring } from '@vitrum/core';
import type { Size } from './use-size';
/**
 * The slice lies on its back, as on the bench: the piece's top at the left, its face upward. px = origin + mm × scale.
 */
export interface SliceDrawing {
  readonly scale: number;
  readonly left: number;
  /** Screen y of the face's front. */
  readonly faceY: number;
  readonly widthPx: number;
}
/** Fits the section under its luminance profile; `held` keeps a scale while a handle is dragged. */
export declare const sliceDrawing: ({ section }: Evaluation, size: Size, held: number | null) => SliceDrawing;
/** A point of the section (z, y) on the screen. */
export declare const onSlice: (
  drawing: SliceDrawing,
  evaluation: Evaluation,
  z: number,
  y: number,
) => readonly [number, number];
export declare const ringPath: (drawing: SliceDrawing, evaluation: Evaluation, ring: Ring) => string;
/** Luminance down the slice: screen points and the values they stand for. */
export interface Profile {
  readonly path: string;
  readonly topCdM2: number;
  readonly lowCdM2: number;
}
/** The face's luminance along the slice at `xMm`, drawn above it; the baseline is zero. */
export declare const luminanceProfile: (drawing: SliceDrawing, evaluation: Evaluation, xMm: number) => Profile;
/** Half-beam cones of the LEDs the slice meets, up to the face, clipped by the returns. */
export declare const lightCones: (drawing: SliceDrawing, evaluation: Evaluation) => readonly string[];
