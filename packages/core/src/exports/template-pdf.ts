import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';
import type { Evaluation } from '../evaluate/index.js';
import type { CutPart } from '../parts/index.js';

export type Paper = 'a4' | 'letter';

/** Landscape paper, mm. */
const papers: Readonly<Record<Paper, { readonly widthMm: number; readonly heightMm: number }>> = {
  a4: { widthMm: 297, heightMm: 210 },
  letter: { widthMm: 279.4, heightMm: 215.9 },
};

const pointsPerMm = 72 / 25.4;
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

const ink = rgb(0.1, 0.1, 0.12);
const faint = rgb(0.6, 0.6, 0.62);
const signal = rgb(0.75, 0.25, 0.05);

/** Draws in mm of the piece, moved so that a tile's corner lies inside the margin. */
interface Tile {
  readonly page: PDFPage;
  readonly font: PDFFont;
  readonly left: number;
  readonly bottom: number;
}

const at = (tile: Tile, x: number, y: number) => ({
  x: (x - tile.left + marginMm) * pointsPerMm,
  y: (y - tile.bottom + marginMm) * pointsPerMm,
});

const line = (tile: Tile, x1: number, y1: number, x2: number, y2: number, color = ink, thickness = 0.5): void =>
  tile.page.drawLine({ start: at(tile, x1, y1), end: at(tile, x2, y2), thickness, color });

const text = (tile: Tile, value: string, x: number, y: number, size = 8, color = ink): void =>
  tile.page.drawText(value, { ...at(tile, x, y), size, font: tile.font, color });

const box = (tile: Tile, x: number, y: number, width: number, height: number, color = ink): void => {
  line(tile, x, y, x + width, y, color);
  line(tile, x + width, y, x + width, y + height, color);
  line(tile, x + width, y + height, x, y + height, color);
  line(tile, x, y + height, x, y, color);
};

const cross = (tile: Tile, x: number, y: number): void => {
  line(tile, x - 4, y, x + 4, y, faint);
  line(tile, x, y - 4, x, y + 4, faint);
};

const arrow = (tile: Tile, x: number, y: number, way: number): void => {
  line(tile, x, y, x - 5 * way, y + 2, signal, 0.8);
  line(tile, x, y, x - 5 * way, y - 2, signal, 0.8);
};

/** Strip outlines, cut marks, numbers and arrows, in the back's own coordinates. */
const drawStrip = (tile: Tile, { runs, materials }: Evaluation, back: CutPart): void => {
  const { strip } = materials;
  for (const { from, to, number, lengthMm, on } of runs.segments) {
    if (on !== 'back') continue;
    const way = Math.sign(to[0] - from[0]);
    const left = Math.min(from[0], to[0]) + back.widthMm / 2;
    const y = from[1] + back.heightMm / 2;
    box(tile, left, y - strip.widthMm / 2, lengthMm, strip.widthMm);
    for (let cut = strip.cutPitchMm; cut < lengthMm - 0.5; cut += strip.cutPitchMm)
      line(tile, left + cut, y - strip.widthMm / 2, left + cut, y + strip.widthMm / 2, faint, 0.3);
    text(tile, `${number}`, left + lengthMm / 2, y + strip.widthMm / 2 + 2, 11, signal);
    for (let mark = 60; mark < lengthMm; mark += 150) arrow(tile, left + (way > 0 ? mark : lengthMm - mark), y, way);
    const entry = from[0] + back.widthMm / 2;
    text(tile, 'in + -', entry + (way > 0 ? 2 : -16), y - strip.widthMm / 2 - 5, 7);
  }
};

const drawHoles = (tile: Tile, back: CutPart): void => {
  for (const { operation, shapes } of back.layers)
    if (operation === 'drill')
      for (const shape of shapes)
        if (shape.kind === 'hole') {
          tile.page.drawCircle({
            ...at(tile, shape.x, shape.y),
            size: (shape.diameterMm / 2) * pointsPerMm,
            borderWidth: 0.5,
            borderColor: ink,
          });
          cross(tile, shape.x, shape.y);
        }
};

/** Helvetica here has no letters beyond Latin-1; others become a question mark. */
const printable = (value: string): string => value.replace(/[^\x20-\x7e\xa0-\xff]/g, '?');

const drawFrame = (tile: Tile, evaluation: Evaluation, label: string, stepX: number, stepY: number): void => {
  for (const x of [tile.left, tile.left + stepX]) for (const y of [tile.bottom, tile.bottom + stepY]) cross(tile, x, y);
  tile.page.drawText(printable(`${evaluation.design.name} - strip template, 1:1 - tile ${label} - print at 100 %`), {
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

/**
 * The strip-placement template as PDF, 1:1, over as many landscape pages as it takes: the back with its rows, cut marks,
 * numbers, arrows and holes, crosses to join the tiles by, and a square to check the scale. Strip on the returns is not
 * drawn on the back; the strip plan lists it.
 */
export const templatePdf = async (evaluation: Evaluation, paper: Paper): Promise<Uint8Array> => {
  const back = evaluation.parts.cut.find(({ id }) => id === 'back');
  if (back === undefined) throw new Error('a build without a back has no strip template');
  const { widthMm, heightMm } = papers[paper];
  const stepX = widthMm - 2 * marginMm - overlapMm;
  const stepY = heightMm - 2 * marginMm - overlapMm;
  const [columns, rows] = [Math.ceil(back.widthMm / stepX), Math.ceil(back.heightMm / stepY)];
  const document = await PDFDocument.create();
  document.setTitle(`${evaluation.design.name}: strip template`);
  document.setProducer('Vitrum');
  document.setCreator('Vitrum');
  const font = await document.embedFont(StandardFonts.Helvetica);
  const size: [number, number] = [widthMm * pointsPerMm, heightMm * pointsPerMm];
  if (columns * rows > mostPages) {
    const page = document.addPage(size);
    page.drawText(`The template would take ${columns * rows} pages; print the back's SVG on a plotter instead.`, {
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
      const tile: Tile = { page: document.addPage(size), font, left: column * stepX, bottom: row * stepY };
      box(tile, 0, 0, back.widthMm, back.heightMm);
      drawStrip(tile, evaluation, back);
      drawHoles(tile, back);
      drawFrame(tile, evaluation, `${rows - row}${String.fromCharCode(65 + (column % 26))}`, stepX, stepY);
      if (row === rows - 1 && column === 0) {
        // Above the piece where the sheet has room, else in its corner.
        const above = rows * stepY - back.heightMm > checkSquareMm + 2 * clearMm;
        drawCheckSquare(tile, 3 * clearMm, above ? back.heightMm + clearMm : back.heightMm - checkSquareMm - clearMm);
      }
    }
  return document.save();
};
