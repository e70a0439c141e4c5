import { failure, success, type Problem, type Result } from '../../base/result.js';
import { findItem } from './find.js';
import type { Board, Catalogue, Coating, FaceSheet, Lining, Strip, Stuff, Tool, WallFinish } from './types.js';

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
  /** In a groove of its own, not on spacers. */
  readonly seated: boolean;
}

/** What the tool of the artwork has to get through. */
export interface Workpiece {
  readonly stuff: Stuff;
  readonly thicknessMm: number;
  /** As it is spoken of. */
  readonly name: string;
}

/** The catalogue items that every assembly names, found. */
export interface CommonMaterials {
  readonly strip: Strip;
  /** What the letters are cut with, and what of. */
  readonly tool: Tool;
  readonly workpiece: Workpiece;
}

/** What the tool takes of a stuff, as it was measured where it was (mm). */
export const kerfOf = ({ kerfs, cutMm }: Tool, stuff: Stuff): number => kerfs?.[stuff] ?? cutMm;

/** A tool as it cuts a workpiece: as wide as was measured in that material, else as it usually does. */
export const toolIn = (tool: Tool, { stuff }: Pick<Workpiece, 'stuff'>): Tool =>
  tool.kerfs?.[stuff] === undefined ? tool : { ...tool, cutMm: kerfOf(tool, stuff) };

/** Whether a tool gets through a workpiece. */
export const cutsThrough = ({ cuts }: Tool, { stuff, thicknessMm }: Workpiece): boolean =>
  cuts.some((each) => each.stuff === stuff && each.mostMm >= thicknessMm);

/** The catalogue items of letters that light a wall. */
export interface WallMaterials extends CommonMaterials {
  readonly board: Board;
  readonly backFinish: Lining;
  readonly wall: WallFinish;
}

/** The catalogue items of a case with a diffusing face. */
export interface FacedMaterials extends CommonMaterials {
  readonly face: FaceSheet;
  /** On the inner side of the face, from the LEDs outward. */
  readonly faceCoats: readonly Coats[];
  readonly returnBoard: Board;
  readonly backBoard: Board;
  readonly lining: Lining;
}

/** The same of a case that may have another sheet behind its face. */
export interface BoxedMaterials extends FacedMaterials {
  readonly second: SecondSheet | null;
}

/** A coating and its count, as a design names them. */
interface NamedCoats {
  readonly coatingId: string;
  readonly coats: number;
}

const all = <T>(results: readonly Result<T>[]): Result<readonly T[]> => {
  const problems = results.flatMap((result) => (result.ok ? [] : result.problems));
  return problems.length > 0
    ? failure(...problems)
    : success(results.flatMap((result) => (result.ok ? [result.value] : [])));
};

/** The coatings that a design names under `path`. */
export const findCoats = (
  coats: readonly NamedCoats[] | undefined,
  catalogue: Catalogue,
  path: string,
): Result<readonly Coats[]> =>
  all(
    (coats ?? []).map(({ coatingId, coats: count }, index): Result<Coats> => {
      const coating = findItem(catalogue.coatings, coatingId, `${path}.${index}.coatingId`);
      return coating.ok ? success({ coating: coating.value, coats: count }) : coating;
    }),
  );

/** A second sheet that a design names under `path`. */
export const findSecond = (
  second:
    | {
        readonly sheetId: string;
        readonly gapMm: number;
        readonly coats?: readonly NamedCoats[] | undefined;
        readonly seated?: boolean | undefined;
      }
    | null
    | undefined,
  catalogue: Catalogue,
  path: string,
): Result<SecondSheet | null> => {
  if (second === null || second === undefined) return success(null);
  const sheet = findItem(catalogue.faces, second.sheetId, `${path}.sheetId`);
  const coats = findCoats(second.coats, catalogue, `${path}.coats`);
  if (!sheet.ok) return sheet;
  return coats.ok
    ? success({ sheet: sheet.value, gapMm: second.gapMm, coats: coats.value, seated: second.seated === true })
    : coats;
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
          message: `${name} passes ${transmittance} and reflects ${reflectance} of the light: together that must be between 0 and 1; put its figures right on the shelf`,
        },
      ];

/** Everything in the way of light that does not add up. */
export const lightProblems = (
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

/** Items by what they are for, each found or not, as one result: all of them, or every problem there is. */
export const foundAll = <Items extends Readonly<Record<string, unknown>>>(results: {
  readonly [Name in keyof Items]: Result<Items[Name]>;
}): Result<Items> => {
  const problems = Object.values<Result<unknown>>(results).flatMap((each) => (each.ok ? [] : each.problems));
  if (problems.length > 0) return failure(...problems);
  const found = Object.entries<Result<unknown>>(results).map(([name, each]) => [name, each.ok ? each.value : null]);
  return success(Object.fromEntries(found) as Items);
};
