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

export const fitted: HandView = { zoom: 1, shiftX: 0, shiftY: 0 };

const roomForSizes = 58;
const topBar = 40;

export const frontView = (
  outside: { readonly widthMm: number; readonly heightMm: number },
  size: Size,
  hand: HandView,
): FrontView => {
  const room = {
    width: Math.max(40, size.width - 2 * roomForSizes),
    height: Math.max(40, size.height - topBar - 2 * roomForSizes + 10),
  };
  const fit = Math.min(room.width / outside.widthMm, room.height / outside.heightMm);
  return {
    scale: fit * hand.zoom,
    originX: size.width / 2 + hand.shiftX,
    originY: topBar + (size.height - topBar) / 2 - 4 + hand.shiftY,
  };
};

export const toScreen = (view: FrontView, x: number, y: number): readonly [number, number] => [
  view.originX + x * view.scale,
  view.originY - y * view.scale,
];

export const toPiece = (view: FrontView, x: number, y: number): readonly [number, number] => [
  (x - view.originX) / view.scale,
  (view.originY - y) / view.scale,
];

/** A rectangle of the piece as one on the screen. */
export const rectOnScreen = (view: FrontView, { x, y, width, height }: Rect): Rect => {
  const [left, top] = toScreen(view, x, y + height);
  return { x: left, y: top, width: width * view.scale, height: height * view.scale };
};

const least = 0.5;
const most = 12;

/** Zooms about a place on the screen, which stays where it is. */
export const zoomAbout = (hand: HandView, view: FrontView, factor: number, x: number, y: number): HandView => {
  const zoom = Math.min(most, Math.max(least, hand.zoom * factor));
  const real = zoom / hand.zoom;
  return {
    zoom,
    shiftX: hand.shiftX + (x - view.originX) * (1 - real),
    shiftY: hand.shiftY + (y - view.originY) * (1 - real),
  };
};
