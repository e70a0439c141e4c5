import type { Assembly } from '../design/index.js';
import { failure, success, type Result } from '../result.js';
import { findItem } from './find.js';
import type { Board, Catalogue, FaceSheet, Film, Lining, Strip } from './types.js';

/** The catalogue items that an assembly names, found. */
export interface Materials {
  readonly strip: Strip;
  readonly face: FaceSheet;
  readonly returnBoard: Board;
  readonly backBoard: Board;
  readonly lining: Lining;
  readonly film: Film;
}

/** Finds every item that `assembly` names; each unknown id becomes a problem under `path`. */
export const findMaterials = (assembly: Assembly, catalogue: Catalogue, path: string): Result<Materials> => {
  const strip = findItem(catalogue.strips, assembly.light.stripId, `${path}.light.stripId`);
  const face = findItem(catalogue.faces, assembly.face.sheetId, `${path}.face.sheetId`);
  const returnBoard = findItem(catalogue.boards, assembly.case.returnBoardId, `${path}.case.returnBoardId`);
  const backBoard = findItem(catalogue.boards, assembly.case.backBoardId, `${path}.case.backBoardId`);
  const lining = findItem(catalogue.linings, assembly.case.liningId, `${path}.case.liningId`);
  const film = findItem(catalogue.films, assembly.artwork.filmId, `${path}.artwork.filmId`);
  if (strip.ok && face.ok && returnBoard.ok && backBoard.ok && lining.ok && film.ok)
    return success({
      strip: strip.value,
      face: face.value,
      returnBoard: returnBoard.value,
      backBoard: backBoard.value,
      lining: lining.value,
      film: film.value,
    });
  const all = [strip, face, returnBoard, backBoard, lining, film];
  return failure(...all.flatMap((found) => (found.ok ? [] : found.problems)));
};
