import type { FaceDesign, BoxAssembly } from './schema.js';
import { fieldsOf, set, type Fields } from '../../document/design/index.js';
import type { Catalogue, FaceSheet } from '../../document/catalogue/index.js';
import type { FaceChange } from '../common/tryout.js';

const face = (
  field: Fields<FaceDesign>,
  name: string,
  sheetId: string,
  coats: readonly string[],
  second: readonly string[] | null,
): FaceChange => ({
  name,
  change: [
    set(field.sheetId, sheetId),
    set(
      field.coats,
      coats.map((coatingId) => ({ coatingId, coats: 1 })),
    ),
    set(
      field.second,
      second === null ? null : { sheetId, gapMm: 10, coats: second.map((coatingId) => ({ coatingId, coats: 1 })) },
    ),
  ],
});

/** Whether a sheet is white: coloured ones are a matter of the brief, not of trying out. */
const isWhite = ({ tintRgb }: FaceSheet): boolean => tintRgb === undefined;

/** Faces worth trying: every white sheet that hides anything, sanded clear ones, and two sanded sheets. */
export const faceOptions = (index: number, catalogue: Catalogue): readonly FaceChange[] => {
  const field = fieldsOf<BoxAssembly>(`assemblies.${index}`).face;
  const plain = catalogue.faces.filter((sheet) => isWhite(sheet) && sheet.id !== 'clear-3');
  const [coarse] = catalogue.coatings.filter(({ kind }) => kind === 'sanding');
  const clear = catalogue.faces.find(({ id }) => id === 'clear-3');
  return [
    ...plain.map(({ id, name }) => face(field, name, id, [], null)),
    ...(coarse === undefined || clear === undefined
      ? []
      : [
          face(field, `${clear.name}, ${coarse.name.toLowerCase()}`, clear.id, [coarse.id], null),
          face(
            field,
            `Two ${clear.name.toLowerCase()} sheets, ${coarse.name.toLowerCase()}, 10 mm apart`,
            clear.id,
            [coarse.id],
            [coarse.id],
          ),
        ]),
  ];
};
