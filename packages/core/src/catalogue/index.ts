export { findItem } from './find.js';
export { findMaterials, type Materials } from './materials.js';
export { shippedCatalogue } from './shipped.js';
export type {
  Board,
  Catalogue,
  CatalogueKind,
  FaceSheet,
  Film,
  Lining,
  Provenance,
  Rates,
  Scatter,
  Strip,
  Sundry,
  Supply,
  Wire,
} from './types.js';
