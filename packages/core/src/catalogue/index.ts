export { findItem } from './find.js';
export { findMaterials, type Coats, type Materials, type SecondSheet } from './materials.js';
export { shippedCatalogue } from './shipped.js';
export type {
  Board,
  Catalogue,
  CatalogueKind,
  Coating,
  FaceSheet,
  Film,
  Lining,
  Measured,
  Provenance,
  Rates,
  Scatter,
  Strip,
  Sundry,
  Supply,
  Tool,
  Wire,
} from './types.js';
