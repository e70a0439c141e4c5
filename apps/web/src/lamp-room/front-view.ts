import { placed, type Placing, type Rect } from '@vitrum/core';
import type { Size } from '../job/use-size';

/** A place on the front, mm from the middle. */
export type Place = readonly [number, number];

/** How the front of the sign lies on the screen: px = origin ± mm × scale; y up on the sign, down on the screen. */
export interface FrontView {
  readonly scale: number;
  readonly originX: number;
  readonly originY: number;
  /** Of an assembly that is turned: what is drawn by this view is turned by it about the origin (radians, anticlockwise). */
  readonly turnRad?: number;
}

/** Zoom and shift chosen by hand; zoom 1 fits the sign. */
export interface HandView {
  readonly zoom: number;
  readonly shiftX: number;
  readonly shiftY: number;
}

export const fitted: HandView = { zoom: 1, shiftX: 0, shiftY: 0 };

const roomForSizes = 58;
const topBar = 40;

/** The view that fits a part of the sign into the room. */
export const frontView = (fit: Rect, size: Size, hand: HandView): FrontView => {
  const room = {
    width: Math.max(40, size.width - 2 * roomForSizes),
    height: Math.max(40, size.height - topBar - 2 * roomForSizes + 10),
  };
  const scale = Math.min(room.width / fit.width, room.height / fit.height) * hand.zoom;
  return {
    scale,
    originX: size.width / 2 + hand.shiftX - (fit.x + fit.width / 2) * scale,
    originY: topBar + (size.height - topBar) / 2 - 4 + hand.shiftY + (fit.y + fit.height / 2) * scale,
  };
};

export const toScreen = (view: FrontView, x: number, y: number): readonly [number, number] => [
  view.originX + x * view.scale,
  view.originY - y * view.scale,
];

/** A place on the screen as one of what is shown: of an assembly that is turned, in its own axes. */
export const toSign = (view: FrontView, x: number, y: number): readonly [number, number] => {
  const [right, up] = [(x - view.originX) / view.scale, (view.originY - y) / view.scale];
  const turn = view.turnRad ?? 0;
  if (turn === 0) return [right, up];
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return [right * cos + up * sin, up * cos - right * sin];
};

/** The view of an assembly that stands in the sign, as long as what it draws is turned by `turnOf`. */
export const viewOf = (view: FrontView, placing: Placing): FrontView => {
  const [x, y] = toScreen(view, ...placed(placing, [0, 0]));
  return placing.turnRad === 0
    ? { scale: view.scale, originX: x, originY: y }
    : { scale: view.scale, originX: x, originY: y, turnRad: placing.turnRad };
};

/** By how much what a view draws is turned (degrees, anticlockwise). */
export const turnOf = ({ turnRad = 0 }: FrontView): number => (turnRad * 180) / Math.PI;

/** The same as an SVG transform. */
export const turned = (view: FrontView): string | undefined =>
  turnOf(view) === 0 ? undefined : `rotate(${-turnOf(view)} ${view.originX} ${view.originY})`;

/** A rectangle of the sign as one on the screen. */
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

/** A place on the screen (px). */
export type ScreenPlace = readonly [number, number];

/** Two fingers on the front as they were set down. */
export interface Pinch {
  readonly hand: HandView;
  readonly view: FrontView;
  /** Between them, on the screen, and how far apart they were (px). */
  readonly middle: ScreenPlace;
  readonly apartPx: number;
}

/** What two fingers make of the view: what was between them stays there, as much larger as they are farther apart. */
export const pinched = (
  { hand, view, middle, apartPx }: Pinch,
  nowMiddle: ScreenPlace,
  nowApartPx: number,
): HandView => {
  const zoomed = zoomAbout(hand, view, nowApartPx / Math.max(1, apartPx), middle[0], middle[1]);
  return {
    ...zoomed,
    shiftX: zoomed.shiftX + nowMiddle[0] - middle[0],
    shiftY: zoomed.shiftY + nowMiddle[1] - middle[1],
  };
};
