import { outlineArea, type Outline } from '../../base/outlines/index.js';
import { kerfOf, type Tool } from '../../document/catalogue/index.js';
import type { CutPart, PartLayer } from '../../making/parts/index.js';
import { flatLetter, type FlatLetter } from '../letters/parts.js';
import type { SheetStock } from './sheet-stock.js';

/** What is cut from a sheet, and what is said of it. */
export interface SheetCut {
  readonly id: string;
  readonly name: string;
  readonly shape: Outline;
  readonly stock: SheetStock;
  readonly note: string;
  readonly count?: number;
  /** What is drilled or marked besides, by where places of the shape lie on its drawing. */
  readonly besides?: (place: FlatLetter['place']) => readonly PartLayer[];
}

/** A part cut to an outline from a sheet, laid flat and seen from the front, with the kerf that its stuff has. The outline must not be empty. */
export const sheetPart = (
  { id, name, shape, stock, note, count = 1, besides = () => [] }: SheetCut,
  tool: Tool,
): CutPart => {
  const { bounds, outline, place } = flatLetter(shape, false);
  return {
    id,
    name,
    materialId: stock.id,
    materialName: stock.name,
    stock: stock.kind,
    widthMm: bounds.width,
    heightMm: bounds.height,
    thicknessMm: stock.thicknessMm,
    count,
    kg: (Math.abs(outlineArea(shape)) * stock.thicknessMm * stock.densityKgM3) / 1e9,
    kerfMm: kerfOf(tool, stock.stuff),
    note,
    layers: [{ operation: 'cut', shapes: [{ kind: 'outline', outline }] }, ...besides(place)],
  };
};
