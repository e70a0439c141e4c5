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
  /** The same of every area, the artwork first. */
  readonly areaTools: readonly AreaTool[];
  /** What the holder is made of: of a printed one, what its wood would be. */
  readonly board: Board;
  /** What closes it: the lid of a base, the bottom of a case; none of a frame. */
  readonly closing: Board | null;
}

/** The tool of an area and how it works the face. */
export interface AreaTool {
  readonly tool: Tool;
  readonly engraving: Engraving;
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
const engravingOf = (tool: Tool, catalogue: Catalogue, path: string): Result<Engraving> => {
  const found = tool.engraves ?? catalogue.tools.find(({ engraves }) => engraves !== undefined)?.engraves;
  return found === undefined
    ? failure({ path, message: 'finds no tool on the shelf that works faces; put an engraver there' })
    : success(found);
};

const areaToolOf = (toolId: string | undefined, catalogue: Catalogue, path: string): Result<AreaTool> => {
  const tool = findItem(catalogue.tools, toolId ?? usualEngraver, path);
  if (!tool.ok) return tool;
  const engraving = engravingOf(tool.value, catalogue, path);
  return engraving.ok ? success({ tool: tool.value, engraving: engraving.value }) : engraving;
};

/** Finds every item that an edge-lit sheet names; each unknown id becomes a problem with its field. */
export const findPanelMaterials = (assembly: EdgeLitAssembly, catalogue: Catalogue): Result<PanelMaterials> => {
  const { light, sheet, holder, artwork } = assembly;
  const found = foundAll<Omit<PanelMaterials, 'workpiece' | 'engraving' | 'tool' | 'areaTools'>>({
    strip: findItem(catalogue.strips, light.stripId, 'light.stripId'),
    pane: findItem(catalogue.panes, sheet.paneId, 'sheet.paneId'),
    board: findItem(catalogue.boards, holder.boardId, 'holder.boardId'),
    closing: closingOf(assembly, catalogue),
  });
  if (!found.ok) return found;
  const { pane } = found.value;
  const areaTools: AreaTool[] = [];
  for (const [place, { toolId }] of [artwork, ...(assembly.areas ?? [])].entries()) {
    const path = place === 0 ? 'artwork.toolId' : `areas.${place - 1}.toolId`;
    const own = areaToolOf(toolId, catalogue, path);
    if (!own.ok) return own;
    areaTools.push(own.value);
  }
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
  return success({ ...found.value, ...areaTools[0]!, areaTools, workpiece });
};
