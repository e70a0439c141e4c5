import { rectRing } from '../../base/outlines/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { BoxMaterials } from './materials.js';

/** Taken off both edges of a board, so that it is straight to be glued (mm). */
const jointedMm = 2;
/** Left on every side of a panel, for the saw (mm). */
const trimMm = 5;
/** A clamp every so often along it, and at both ends (mm); typical. */
const clampEveryMm = 200;

/** A back that is glued up from boards side by side, before it is cut to size. */
export interface GluedBack {
  readonly boards: number;
  /** Of each, as it is glued (mm). */
  readonly lengthMm: number;
  readonly boardMm: number;
  /** Of all joints between them (mm). */
  readonly jointsMm: number;
  readonly clamps: number;
}

interface Facts {
  readonly geometry: Pick<CaseGeometry, 'back'>;
  readonly materials: Pick<BoxMaterials, 'backBoard'>;
}

/** How a back is glued up, where its stuff comes in boards narrower than it; null where it is cut from a sheet. */
export const gluedBackOf = ({ geometry: { back }, materials: { backBoard } }: Facts): GluedBack | null => {
  if (backBoard.form !== 'bar') return null;
  // Boards lie along the longer side: fewer joints, and stiff that way.
  const [along, across] = [Math.max(back.widthMm, back.heightMm), Math.min(back.widthMm, back.heightMm)];
  const boardMm = backBoard.sheetHeightMm - jointedMm;
  const boards = Math.ceil((across + 2 * trimMm) / boardMm);
  const lengthMm = along + 2 * trimMm;
  return {
    boards,
    lengthMm,
    boardMm,
    jointsMm: (boards - 1) * lengthMm,
    clamps: Math.ceil(lengthMm / clampEveryMm) + 1,
  };
};

/** The boards that a back is glued up from. */
export const backBoards = (facts: Facts): readonly CutPart[] => {
  const glued = gluedBackOf(facts);
  if (glued === null) return [];
  const { backBoard } = facts.materials;
  const { lengthMm, boardMm, boards } = glued;
  return [
    {
      id: 'back-boards',
      name: 'Boards of the back',
      materialId: backBoard.id,
      materialName: backBoard.name,
      stock: 'board',
      widthMm: lengthMm,
      heightMm: boardMm,
      thicknessMm: backBoard.thicknessMm,
      count: boards,
      kg: (lengthMm * boardMm * backBoard.thicknessMm * backBoard.densityKgM3) / 1e9,
      note: `edges planed straight, glued side by side; ${trimMm} mm left on every side for the saw`,
      // They are in the back, which hangs.
      hangs: false,
      layers: [
        {
          operation: 'cut',
          shapes: [{ kind: 'outline', outline: [rectRing({ x: 0, y: 0, width: lengthMm, height: boardMm })] }],
        },
      ],
    },
  ];
};
