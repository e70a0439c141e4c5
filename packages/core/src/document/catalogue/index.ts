export { channelLights, channelsOf, type Channel, type ChannelName, type StripLight } from './channels.js';
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
  Battery,
  Board,
  Catalogue,
  CatalogueKind,
  Coating,
  Controller,
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
