import type { FaceDesign, FaceLitAssembly, HaloAssembly, LightboxAssembly } from '../design/index.js';
import { failure, success, type Problem, type Result } from '../../base/result.js';
import { findItem } from './find.js';
import type { Board, Catalogue, Coating, FaceSheet, Film, Lining, Strip, Tool, WallFinish } from './types.js';

/** A coating and how many times it is laid on. */
export interface Coats {
  readonly coating: Coating;
  readonly coats: number;
}

/** Another sheet behind the face. */
export interface SecondSheet {
  readonly sheet: FaceSheet;
  readonly gapMm: number;
  readonly coats: readonly Coats[];
}

/** The catalogue items that every assembly names, found. */
export interface CommonMaterials {
  readonly strip: Strip;
  /** What the letters are cut with. */
  readonly tool: Tool;
}

/** The catalogue items that halo letters name. */
export interface HaloMaterials extends CommonMaterials {
  readonly board: Board;
  readonly backFinish: Lining;
  readonly wall: WallFinish;
}

/** The catalogue items that face-lit letters name. */
export interface FaceLitMaterials extends CommonMaterials {
  readonly face: FaceSheet;
  readonly faceCoats: readonly Coats[];
  readonly returnBoard: Board;
  readonly backBoard: Board;
  readonly lining: Lining;
}

/** The catalogue items that a light box names. */
export interface Materials extends CommonMaterials {
  readonly face: FaceSheet;
  /** On the inner side of the face, from the LEDs outward. */
  readonly faceCoats: readonly Coats[];
  readonly second: SecondSheet | null;
  readonly returnBoard: Board;
  readonly backBoard: Board;
  readonly lining: Lining;
  readonly film: Film;
}

/** What letters are cut with unless a design says otherwise: of film, and of board. */
const usualTool = 'film-knife';
const usualLetterTool = 'bit-3';

const all = <T>(results: readonly Result<T>[]): Result<readonly T[]> => {
  const problems = results.flatMap((result) => (result.ok ? [] : result.problems));
  return problems.length > 0
    ? failure(...problems)
    : success(results.flatMap((result) => (result.ok ? [result.value] : [])));
};

const findCoats = (coats: FaceDesign['coats'], catalogue: Catalogue, path: string): Result<readonly Coats[]> =>
  all(
    (coats ?? []).map(({ coatingId, coats: count }, index): Result<Coats> => {
      const coating = findItem(catalogue.coatings, coatingId, `${path}.${index}.coatingId`);
      return coating.ok ? success({ coating: coating.value, coats: count }) : coating;
    }),
  );

const findSecond = (second: FaceDesign['second'], catalogue: Catalogue, path: string): Result<SecondSheet | null> => {
  if (second === null || second === undefined) return success(null);
  const sheet = findItem(catalogue.faces, second.sheetId, `${path}.sheetId`);
  const coats = findCoats(second.coats, catalogue, `${path}.coats`);
  if (!sheet.ok) return sheet;
  return coats.ok ? success({ sheet: sheet.value, gapMm: second.gapMm, coats: coats.value }) : coats;
};

/** A sheet or coating that gives more light than it gets would make energy from nothing. */
const makesLight = <T extends { readonly name: string; readonly transmittance: number; readonly reflectance: number }>(
  { name, transmittance, reflectance }: T,
  path: string,
): readonly Problem[] =>
  transmittance >= 0 && reflectance >= 0 && transmittance + reflectance <= 1
    ? []
    : [
        {
          path,
          message: `${name} passes ${transmittance} and gives back ${reflectance} of the light: together that must be between 0 and 1; put its figures right on the shelf`,
        },
      ];

/** Everything in the way of light that does not add up. */
const lightProblems = (
  face: FaceSheet,
  faceCoats: readonly Coats[],
  second: SecondSheet | null,
  path: string,
): readonly Problem[] => [
  ...makesLight(face, `${path}.sheetId`),
  ...faceCoats.flatMap(({ coating }, index) => makesLight(coating, `${path}.coats.${index}.coatingId`)),
  ...(second === null
    ? []
    : [
        ...makesLight(second.sheet, `${path}.second.sheetId`),
        ...second.coats.flatMap(({ coating }, index) => makesLight(coating, `${path}.second.coats.${index}.coatingId`)),
      ]),
];

