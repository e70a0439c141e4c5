import { fieldsIn } from '../../judging/results/index.js';
import { set } from '../../document/design/index.js';
import { fitsSheet, type Catalogue, type FaceSheet } from '../../document/catalogue/index.js';
import type { CutPart } from '../../making/parts/index.js';
import { evenlyOver, type Remedy } from '../../judging/findings/index.js';
import type { FacedAssembly, FacedResults } from './results.js';

/** Other faces, each a candidate, in the order given. */
export const changeFace = (
  results: { readonly index: number; readonly assembly: FacedAssembly },
  faces: readonly FaceSheet[],
): Remedy => ({
  id: 'change-face',
  candidates: evenlyOver(faces).map((face) => ({
    label: face.name,
    change: [set(fieldsIn(results).face.sheetId, face.id)],
  })),
});

/** A sheet that nearly all goes straight through shows strip, wires and wood behind it. */
export const isClear = ({ scatter }: FaceSheet): boolean => scatter.kind === 'lobe' && scatter.hazeShare < 0.5;

const sameLight = (a: FaceSheet, b: FaceSheet): boolean =>
  a.transmittance === b.transmittance &&
  a.reflectance === b.reflectance &&
  hiding(a) === hiding(b) &&
  String(a.tintRgb) === String(b.tintRgb);

/** Whether a sheet is large enough for a part, turned as it may be. */
export const holds = (sheet: FaceSheet, size: Size): boolean => fitsSheet(sheet, size);

type Size = Pick<CutPart, 'widthMm' | 'heightMm'>;

/**
 * Faces that may stand in for the present one: of the same colour, hiding what is behind them, large enough for every
 * part cut from it; of those that differ in their size alone, the cheapest.
 */
export const facesOnOffer = ({ materials, cut }: FacedResults, catalogue: Catalogue): readonly FaceSheet[] => {
  const parts = cut.filter(({ stock, materialId }) => stock === 'face' && materialId === materials.face.id);
  const fit = catalogue.faces.filter(
    (sheet) =>
      !isClear(sheet) &&
      (sheet.tintRgb === undefined) === (materials.face.tintRgb === undefined) &&
      parts.every((part) => holds(sheet, part)),
  );
  return fit.filter(
    (sheet) => !fit.some((other) => other !== sheet && sameLight(other, sheet) && other.price < sheet.price),
  );
};

/** How well a sheet hides what is behind it: Lambertian first, then by the width of its lobe. */
export const hiding = ({ scatter }: FaceSheet): number =>
  scatter.kind === 'lambertian' ? 90 : scatter.sigmaDeg * scatter.hazeShare;
