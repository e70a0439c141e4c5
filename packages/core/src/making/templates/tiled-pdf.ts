import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage, type RGB } from 'pdf-lib';
import type { Point } from '../../base/outlines/index.js';

export type Paper = 'a4' | 'letter';

/** Landscape paper, mm. */
export const papers: Readonly<Record<Paper, { readonly widthMm: number; readonly heightMm: number }>> = {
  a4: { widthMm: 297, heightMm: 210 },
  letter: { widthMm: 279.4, heightMm: 215.9 },
};

export const pointsPerMm = 72 / 25.4;
/** Kept clear on every side: most printers cannot reach it (mm). */
const marginMm = 12;
/** Each tile repeats this much of its neighbour, to glue by (mm). */
const overlapMm = 8;
/** Side of the square to check the scale by (mm). */
export const checkSquareMm = 50;
/** Kept between the square and what is drawn beside it (mm). */
const clearMm = 5;
/** No template is printed on more pages than this. */
const mostPages = 200;

export const ink = rgb(0.1, 0.1, 0.12);
export const faint = rgb(0.6, 0.6, 0.62);
export const signal = rgb(0.75, 0.25, 0.05);

/** Draws in mm of the sign, moved so that a tile's corner lies inside the margin. */
export interface Tile {
  readonly page: PDFPage;
  readonly font: PDFFont;
  readonly left: number;
  readonly bottom: number;
  /** How much of the sign it shows (mm). */
  readonly widthMm: number;
  readonly heightMm: number;
}

const at = (tile: Tile, x: number, y: number) => ({
  x: (x - tile.left + marginMm) * pointsPerMm,
  y: (y - tile.bottom + marginMm) * pointsPerMm,
});

export const line = (tile: Tile, x1: number, y1: number, x2: number, y2: number, color = ink, thickness = 0.5): void =>
  tile.page.drawLine({ start: at(tile, x1, y1), end: at(tile, x2, y2), thickness, color });

export const dashed = (tile: Tile, x1: number, y1: number, x2: number, y2: number, color = faint): void =>
  tile.page.drawLine({ start: at(tile, x1, y1), end: at(tile, x2, y2), thickness: 0.5, color, dashArray: [6, 4] });

/** Helvetica here has no letters beyond Latin-1; others become a question mark. */
export const printable = (value: string): string => value.replace(/[^\x20-\x7e\xa0-\xff]/g, '?');

export const text = (tile: Tile, value: string, x: number, y: number, size = 8, color = ink): void =>
  tile.page.drawText(printable(value), { ...at(tile, x, y), size, font: tile.font, color });

export const box = (tile: Tile, x: number, y: number, width: number, height: number, color = ink): void => {
  line(tile, x, y, x + width, y, color);
  line(tile, x + width, y, x + width, y + height, color);
  line(tile, x + width, y + height, x, y + height, color);
  line(tile, x, y + height, x, y, color);
};

export const circle = (tile: Tile, x: number, y: number, diameterMm: number, color = ink): void =>
  tile.page.drawCircle({
    ...at(tile, x, y),
    size: (diameterMm / 2) * pointsPerMm,
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

const drawFrame = (tile: Tile, heading: string, stepX: number, stepY: number): void => {
  for (const x of [tile.left, tile.left + stepX]) for (const y of [tile.bottom, tile.bottom + stepY]) cross(tile, x, y);
  tile.page.drawText(printable(heading), {
    x: marginMm * pointsPerMm,
    y: 4 * pointsPerMm,
    size: 8,
    font: tile.font,
    color: ink,
  });
};

const drawCheckSquare = (tile: Tile, x: number, y: number): void => {
  box(tile, x, y, checkSquareMm, checkSquareMm, signal);
  text(tile, `${checkSquareMm} mm both ways,`, x + 4, y + 26, 8, signal);
  text(tile, 'or the scale is off', x + 4, y + 20, 8, signal);
};

/** An empty document with its font. */
export const newPdf = async (title: string): Promise<{ readonly pdf: PDFDocument; readonly font: PDFFont }> => {
  const pdf = await PDFDocument.create();
  pdf.setTitle(title);
  pdf.setProducer('Vitrum');
  pdf.setCreator('Vitrum');
  return { pdf, font: await pdf.embedFont(StandardFonts.Helvetica) };
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

/**
 * A template as PDF, 1:1, over as many landscape pages as it takes: crosses to join the tiles by, and a square to check
 * the scale.
 */
export const tiledPdf = async (template: Template, paper: Paper): Promise<Uint8Array> => {
  const { widthMm, heightMm } = papers[paper];
  const stepX = widthMm - 2 * marginMm - overlapMm;
  const stepY = heightMm - 2 * marginMm - overlapMm;
  const columns = Math.max(1, Math.ceil(template.widthMm / stepX));
  const rows = Math.max(1, Math.ceil(template.heightMm / stepY));
  const { pdf: document, font } = await newPdf(template.title);
  const size: [number, number] = [widthMm * pointsPerMm, heightMm * pointsPerMm];
  if (columns * rows > mostPages) {
    const page = document.addPage(size);
    page.drawText(`The template would take ${columns * rows} pages; print the SVG drawings on a plotter instead.`, {
      x: 40,
      y: 200,
      size: 12,
      font,
      color: ink,
    });
    return document.save();
  }
  for (let row = rows - 1; row >= 0; row -= 1)
    for (let column = 0; column < columns; column += 1) {
      const tile: Tile = {
        page: document.addPage(size),
        font,
        left: column * stepX,
        bottom: row * stepY,
        widthMm: widthMm - 2 * marginMm,
        heightMm: heightMm - 2 * marginMm,
      };
      template.draw(tile);
      const number = `${rows - row}${String.fromCharCode(65 + (column % 26))}`;
      drawFrame(tile, `${template.heading}, 1:1 - tile ${number} - print at 100 %`, stepX, stepY);
      if (row === rows - 1 && column === 0) {
        // Above the sign where the sheet has room, else in its corner.
        const above = rows * stepY - template.heightMm > checkSquareMm + 2 * clearMm;
        const y = above ? template.heightMm + clearMm : template.heightMm - checkSquareMm - clearMm;
        drawCheckSquare(tile, 3 * clearMm, y);
      }
    }
  return document.save();
};
