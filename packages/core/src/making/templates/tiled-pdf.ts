import { newPdf, type PaperFonts } from '../paper/index.js';
import { box, cross, ink, marginMm, pointsPerMm, signal, text, type Template, type Tile } from './tile.js';

export type Paper = 'a4' | 'letter';

/** Landscape paper, mm. */
export const papers: Readonly<Record<Paper, { readonly widthMm: number; readonly heightMm: number }>> = {
  a4: { widthMm: 297, heightMm: 210 },
  letter: { widthMm: 279.4, heightMm: 215.9 },
};

/** Each tile repeats this much of its neighbour, to glue by (mm). */
const overlapMm = 8;
/** Side of the square to check the scale by (mm). */
export const checkSquareMm = 50;
/** Kept between the square and what is drawn beside it (mm). */
const clearMm = 5;
/** No template is printed on more pages than this. */
const mostPages = 200;

const drawFrame = (tile: Tile, heading: string, stepX: number, stepY: number): void => {
  for (const x of [tile.left, tile.left + stepX]) for (const y of [tile.bottom, tile.bottom + stepY]) cross(tile, x, y);
  tile.type.draw(tile.page, heading, { x: marginMm * pointsPerMm, y: 4 * pointsPerMm, size: 8, color: ink });
};

const drawCheckSquare = (tile: Tile, x: number, y: number): void => {
  box(tile, x, y, checkSquareMm, checkSquareMm, signal);
  text(tile, `${checkSquareMm} mm both ways,`, x + 4, y + 26, 8, signal);
  text(tile, 'or the scale is off', x + 4, y + 20, 8, signal);
};

/**
 * A template as PDF, 1:1, over as many landscape pages as it takes: crosses to join the tiles by, and a square to check
 * the scale.
 */
export const tiledPdf = async (template: Template, paper: Paper, fonts: PaperFonts): Promise<Uint8Array> => {
  const { widthMm, heightMm } = papers[paper];
  const stepX = widthMm - 2 * marginMm - overlapMm;
  const stepY = heightMm - 2 * marginMm - overlapMm;
  const columns = Math.max(1, Math.ceil(template.widthMm / stepX));
  const rows = Math.max(1, Math.ceil(template.heightMm / stepY));
  const { pdf: document, type, save } = await newPdf(template.title, fonts);
  const size: [number, number] = [widthMm * pointsPerMm, heightMm * pointsPerMm];
  if (columns * rows > mostPages) {
    const page = document.addPage(size);
    const words = `The template would take ${columns * rows} pages; print the SVG drawings on a plotter instead.`;
    type.draw(page, words, { x: 40, y: 200, size: 12, color: ink });
    return save();
  }
  for (let row = rows - 1; row >= 0; row -= 1)
    for (let column = 0; column < columns; column += 1) {
      const tile: Tile = {
        page: document.addPage(size),
        type,
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
  return save();
};