/** Finds every item that `assembly` names; each unknown id becomes a problem under `path`. */
export const findMaterials = (assembly: LightboxAssembly, catalogue: Catalogue, path: string): Result<Materials> => {
  const strip = findItem(catalogue.strips, assembly.light.stripId, `${path}.light.stripId`);
  const face = findItem(catalogue.faces, assembly.face.sheetId, `${path}.face.sheetId`);
  const faceCoats = findCoats(assembly.face.coats, catalogue, `${path}.face.coats`);
  const second = findSecond(assembly.face.second, catalogue, `${path}.face.second`);
  const returnBoard = findItem(catalogue.boards, assembly.case.returnBoardId, `${path}.case.returnBoardId`);
  const backBoard = findItem(catalogue.boards, assembly.case.backBoardId, `${path}.case.backBoardId`);
  const lining = findItem(catalogue.linings, assembly.case.liningId, `${path}.case.liningId`);
  const film = findItem(catalogue.films, assembly.artwork.filmId, `${path}.artwork.filmId`);
  const tool = findItem(catalogue.tools, assembly.artwork.toolId ?? usualTool, `${path}.artwork.toolId`);
  if (
    tool.ok &&
    strip.ok &&
    face.ok &&
    faceCoats.ok &&
    second.ok &&
    returnBoard.ok &&
    backBoard.ok &&
    lining.ok &&
    film.ok
  ) {
    const wrong = lightProblems(face.value, faceCoats.value, second.value, `${path}.face`);
    if (wrong.length > 0) return failure(...wrong);
    return success({
      strip: strip.value,
      face: face.value,
      faceCoats: faceCoats.value,
      second: second.value,
      returnBoard: returnBoard.value,
      backBoard: backBoard.value,
      lining: lining.value,
      film: film.value,
      tool: tool.value,
    });
  }
  const found = [strip, face, faceCoats, second, returnBoard, backBoard, lining, film, tool];
  return failure(...found.flatMap((result) => (result.ok ? [] : result.problems)));
};

/** The same for halo letters. */
export const findHaloMaterials = (
  assembly: HaloAssembly,
  catalogue: Catalogue,
  path: string,
): Result<HaloMaterials> => {
  const { letters } = assembly;
  const strip = findItem(catalogue.strips, assembly.light.stripId, `${path}.light.stripId`);
  const board = findItem(catalogue.boards, letters.boardId, `${path}.letters.boardId`);
  const backFinish = findItem(catalogue.linings, letters.backFinishId, `${path}.letters.backFinishId`);
  const wall = findItem(catalogue.walls, letters.wallId, `${path}.letters.wallId`);
  const tool = findItem(catalogue.tools, assembly.artwork.toolId ?? usualLetterTool, `${path}.artwork.toolId`);
  if (strip.ok && board.ok && backFinish.ok && wall.ok && tool.ok)
    return success({
      strip: strip.value,
      board: board.value,
      backFinish: backFinish.value,
      wall: wall.value,
      tool: tool.value,
    });
  const found = [strip, board, backFinish, wall, tool];
  return failure(...found.flatMap((result) => (result.ok ? [] : result.problems)));
};

/** The same for face-lit letters. */
export const findFaceLitMaterials = (
  { cans, face: faceDesign, light, artwork }: FaceLitAssembly,
  catalogue: Catalogue,
  path: string,
): Result<FaceLitMaterials> => {
  const strip = findItem(catalogue.strips, light.stripId, `${path}.light.stripId`);
  const face = findItem(catalogue.faces, faceDesign.sheetId, `${path}.face.sheetId`);
  const faceCoats = findCoats(faceDesign.coats, catalogue, `${path}.face.coats`);
  const returnBoard = findItem(catalogue.boards, cans.returnBoardId, `${path}.cans.returnBoardId`);
  const backBoard = findItem(catalogue.boards, cans.backBoardId, `${path}.cans.backBoardId`);
  const lining = findItem(catalogue.linings, cans.liningId, `${path}.cans.liningId`);
  const tool = findItem(catalogue.tools, artwork.toolId ?? usualLetterTool, `${path}.artwork.toolId`);
  if (strip.ok && face.ok && faceCoats.ok && returnBoard.ok && backBoard.ok && lining.ok && tool.ok) {
    const wrong = lightProblems(face.value, faceCoats.value, null, `${path}.face`);
    if (wrong.length > 0) return failure(...wrong);
    return success({
      strip: strip.value,
      face: face.value,
      faceCoats: faceCoats.value,
      returnBoard: returnBoard.value,
      backBoard: backBoard.value,
      lining: lining.value,
      tool: tool.value,
    });
  }
  const found = [strip, face, faceCoats, returnBoard, backBoard, lining, tool];
  return failure(...found.flatMap((result) => (result.ok ? [] : result.problems)));
};
