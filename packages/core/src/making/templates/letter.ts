import type { PDFImage, PDFPage } from 'pdf-lib';
import { newPdf, type PaperFonts, type PaperType } from '../paper/index.js';
import { faint, ink, pointsPerMm } from './tile.js';
import { papers, type Paper } from './tiled-pdf.js';

const marginMm = 18;
const lineMm = 6;

/** Words over several lines, none wider than `widthMm`. */
const wrapped = (
  value: string,
  { widthOf }: PaperType,
  size: number,
  heavy: boolean,
  widthMm: number,
): readonly string[] => {
  const lines: string[] = [];
  let line = '';
  for (const word of value.split(/\s+/)) {
    const next = line === '' ? word : `${line} ${word}`;
    if (line !== '' && widthOf(next, size, heavy) > widthMm * pointsPerMm) {
      lines.push(line);
      line = word;
    } else line = next;
  }
  return line === '' ? lines : [...lines, line];
};

/** A letter while it is written, from the top of its first sheet down. */
export interface Letter {
  /** Words over as many lines as they take; `size` in points. */
  readonly write: (value: string, size?: number, heavy?: boolean) => void;
  /** A label on the left, a value on the right. */
  readonly row: (label: string, value: string, heavy?: boolean) => void;
  readonly rule: () => void;
  readonly gap: (mm: number) => void;
  /** Goes on overleaf where less than so much is left, so that a title stands with what follows it. */
  readonly keep: (mm: number) => void;
  /** PNG pictures side by side, no higher than `mostMm`. */
  readonly pictures: (pngs: readonly Uint8Array[], mostMm: number) => Promise<void>;
  readonly save: () => Promise<Uint8Array>;
}

/** An upright sheet of paper to write on; what runs off it goes on overleaf. */
export const newLetter = async (title: string, paper: Paper, fonts: PaperFonts): Promise<Letter> => {
  const { pdf, type, save } = await newPdf(title, fonts);
  // Papers lie; a letter stands.
  const [widthMm, heightMm] = [papers[paper].heightMm, papers[paper].widthMm];
  const newPage = (): PDFPage => pdf.addPage([widthMm * pointsPerMm, heightMm * pointsPerMm]);
  let page = newPage();
  let y = marginMm + 4;
  const room = (): void => {
    if (y <= heightMm - marginMm) return;
    page = newPage();
    y = marginMm;
  };
  const text = (value: string, xPoints: number, size: number, heavy: boolean): void =>
    type.draw(page, value, { x: xPoints, y: (heightMm - y) * pointsPerMm, size, color: ink, heavy });
  const left = marginMm * pointsPerMm;
  const right = (widthMm - marginMm) * pointsPerMm;
  const place = (image: PDFImage, xMm: number, wideMm: number, highMm: number): number => {
    const scale = Math.min((wideMm * pointsPerMm) / image.width, (highMm * pointsPerMm) / image.height);
    page.drawImage(image, {
      x: xMm * pointsPerMm,
      y: (heightMm - y) * pointsPerMm - image.height * scale,
      width: image.width * scale,
      height: image.height * scale,
    });
    return (image.height * scale) / pointsPerMm;
  };
  return {
    write: (value, size = 10, heavy = false) => {
      for (const line of wrapped(value, type, size, heavy, widthMm - 2 * marginMm)) {
        room();
        text(line, left, size, heavy);
        y += (size / 10) * lineMm;
      }
    },
    row: (label, value, heavy = false) => {
      room();
      text(label, left, 10, heavy);
      text(value, right - type.widthOf(value, 10, heavy), 10, heavy);
      y += lineMm;
    },
    rule: () => {
      page.drawLine({
        start: { x: left, y: (heightMm - y + 4) * pointsPerMm },
        end: { x: right, y: (heightMm - y + 4) * pointsPerMm },
        thickness: 0.5,
        color: faint,
      });
      y += 2;
    },
    keep: (mm) => {
      if (y + mm <= heightMm - marginMm) return;
      page = newPage();
      y = marginMm;
    },
    gap: (mm) => {
      y += mm;
    },
    pictures: async (pngs, mostMm) => {
      if (y + mostMm > heightMm - marginMm) {
        page = newPage();
        y = marginMm;
      }
      const between = 6;
      const wide = (widthMm - 2 * marginMm - between * (pngs.length - 1)) / pngs.length;
      const images = await Promise.all(pngs.map((png) => pdf.embedPng(png)));
      const tallest = Math.max(
        ...images.map((image, at) => place(image, marginMm + at * (wide + between), wide, mostMm)),
      );
      y += tallest + lineMm;
    },
    save,
  };
};
