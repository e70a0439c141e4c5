import type { Coats, FaceSheet, BoxedMaterials } from '../../document/catalogue/index.js';
import { stackOf } from './stack.js';
import type { FaceStack, Layer } from './types.js';

const plain: Layer['tint'] = [1, 1, 1];

const coatLayers = (coats: readonly Coats[], behindMm: number): readonly Layer[] =>
  coats.flatMap(({ coating, coats: count }) =>
    Array.from({ length: count }, (): Layer => ({
      name: coating.name,
      behindMm,
      transmittance: coating.transmittance,
      reflectance: coating.reflectance,
      scatter: coating.scatter,
      tint: plain,
    })),
  );

const sheetLayer = (sheet: FaceSheet, behindMm: number): Layer => ({
  name: sheet.name,
  behindMm,
  transmittance: sheet.transmittance,
  reflectance: sheet.reflectance,
  scatter: sheet.scatter,
  tint: sheet.tintRgb ?? plain,
});

/** The face of a design as a stack: a second sheet with its coats, the coats of the face, the face. */
export const faceStack = ({
  face,
  faceCoats,
  second,
}: Pick<BoxedMaterials, 'face' | 'faceCoats' | 'second'>): FaceStack => {
  const front = [...coatLayers(faceCoats, 0), sheetLayer(face, 0)];
  if (second === null) return stackOf(front, 0);
  const intoCaseMm = second.gapMm + second.sheet.thicknessMm;
  return stackOf(
    [...coatLayers(second.coats, intoCaseMm), sheetLayer(second.sheet, second.gapMm), ...front],
    intoCaseMm,
  );
};
