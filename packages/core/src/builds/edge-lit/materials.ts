import {
  findItem,
  foundAll,
  type Board,
  type Catalogue,
  type CommonMaterials,
  type Engraving,
  type Pane,
  type Tool,
} from '../../document/catalogue/index.js';
import { failure, success, type Result } from '../../base/result.js';
import type { EdgeLitAssembly } from './schema.js';

/** The catalogue items that an edge-lit sheet names. */
export interface PanelMaterials extends CommonMaterials {
  readonly pane: Pane;
  /** How the tool works the face. */
  readonly engraving: Engraving;
  /** What the holder is made of: of a printed one, what its wood would be. */
  readonly board: Board;
  /** What closes it: the lid of a base, the bottom of a case; none of a frame. */
  readonly closing: Board | null;
}

/** What faces are worked with unless a design says otherwise. */
export const usualEngraver = 'engrave-beam';

/** Thinner sheets keep no edge that strip could be put to. */
const thinnestMm = 2;

const closingOf = ({ holder }: EdgeLitAssembly, catalogue: Catalogue): Result<Board | null> => {
  if (holder.kind === 'base') return findItem(catalogue.boards, holder.lidBoardId, 'holder.lidBoardId');
  return holder.kind === 'top'
    ? findItem(catalogue.boards, holder.bottomBoardId, 'holder.bottomBoardId')
    : success(null);
};

/** How a tool works faces; of one that works none, as the usual one would: a finding says so. */
const engravingOf = (tool: Tool, catalogue: Catalogue): Result<Engraving> => {
  const found = tool.engraves ?? catalogue.tools.find(({ engraves }) => engraves !== undefined)?.engraves;
  return found === undefined
    ? failure({ path: 'artwork.toolId', message: 'finds no tool on the shelf that works faces; put an engraver there' })
    : success(found);
};

/** Finds every item that an edge-lit sheet names; each unknown id becomes a problem with its field. */
export const findPanelMaterials = (assembly: EdgeLitAssembly, catalogue: Catalogue): Result<PanelMaterials> => {
  const { light, sheet, holder, artwork } = assembly;
  const found = foundAll<Omit<PanelMaterials, 'workpiece' | 'engraving'>>({
    strip: findItem(catalogue.strips, light.stripId, 'light.stripId'),
    pane: findItem(catalogue.panes, sheet.paneId, 'sheet.paneId'),
    board: findItem(catalogue.boards, holder.boardId, 'holder.boardId'),
    closing: closingOf(assembly, catalogue),
    tool: findItem(catalogue.tools, artwork.toolId ?? usualEngraver, 'artwork.toolId'),
  });
  if (!found.ok) return found;
  const { pane, tool } = found.value;
  const engraving = engravingOf(tool, catalogue);
  if (!engraving.ok) return engraving;
  if (pane.thicknessMm < thinnestMm)
    return failure({
      path: 'sheet.paneId',
      message: `names a sheet of ${pane.thicknessMm} mm; light is let in at edges of ${thinnestMm} mm and more`,
    });
  // A tool is held against how deep it goes, not against the whole sheet.
  const workpiece = {
    stuff: pane.stuff,
    thicknessMm: artwork.depthMm,
    name: `${artwork.depthMm} mm deep into ${pane.name}`,
  };
  return success({ ...found.value, engraving: engraving.value, workpiece });
};
