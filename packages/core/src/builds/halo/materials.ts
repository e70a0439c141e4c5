import { findItem, foundAll, toolIn, type Catalogue, type WallMaterials } from '../../document/catalogue/index.js';
import { success, type Result } from '../../base/result.js';
import { findBacker, type BackerBoards } from '../letters/backer/backer.js';
import { usualLetterTool } from '../letters/usual-tool.js';
import type { HaloAssembly } from './schema.js';

/** The catalogue items that halo letters name. */
export interface HaloMaterials extends WallMaterials {
  readonly backer: BackerBoards | null;
}

/** Finds every item that halo letters name; each unknown id becomes a problem with its field. */
export const findHaloMaterials = (
  { letters, light, artwork, backer }: HaloAssembly,
  catalogue: Catalogue,
): Result<HaloMaterials> => {
  const found = foundAll<Omit<HaloMaterials, 'workpiece'>>({
    strip: findItem(catalogue.strips, light.stripId, 'light.stripId'),
    board: findItem(catalogue.boards, letters.boardId, 'letters.boardId'),
    backFinish: findItem(catalogue.linings, letters.backFinishId, 'letters.backFinishId'),
    backer: findBacker(backer, catalogue),
    wall: findItem(catalogue.walls, letters.wallId, 'letters.wallId'),
    tool: findItem(catalogue.tools, artwork.toolId ?? usualLetterTool, 'artwork.toolId'),
  });
  if (!found.ok) return found;
  const { stuff, thicknessMm, name } = found.value.board;
  const workpiece = { stuff, thicknessMm, name };
  return success({ ...found.value, tool: toolIn(found.value.tool, workpiece), workpiece });
};
