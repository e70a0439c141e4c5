import { newPdf, type PaperFonts } from '../paper/index.js';
import { ink, marginMm, pointsPerMm, type Template, type Tile } from './tile.js';
import { papers, type Paper } from './tiled-pdf.js';

/** Scales that a rule reads, paper to sign. */
const scales = [1, 2, 5, 10, 20, 50, 100] as const;
/** Kept for the heading under the drawing (mm of paper). */
const headMm = 8;

/** The largest usual scale at which a drawing so large fits on a page (1 : so many). */
export const scaleFor = ({ widthMm, heightMm }: Pick<Template, 'widthMm' | 'heightMm'>, paper: Paper): number => {
  const room = papers[paper];
  const fits = (times: number): boolean =>
    widthMm / times <= room.widthMm - 2 * marginMm && heightMm / times <= room.heightMm - 2 * marginMm - headMm;
  return scales.find(fits) ?? scales.at(-1)!;
};

/** A drawing on one page, to read and to send: at the largest usual scale at which it fits. */
export const scaledPdf = async (drawing: Template, paper: Paper, fonts: PaperFonts): Promise<Uint8Array> => {
  const { widthMm, heightMm } = papers[paper];
  const { pdf, type, save } = await newPdf(drawing.title, fonts);
  const times = scaleFor(drawing, paper);
  const tile: Tile = {
    page: pdf.addPage([widthMm * pointsPerMm, heightMm * pointsPerMm]),
    type,
    left: 0,
    bottom: -headMm * times,
    widthMm: times * (widthMm - 2 * marginMm),
    heightMm: times * (heightMm - 2 * marginMm),
    scale: 1 / times,
  };
  drawing.draw(tile);
  type.draw(tile.page, `${drawing.heading}, 1:${times}, sizes in mm - do not measure from the paper`, {
    x: marginMm * pointsPerMm,
    y: 6 * pointsPerMm,
    size: 9,
    color: ink,
  });
  return save();
};
