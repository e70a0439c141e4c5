import { failure, success, type Result } from '../../base/result.js';
import {
  findItem,
  foundAll,
  toolIn,
  type Board,
  type Catalogue,
  type CommonMaterials,
  type Cover,
  type Strip,
  type Stuff,
} from '../../document/catalogue/index.js';
import type { OwnStrip } from '../../light/runs/index.js';
import type { LitLine } from './lines.js';
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
  /** Layers of the lines that have strip of their own. */
  readonly layers: readonly LayerStrip[];
}

/** The strip of a layer, and what it is set to. */
export interface LayerStrip extends OwnStrip {
  readonly layer: string;
}

/** What a line has of its own; null where it has the strip of the assembly, set as the brief says. */
export const ownStripOf = (
  { layers }: Pick<GrooveMaterials, 'layers'>,
  { layer }: Pick<LitLine, 'layer'>,
): OwnStrip | null => layers.find((each) => each.layer === layer) ?? null;

/** Every kind of strip that lines may have, the assembly’s own first. */
export const allStrips = ({ strip, layers }: Pick<GrooveMaterials, 'strip' | 'layers'>): readonly Strip[] => [
  strip,
  ...layers.map((each) => each.strip),
];

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
  const layers = (light.layers ?? []).map(({ layer, stripId, colour }, index): Result<LayerStrip> => {
    const own = findItem(catalogue.strips, stripId, `light.layers.${index}.stripId`);
    return own.ok
      ? success({ layer, strip: own.value, light: colour === undefined ? null : { kind: 'rgb', colour } })
      : own;
  });
  const wrong = layers.find((each) => !each.ok);
  if (wrong !== undefined) return wrong;
  const layered = carrier.kind === 'two-layer' || carrier.kind === 'letters';
  const found = foundAll<Omit<GrooveMaterials, 'workpiece' | 'layers'>>({
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
  return success({
    ...found.value,
    tool: toolIn(tool, workpiece),
    workpiece,
    layers: layers.flatMap((each) => (each.ok ? [each.value] : [])),
  });
};
