import { rectRing, type Outline } from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { findItem, type Board, type Catalogue } from '../../document/catalogue/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { SectionShape } from '../../light/section/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { LayersAssembly } from './schema.js';

/** Strips mitred round the front of a scene. */
export interface Trim {
  readonly board: Board;
  readonly widthMm: number;
}

const tenths = (mm: number): number => Math.round(10 * mm) / 10;

/** The trim of a scene with its board; fails where it would cover what is looked at, or where it leaves the front loose. */
export const findTrim = (
  { trim, case: box }: Pick<LayersAssembly, 'trim' | 'case'>,
  returnMm: number,
  catalogue: Catalogue,
): Result<Trim | null> => {
  if (!trim) return success(null);
  const board = findItem(catalogue.boards, trim.materialId, 'trim.materialId');
  if (!board.ok) return board;
  if (trim.widthMm > returnMm)
    return failure({
      path: 'trim.widthMm',
      message: `reaches ${tenths(trim.widthMm - returnMm)} mm past the returns, over the outermost of the scene; make it ${tenths(returnMm)} mm or less, or the returns thicker`,
    });
  // A clear front in a rabbet is kept in it by what reaches over its edge.
  const least = box.retention === 'rabbet' ? returnMm - box.seatMm + 2 : 4;
  if (trim.widthMm < least)
    return failure({
      path: 'trim.widthMm',
      message: `ends short of the clear front, which it is to hold; make it ${tenths(least)} mm or more`,
    });
  return success({ board: board.value, widthMm: trim.widthMm });
};

/** The case with its trim before it, over all. */
export const withTrim = (geometry: CaseGeometry, trim: Trim | null): CaseGeometry => {
  if (trim === null) return geometry;
  const { outside } = geometry;
  return { ...geometry, outside: { ...outside, depthMm: outside.depthMm + trim.board.thicknessMm } };
};

/** A strip with both ends mitred, its long side at the bottom of the drawing. */
const mitred = (lengthMm: number, widthMm: number): Outline => [
  [
    [0, 0],
    [lengthMm, 0],
    [lengthMm - widthMm, widthMm],
    [widthMm, widthMm],
  ],
];

/** Four strips with mitred ends: two along, two upright. */
export const trimParts = ({ outside }: Pick<CaseGeometry, 'outside'>, trim: Trim | null): readonly CutPart[] => {
  if (trim === null) return [];
  const { board, widthMm } = trim;
  return (
    [
      ['trim-along', 'Trim, top and bottom', outside.widthMm],
      ['trim-upright', 'Trim, left and right', outside.heightMm],
    ] as const
  ).map(([id, name, lengthMm]): CutPart => ({
    id,
    name,
    materialId: board.id,
    materialName: board.name,
    stock: 'board',
    widthMm: lengthMm,
    heightMm: widthMm,
    thicknessMm: board.thicknessMm,
    count: 2,
    kg: ((lengthMm - widthMm) * widthMm * board.thicknessMm * board.densityKgM3) / 1e9,
    note: 'ends mitred 45°, long side given; glued to the front edges of the returns alone',
    layers: [{ operation: 'cut', shapes: [{ kind: 'outline', outline: mitred(lengthMm, widthMm) }] }],
  }));
};

/** What is seen of it in an upright slice: over the upper and the lower return. */
export const trimShapes = (
  { outside }: Pick<CaseGeometry, 'outside'>,
  frontZMm: number,
  trim: Trim | null,
): readonly SectionShape[] =>
  trim === null
    ? []
    : [-outside.heightMm / 2, outside.heightMm / 2 - trim.widthMm].map((y): SectionShape => ({
        role: 'return',
        material: trim.board.name,
        ring: rectRing({ x: frontZMm, y, width: trim.board.thicknessMm, height: trim.widthMm }),
      }));

/** Front and both edges of it, to be painted with the case (m²). */
export const trimM2 = ({ outside }: Pick<CaseGeometry, 'outside'>, trim: Trim | null): number =>
  trim === null ? 0 : (2 * (outside.widthMm + outside.heightMm) * (trim.widthMm + 2 * trim.board.thicknessMm)) / 1e6;
