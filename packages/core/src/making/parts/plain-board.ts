import type { Board } from '../../document/catalogue/index.js';
import { rectRing } from '../../base/outlines/index.js';
import type { CutPart } from './types.js';

/** A rectangle of board, cut and nothing more. */
export const plainBoard = (
  board: Board,
  id: string,
  name: string,
  widthMm: number,
  heightMm: number,
  note: string,
): CutPart => ({
  id,
  name,
  materialId: board.id,
  materialName: board.name,
  stock: 'board',
  widthMm,
  heightMm,
  thicknessMm: board.thicknessMm,
  count: 1,
  kg: (widthMm * heightMm * board.thicknessMm * board.densityKgM3) / 1e9,
  note,
  layers: [
    {
      operation: 'cut',
      shapes: [{ kind: 'outline', outline: [rectRing({ x: 0, y: 0, width: widthMm, height: heightMm })] }],
    },
  ],
});
