import { failure, success, type Result } from '../../base/result.js';
import type { Catalogue, Stuff } from '../../document/catalogue/index.js';

/** What a sheet is cut from, as far as light and parts go by it. */
export interface SheetStock {
  readonly id: string;
  readonly name: string;
  readonly stuff: Stuff;
  readonly kind: 'board' | 'face';
  readonly thicknessMm: number;
  readonly densityKgM3: number;
  readonly passes: number;
  /** What the bare stuff gives back: it counts where a sheet is not painted. */
  readonly reflects: number;
  readonly showsGrain: boolean;
  /** How it carries heat along itself (W/mK). */
  readonly conductsWmK: number;
}

/** Acrylic carries little heat along itself (W/mK). */
const acrylicConducts = 0.19;

/** Finds a board or an opal sheet; a bar, a clear sheet or an unknown id is a problem with its field. */
export const sheetStock = (materialId: string, catalogue: Catalogue, path: string): Result<SheetStock> => {
  const board = catalogue.boards.find((each) => each.id === materialId);
  if (board !== undefined) {
    if (board.form === 'bar')
      return failure({
        path,
        message: `is ${board.name}, a bar; this is cut from a board or an opal sheet`,
      });
    const passes = board.passesPerMm === undefined ? 0 : board.passesPerMm ** board.thicknessMm;
    return success({
      id: board.id,
      name: board.name,
      stuff: board.stuff,
      kind: 'board',
      thicknessMm: board.thicknessMm,
      densityKgM3: board.densityKgM3,
      passes,
      reflects: 0.45,
      showsGrain: board.showsGrain === true,
      conductsWmK: board.conductsWmK,
    });
  }
  const face = catalogue.faces.find((each) => each.id === materialId);
  if (face === undefined)
    return failure({
      path,
      message: `“${materialId}” is not in the catalogue; there is ${catalogue.boards
        .filter(({ uses }) => uses.includes('sheet'))
        .map((each) => each.id)
        .join(', ')} and opal sheets`,
    });
  if (face.scatter.kind === 'lobe' && face.scatter.hazeShare < 0.9)
    return failure({ path, message: `is ${face.name}, which is seen through; this is a board or opal` });
  return success({
    id: face.id,
    name: face.name,
    stuff: 'acrylic',
    kind: 'face',
    thicknessMm: face.thicknessMm,
    densityKgM3: face.densityKgM3,
    passes: face.transmittance,
    reflects: face.reflectance,
    showsGrain: false,
    conductsWmK: acrylicConducts,
  });
};

/** Less than this passes what is painted: it is lit from its front alone. */
const leastPassed = 0.05;

/** Whether a sheet lets light through and glows; else it is painted. */
export const glows = ({ passes }: Pick<SheetStock, 'passes'>): boolean => passes > leastPassed;
