import type { ClearSheet, EdgeFit, EdgeLed, SheetSide, SideFinish, WorkedFaces } from '../light/sheet/index.js';

/** Sheets for tests. */
const all = (finish: SideFinish): ClearSheet['sides'] => ({ top: finish, right: finish, bottom: finish, left: finish });

export const plainSheet: ClearSheet = {
  widthMm: 120,
  heightMm: 200,
  thicknessMm: 4,
  index: 1.49,
  lossPerMm: 0,
  silver: null,
  sides: { ...all('polished'), top: 'black', bottom: 'black' },
};

export const closeFit: EdgeFit = { emitterMm: 2, gapMm: 0, offsetMm: 0 };

/** LEDs evenly along an edge, of one lumen each. */
export const row = (side: SheetSide, lengthMm: number, count: number, widthMm = lengthMm / count): readonly EdgeLed[] =>
  Array.from({ length: count }, (_, at) => ({ side, alongMm: ((at + 0.5) * lengthMm) / count, widthMm, lumens: 1 }));

/** The back worked where asked, with one chance. */
export const workedBack = (
  { widthMm, heightMm }: Pick<ClearSheet, 'widthMm' | 'heightMm'>,
  cellMm: number,
  chance: (x: number, y: number) => number,
): WorkedFaces => {
  const [columns, rows] = [Math.ceil(widthMm / cellMm), Math.ceil(heightMm / cellMm)];
  const back = Float32Array.from({ length: columns * rows }, (_, cell) =>
    chance(((cell % columns) + 0.5) * cellMm, (Math.floor(cell / columns) + 0.5) * cellMm),
  );
  return { cellMm, columns, rows, front: null, back };
};

/** What each row of cells gave, from the lower edge. */
export const byRow = (
  cells: Float64Array,
  { columns, rows }: Pick<WorkedFaces, 'columns' | 'rows'>,
): readonly number[] =>
  Array.from({ length: rows }, (_, at) =>
    cells.subarray(at * columns, (at + 1) * columns).reduce((sum, value) => sum + value, 0),
  );
