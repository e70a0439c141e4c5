import { rectRing } from '../../base/outlines/index.js';
import type { CutPart } from '../parts/index.js';

/** Side of each square of the kerf coupon (mm): large enough for calipers, small enough for any offcut. */
export const kerfSquareMm = 40;
const squares = 3;
const apartMm = 12;

/**
 * Three squares to be cut out of an offcut, on the line: each piece and its hole are one reading of the kerf. The lines are
 * those of the squares alone; nothing is compensated.
 */
export const kerfCoupon = (toolName: string): CutPart => {
  const widthMm = squares * kerfSquareMm + (squares + 1) * apartMm;
  const heightMm = kerfSquareMm + 2 * apartMm;
  return {
    id: 'kerf-coupon',
    name: `Kerf coupon, ${toolName}`,
    materialId: '',
    materialName: 'an offcut of the sheet to be cut',
    stock: 'board',
    widthMm,
    heightMm,
    thicknessMm: 0,
    count: 1,
    kg: 0,
    note: `${squares} squares of ${kerfSquareMm} mm; cut on the line with the machine’s compensation off, then measure each piece and its hole across the same way`,
    layers: [
      {
        operation: 'cut',
        shapes: Array.from({ length: squares }, (_, at) => ({
          kind: 'outline' as const,
          outline: [
            rectRing({
              x: apartMm + at * (kerfSquareMm + apartMm),
              y: apartMm,
              width: kerfSquareMm,
              height: kerfSquareMm,
            }),
          ],
        })),
      },
    ],
  };
};
