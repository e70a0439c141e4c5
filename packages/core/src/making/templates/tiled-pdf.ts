import { PDFDocument, StandardFonts, type PDFFont } from 'pdf-lib';
import { box, cross, ink, marginMm, pointsPerMm, printable, signal, text, type Template, type Tile } from './tile.js';

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

/** An empty document with its font. It carries no dates: equal designs give equal files. */
export const newPdf = async (title: string): Promise<{ readonly pdf: PDFDocument; readonly font: PDFFont }> => {
  const pdf = await PDFDocument.create({ updateMetadata: false });
  pdf.setTitle(title);
  pdf.setProducer('Vitrum');
  pdf.setCreator('Vitrum');
  return { pdf, font: await pdf.embedFont(StandardFonts.Helvetica) };
};

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
