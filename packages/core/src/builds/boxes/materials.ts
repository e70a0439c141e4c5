import {
  findCoats,
  findItem,
  findSecond,
  foundAll,
  lightProblems,
  toolIn,
  type BoxedMaterials,
  type Catalogue,
  type Film,
} from '../../document/catalogue/index.js';
import { failure, success, type Result } from '../../base/result.js';
import type { BoxAssembly } from './schema.js';

/** The catalogue items that a case with a lit face names. */
export interface BoxMaterials extends BoxedMaterials {
  readonly film: Film;
}

/** What film is cut with unless a design says otherwise. */
export const usualFilmTool = 'film-knife';

/** What the tool of the artwork cuts of a case with a lit face. */
const film = { stuff: 'film', thicknessMm: 0.1, name: 'film' } as const;

/** Finds every item that a case with a lit face names; each unknown id becomes a problem with its field. */
export const findBoxMaterials = (assembly: BoxAssembly, catalogue: Catalogue): Result<BoxMaterials> => {
  const { light, face, artwork } = assembly;
  const found = foundAll<Omit<BoxMaterials, 'workpiece'>>({
    strip: findItem(catalogue.strips, light.stripId, 'light.stripId'),
    face: findItem(catalogue.faces, face.sheetId, 'face.sheetId'),
    faceCoats: findCoats(face.coats, catalogue, 'face.coats'),
    second: findSecond(face.second, catalogue, 'face.second'),
    returnBoard: findItem(catalogue.boards, assembly.case.returnBoardId, 'case.returnBoardId'),
    backBoard: findItem(catalogue.boards, assembly.case.backBoardId, 'case.backBoardId'),
    lining: findItem(catalogue.linings, assembly.case.liningId, 'case.liningId'),
    film: findItem(catalogue.films, artwork.filmId, 'artwork.filmId'),
    tool: findItem(catalogue.tools, artwork.toolId ?? usualFilmTool, 'artwork.toolId'),
  });
  if (!found.ok) return found;
  const wrong = lightProblems(found.value.face, found.value.faceCoats, found.value.second, 'face');
  return wrong.length > 0
    ? failure(...wrong)
    : success({ ...found.value, tool: toolIn(found.value.tool, film), workpiece: film });
};
