import { failure, success, type Result } from '../../base/result.js';
import {
  findItem,
  foundAll,
  toolIn,
  type Board,
  type Catalogue,
  type CommonMaterials,
  type Cover,
  type Stuff,
} from '../../document/catalogue/index.js';
import type { GrooveAssembly } from './schema.js';

/** What a groove is cut into, board or clear sheet, as far as the groove goes by it. */
export interface CarrierSheet {
  readonly id: string;
  readonly name: string;
  readonly stuff: Stuff;
  readonly thicknessMm: number;
  readonly densityKgM3: number;
  readonly conductsWmK: number;
  readonly sheetWidthMm: number;
  readonly sheetHeightMm: number;
  readonly price: number;
  readonly clear: boolean;
  readonly showsGrain: boolean;
}

/** The catalogue items that strip in a groove names. */
export interface GrooveMaterials extends CommonMaterials {
  readonly sheet: CarrierSheet;
  /** The back layer, or the plate behind letters; none of one board or sheet. */
  readonly back: Board | null;
  readonly cover: Cover | null;
}

/** What grooves are cut with, and what lies behind them, unless a design says otherwise. */
export const usualBit = 'bit-3';
export const usualBack = 'ply-6';

/** Acrylic and glass carry little heat along themselves (W/mK). */
const clearConducts = { acrylic: 0.19, glass: 1 } as const;

const sheetOf = (
  boardId: string,
  kind: GrooveAssembly['carrier']['kind'],
  catalogue: Catalogue,
): Result<CarrierSheet> => {
  const path = 'carrier.boardId';
  const pane = catalogue.panes.find(({ id }) => id === boardId);
  if (pane !== undefined)
    return kind === 'clear'
      ? success({ ...pane, conductsWmK: clearConducts[pane.stuff], clear: true, showsGrain: false })
      : failure({ path, message: `is ${pane.name}; a groove seen from the front is cut into board` });
  const board = findItem(catalogue.boards, boardId, path);
  if (!board.ok) return board;
  return kind === 'clear'
    ? failure({ path, message: `is ${board.value.name}; a clear sheet lets light through, routed from behind` })
    : success({ ...board.value, clear: false, showsGrain: board.value.showsGrain === true });
};

/** Finds every item that strip in a groove names; each unknown id becomes a problem with its field. */
export const findGrooveMaterials = (assembly: GrooveAssembly, catalogue: Catalogue): Result<GrooveMaterials> => {
  const { light, carrier, groove, artwork } = assembly;
  const layered = carrier.kind === 'two-layer' || carrier.kind === 'letters';
  const found = foundAll<Omit<GrooveMaterials, 'workpiece'>>({
    strip: findItem(catalogue.strips, light.stripId, 'light.stripId'),
    tool: findItem(catalogue.tools, artwork.toolId ?? usualBit, 'artwork.toolId'),
    sheet: sheetOf(carrier.boardId, carrier.kind, catalogue),
    back: layered ? findItem(catalogue.boards, carrier.backBoardId ?? usualBack, 'carrier.backBoardId') : success(null),
    cover:
      groove.coverId === null || carrier.kind === 'clear'
        ? success(null)
        : findItem(catalogue.covers, groove.coverId, 'groove.coverId'),
  });
  if (!found.ok) return found;
  const { sheet, tool } = found.value;
  const workpiece = { stuff: sheet.stuff, thicknessMm: sheet.thicknessMm, name: sheet.name };
  return success({ ...found.value, tool: toolIn(tool, workpiece), workpiece });
};
