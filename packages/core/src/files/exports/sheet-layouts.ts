import type { PDFPage } from 'pdf-lib';
import { rectRing } from '../../base/outlines/index.js';
import type { MaterialPacking, Packing, PlacedPiece } from '../../making/packing/index.js';
import type { CutPart, PartShape } from '../../making/parts/index.js';
import { newPdf, type PaperFonts, type PaperType } from '../../making/paper/index.js';
import { faint, ink, papers, pointsPerMm, type Paper } from '../../making/templates/index.js';
import type { Evaluation } from '../../sign/evaluate/index.js';

/** One sheet or bar to be cut. */
export interface SheetToCut {
  readonly material: MaterialPacking;
  /** From 0. */
  readonly sheet: number;
  readonly long: number;
  readonly short: number;
  readonly pieces: readonly PlacedPiece[];
}

/** Sheets of one order are drawn up to here; beyond it they repeat. */
const mostSheets = 60;

/** Every sheet of an order that has pieces on it. */
export const sheetsToCut = ({ sheets }: Packing): readonly SheetToCut[] =>
  sheets
    .flatMap((material) => {
      const drawn = 1 + Math.max(-1, ...material.placed.map(({ sheet }) => sheet));
      return Array.from({ length: drawn }, (_, sheet): SheetToCut => ({
        material,
        sheet,
        long: Math.max(material.sheetWidthMm, material.sheetHeightMm),
        short: Math.min(material.sheetWidthMm, material.sheetHeightMm),
        pieces: material.placed.filter((piece) => piece.sheet === sheet),
      }));
    })
    .slice(0, mostSheets);

const rectangle = (x: number, y: number, width: number, height: number): PartShape => ({
  kind: 'outline',
  outline: [rectRing({ x, y, width, height })],
});

/** A sheet as drawings are written: its own edge to be marked, its pieces to be cut, at their net sizes. */
export const sheetDrawing = ({ material, sheet, long, short, pieces }: SheetToCut): CutPart => ({
  id: `${material.materialId}-${sheet + 1}`,
  name: `${material.materialName}, ${material.form} ${sheet + 1} of ${material.sheets}`,
  materialId: material.materialId,
  materialName: material.materialName,
  stock: 'board',
  widthMm: long,
  heightMm: short,
  thicknessMm: 0,
  count: 1,
  kg: 0,
  note: pieces.map(({ label, widthMm, heightMm }) => `${label} ${round(widthMm)} × ${round(heightMm)}`).join('; '),
  layers: [
    { operation: 'mark', shapes: [rectangle(0, 0, long, short)] },
    { operation: 'cut', shapes: pieces.map((piece) => rectangle(piece.x, piece.y, piece.widthMm, piece.heightMm)) },
  ],
});

const round = (mm: number): string => `${Math.round(mm * 10) / 10}`;

/** The largest of the usual scales at which a sheet fits a page. */
const scales = [1, 2, 5, 10, 20, 50, 100] as const;
const marginMm = 14;
const headMm = 16;
const footMm = 26;

interface Page {
  readonly page: PDFPage;
  readonly type: PaperType;
  readonly heightMm: number;
}

const write = ({ page, type, heightMm }: Page, value: string, x: number, y: number, size: number): void =>
  type.draw(page, value, { x: x * pointsPerMm, y: (heightMm - y) * pointsPerMm, size, color: ink });

/** A piece with its name and size where they fit, its number where they do not. */
const drawPiece = (
  target: Page,
  { x, y, widthMm, heightMm, label }: PlacedPiece,
  number: number,
  place: { readonly left: number; readonly bottom: number; readonly scale: number },
): void => {
  const [left, bottom] = [place.left + x / place.scale, place.bottom - y / place.scale];
  const [wide, high] = [widthMm / place.scale, heightMm / place.scale];
  target.page.drawRectangle({
    x: left * pointsPerMm,
    y: (target.heightMm - bottom) * pointsPerMm,
    width: wide * pointsPerMm,
    height: high * pointsPerMm,
    borderColor: ink,
    borderWidth: 0.6,
  });
  const words = `${number}  ${label}  ${round(widthMm)} × ${round(heightMm)}`;
  const size = 7;
  const fits = (value: string): boolean => target.type.widthOf(value, size) < (wide - 2) * pointsPerMm && high > 3.2;
  if (fits(words)) write(target, words, left + 1.2, bottom - high / 2 + 1, size);
  else if (fits(`${number}`)) write(target, `${number}`, left + 1, bottom - high / 2 + 1, size);
};

/** The list under a sheet, in columns. */
const drawList = (target: Page, pieces: readonly PlacedPiece[], top: number, widthMm: number): void => {
  const rows = 6;
  const columns = Math.max(1, Math.ceil(pieces.length / rows));
  const columnMm = (widthMm - 2 * marginMm) / columns;
  pieces.forEach(({ label, widthMm: wide, heightMm: high }, at) =>
    write(
      target,
      `${at + 1}  ${label}  ${round(wide)} × ${round(high)} mm`,
      marginMm + Math.floor(at / rows) * columnMm,
      top + (at % rows) * 3.4,
      columns > 4 ? 5 : 7,
    ),
  );
};

/** Sheets and bars as PDF: a page each, at one of the usual scales, with every piece by name and size. */
export const sheetsPdf = async (
  { design, packing }: Pick<Evaluation, 'design' | 'packing'>,
  paper: Paper,
  fonts: PaperFonts,
): Promise<Uint8Array> => {
  const { widthMm, heightMm } = papers[paper];
  const { pdf, type, save } = await newPdf(`${design.name}: sheets and bars`, fonts);
  for (const sheet of sheetsToCut(packing)) {
    const { material, long, short, pieces } = sheet;
    const page = pdf.addPage([widthMm * pointsPerMm, heightMm * pointsPerMm]);
    const target = { page, type, heightMm };
    const room = [widthMm - 2 * marginMm, heightMm - marginMm - headMm - footMm] as const;
    const scale = scales.find((each) => long / each <= room[0] && short / each <= room[1]) ?? 200;
    write(target, `${design.name} - ${sheetDrawing(sheet).name}`, marginMm, 10, 11);
    const proof = material.atLeast === material.sheets ? 'no fewer will do' : `${material.atLeast} at least`;
    write(
      target,
      `${round(long)} × ${round(short)} mm, 1:${scale}. For the order ${material.sheets} (${proof}). Sizes are net; the saw runs between.`,
      marginMm,
      15,
      8,
    );
    const place = { left: marginMm, bottom: headMm + 4 + short / scale, scale };
    page.drawRectangle({
      x: place.left * pointsPerMm,
      y: (heightMm - place.bottom) * pointsPerMm,
      width: (long / scale) * pointsPerMm,
      height: (short / scale) * pointsPerMm,
      borderColor: faint,
      borderWidth: 1,
    });
    pieces.forEach((piece, at) => drawPiece(target, piece, at + 1, place));
    drawList(target, pieces, place.bottom + 6, widthMm);
  }
  return save();
};
