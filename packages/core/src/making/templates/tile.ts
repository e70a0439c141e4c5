import type { PDFPage, RGB } from 'pdf-lib';
import type { Point } from '../../base/outlines/index.js';
import type { PaperType } from '../paper/index.js';

export const pointsPerMm = 72 / 25.4;
/** Kept clear on every side: most printers cannot reach it (mm). */
export const marginMm = 12;

/** A colour as the PDF takes it, made here so that whoever only describes a drawing carries no maker of PDFs. */
const colour = (red: number, green: number, blue: number): RGB => ({ type: 'RGB' as RGB['type'], red, green, blue });

export const ink = colour(0.1, 0.1, 0.12);
export const faint = colour(0.6, 0.6, 0.62);
export const signal = colour(0.75, 0.25, 0.05);

/** Draws in mm of the sign, moved so that a tile's corner lies inside the margin. */
export interface Tile {
  readonly page: PDFPage;
  readonly type: PaperType;
  readonly left: number;
  readonly bottom: number;
  /** How much of the sign it shows (mm). */
  readonly widthMm: number;
  readonly heightMm: number;
  /** Paper over sign; 1 where it is left out: true size. */
  readonly scale?: number;
}

const at = (tile: Tile, x: number, y: number) => {
  const scale = tile.scale ?? 1;
  return {
    x: ((x - tile.left) * scale + marginMm) * pointsPerMm,
    y: ((y - tile.bottom) * scale + marginMm) * pointsPerMm,
  };
};

export const line = (tile: Tile, x1: number, y1: number, x2: number, y2: number, color = ink, thickness = 0.5): void =>
  tile.page.drawLine({ start: at(tile, x1, y1), end: at(tile, x2, y2), thickness, color });

export const dashed = (tile: Tile, x1: number, y1: number, x2: number, y2: number, color = faint): void =>
  tile.page.drawLine({ start: at(tile, x1, y1), end: at(tile, x2, y2), thickness: 0.5, color, dashArray: [6, 4] });

export const text = (tile: Tile, value: string, x: number, y: number, size = 8, color = ink): void =>
  tile.type.draw(tile.page, value, { ...at(tile, x, y), size, color });

export const box = (tile: Tile, x: number, y: number, width: number, height: number, color = ink): void => {
  line(tile, x, y, x + width, y, color);
  line(tile, x + width, y, x + width, y + height, color);
  line(tile, x + width, y + height, x, y + height, color);
  line(tile, x, y + height, x, y, color);
};

export const circle = (tile: Tile, x: number, y: number, diameterMm: number, color = ink): void =>
  tile.page.drawCircle({
    ...at(tile, x, y),
    size: (diameterMm / 2) * pointsPerMm * (tile.scale ?? 1),
    borderWidth: 0.5,
    borderColor: color,
  });

export const cross = (tile: Tile, x: number, y: number, color = faint): void => {
  line(tile, x - 4, y, x + 4, y, color);
  line(tile, x, y - 4, x, y + 4, color);
};

/** Whether any of these points lies on or near what a tile shows. */
const touches = (tile: Tile, points: readonly Point[]): boolean => {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return (
    Math.max(...xs) >= tile.left - marginMm &&
    Math.min(...xs) <= tile.left + tile.widthMm + marginMm &&
    Math.max(...ys) >= tile.bottom - marginMm &&
    Math.min(...ys) <= tile.bottom + tile.heightMm + marginMm
  );
};

/** A line through points, closed or open; left out where the tile shows none of it. */
export const polyline = (
  tile: Tile,
  points: readonly Point[],
  closed: boolean,
  color: RGB = ink,
  thickness = 0.5,
): void => {
  if (points.length < 2 || !touches(tile, points)) return;
  const path = points
    .map(([x, y]) => at(tile, x, y))
    .map(({ x, y }) => `${x.toFixed(2)} ${(-y).toFixed(2)}`)
    .join('L');
  tile.page.drawSvgPath(`M${path}${closed ? 'Z' : ''}`, { x: 0, y: 0, borderColor: color, borderWidth: thickness });
};

/** A size between two places of a level or upright line: ticks, and its number beside the middle. */
export const measured = (tile: Tile, from: Point, to: Point, label: string, color = signal): void => {
  const per = 1 / (tile.scale ?? 1);
  const level = Math.abs(to[0] - from[0]) >= Math.abs(to[1] - from[1]);
  const tick = 1.5 * per;
  line(tile, ...from, ...to, color);
  for (const [x, y] of [from, to])
    if (level) line(tile, x, y - tick, x, y + tick, color);
    else line(tile, x - tick, y, x + tick, y, color);
  const [x, y] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  text(tile, label, level ? x - 0.8 * label.length * per : x + 1.5 * per, level ? y + 1.5 * per : y, 8, color);
};

/** A drawing at true size, from (0, 0) to (widthMm, heightMm). */
export interface Template {
  readonly title: string;
  /** In the foot of every tile. */
  readonly heading: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly draw: (tile: Tile) => void;
}
