import type { Catalogue, FaceSheet } from '../../document/catalogue/index.js';
import type { FaceOption } from './types.js';

const face = (
  name: string,
  sheetId: string,
  coats: readonly string[],
  second: readonly string[] | null,
): FaceOption => ({
  name,
  change: [
    { path: 'assemblies.0.face.sheetId', value: sheetId },
    { path: 'assemblies.0.face.coats', value: coats.map((coatingId) => ({ coatingId, coats: 1 })) },
    {
      path: 'assemblies.0.face.second',
      value:
        second === null ? null : { sheetId, gapMm: 10, coats: second.map((coatingId) => ({ coatingId, coats: 1 })) },
    },
  ],
});

/** Whether a sheet is white: coloured ones are a matter of the brief, not of trying out. */
const isWhite = ({ tintRgb }: FaceSheet): boolean => tintRgb === undefined;

/** Faces worth trying: every white sheet that hides anything, sanded clear ones, and two sanded sheets. */
export const faceOptions = (catalogue: Catalogue): readonly FaceOption[] => {
  const plain = catalogue.faces.filter((sheet) => isWhite(sheet) && sheet.id !== 'clear-3');
  const [coarse] = catalogue.coatings.filter(({ kind }) => kind === 'sanding');
  const clear = catalogue.faces.find(({ id }) => id === 'clear-3');
  return [
    ...plain.map(({ id, name }) => face(name, id, [], null)),
    ...(coarse === undefined || clear === undefined
      ? []
      : [
          face(`${clear.name}, ${coarse.name.toLowerCase()}`, clear.id, [coarse.id], null),
          face(
            `Two ${clear.name.toLowerCase()} sheets, ${coarse.name.toLowerCase()}, 10 mm apart`,
            clear.id,
            [coarse.id],
            [coarse.id],
          ),
        ]),
  ];
};
