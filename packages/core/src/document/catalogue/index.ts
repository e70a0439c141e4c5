export { channelLights, channelsOf, type Channel, type ChannelName, type StripLight } from './channels.js';
export { emitterMmOf } from './emitter.js';
export { distinctItems, findItem } from './find.js';
export {
  cutsThrough,
  findCoats,
  findSecond,
  foundAll,
  lightProblems,
  toolIn,
  type BoxedMaterials,
  type Coats,
  type CommonMaterials,
  type FacedMaterials,
  type SecondSheet,
  type WallMaterials,
} from './materials.js';
export { catalogueKinds, readCatalogue, type ReadCatalogue, type StoredItem } from './read-catalogue.js';
export { stuffNames } from './schema.js';
export { shippedCatalogue } from './shipped.js';
export type {
  Battery,
  Board,
  Catalogue,
  CatalogueKind,
  Coating,
  Controller,
  Cover,
  Cutter,
  Engraving,
  FaceSheet,
  Film,
  Fixing,
  Glue,
  Ground,
  Joint,
  JointKind,
  Lining,
  Measured,
  Paint,
  Pane,
  Provenance,
  Rates,
  Scatter,
  Spacer,
  Strip,
  Stuff,
  Sundry,
  Supply,
  Tool,
  WallFinish,
  Wire,
} from './types.js';
export { padsOf, shareSupply, stripDifferences, type StripDifference } from './strip-change.js';
