export { channelLights, channelsOf, type Channel, type ChannelName, type StripLight } from './channels.js';
export { distinctItems, findItem } from './find.js';
export {
  cutsThrough,
  findCoats,
  findSecond,
  foundAll,
  lightProblems,
  type BoxedMaterials,
  type Coats,
  type CommonMaterials,
  type FacedMaterials,
  type SecondSheet,
  type WallMaterials,
} from './materials.js';
export { catalogueKinds, readCatalogue, type ReadCatalogue, type StoredItem } from './read-catalogue.js';
export { shippedCatalogue } from './shipped.js';
export type {
  Battery,
  Board,
  Catalogue,
  CatalogueKind,
  Coating,
  Controller,
  Cutter,
  FaceSheet,
  Film,
  Fixing,
  Ground,
  Joint,
  JointKind,
  Lining,
  Measured,
  Provenance,
  Rates,
  Scatter,
  Strip,
  Stuff,
  Sundry,
  Supply,
  Tool,
  WallFinish,
  Wire,
} from './types.js';
