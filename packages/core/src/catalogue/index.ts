export { findItem } from './find.js';
export {
  findFaceLitMaterials,
  findHaloMaterials,
  findMaterials,
  type Coats,
  type CommonMaterials,
  type FaceLitMaterials,
  type HaloMaterials,
  type Materials,
  type SecondSheet,
} from './materials.js';
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
  WallFinish,
  Wire,
} from './types.js';
