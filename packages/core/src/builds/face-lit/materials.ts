import {
  findCoats,
  findItem,
  foundAll,
  lightProblems,
  toolIn,
  type Catalogue,
  type FacedMaterials,
} from '../../document/catalogue/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { findBacker, type BackerBoards } from '../letters/backer/backer.js';
import { usualLetterTool } from '../letters/usual-tool.js';
import type { FaceLitAssembly } from './schema.js';

/** The catalogue items that face-lit letters name. */
export interface FaceLitMaterials extends FacedMaterials {
  readonly backer: BackerBoards | null;
}

/** Finds every item that face-lit letters name; each unknown id becomes a problem with its field. */
export const findFaceLitMaterials = (
  { cans, face, light, artwork, backer }: FaceLitAssembly,
  catalogue: Catalogue,
): Result<FaceLitMaterials> => {
  const found = foundAll<Omit<FaceLitMaterials, 'workpiece'>>({
    strip: findItem(catalogue.strips, light.stripId, 'light.stripId'),
    face: findItem(catalogue.faces, face.sheetId, 'face.sheetId'),
    faceCoats: findCoats(face.coats, catalogue, 'face.coats'),
    returnBoard: findItem(catalogue.boards, cans.returnBoardId, 'cans.returnBoardId'),
    backBoard: findItem(catalogue.boards, cans.backBoardId, 'cans.backBoardId'),
    backer: findBacker(backer, catalogue),
    lining: findItem(catalogue.linings, cans.liningId, 'cans.liningId'),
    tool: findItem(catalogue.tools, artwork.toolId ?? usualLetterTool, 'artwork.toolId'),
  });
  if (!found.ok) return found;
  const wrong = lightProblems(found.value.face, found.value.faceCoats, null, 'face');
  if (wrong.length > 0) return failure(...wrong);
  const { name, thicknessMm } = found.value.face;
  const workpiece = { stuff: 'acrylic', thicknessMm, name } as const;
  return success({ ...found.value, tool: toolIn(found.value.tool, workpiece), workpiece });
};
