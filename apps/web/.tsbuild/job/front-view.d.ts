import type { Rect } from '@vitrum/core';
import type { Size } from './use-size';
/** How the front of the piece lies on the screen: px = origin ± mm × scale; y up on the piece, down on the screen. */
export interface FrontView {
  readonly scale: number;
  readonly originX: number;
  readonly originY: number;
}
/** Zoom and shift chosen by hand; zoom 1 fits the piece. */
export interface HandView {
  readonly zoom: number;
  readonly shiftX: number;
  readonly shiftY: number;
}
export declare const fitted: HandView;
export declare const frontView: (
  outside: {
    readonly widthMm: number;
    readonly heightMm: number;
  },
  size: Size,
  hand: HandView,
) => FrontView;
export declare const toScreen: (view: FrontView, x: number, y: number) => readonly [number, number];
export declare const toPiece: (view: FrontView, x: number, y: number) => readonly [number, number];
/** A rectangle of the piece as one on the screen. */
export declare const rectOnScreen: (view: FrontView, { x, y, width, height }: Rect) => Rect;
/** Zooms about a place on the screen, which stays where it is. */
export declare const zoomAbout: (hand: HandView, view: FrontView, factor: number, x: number, y: number) => HandView;
