export { channelLights, channelsOf, type Channel, type ChannelName, type StripLight } from './channels.js';
export { emitterMmOf } from './emitter.js';
export { findOldItem, isCurrent, itemsIn, newestOf, oldItemsOf, shelfFor } from './current.js';
export { distinctItems, findItem } from './find.js';
export { kindWords, wordsOf, type FieldForm, type ItemField, type KindWords } from './item-fields.js';
export {
  cutsThrough,
  findCoats,
  findSecond,
  foundAll,
  kerfOf,
  lightProblems,
  toolIn,
  type BoxedMaterials,
  type Coats,
  type CommonMaterials,
  type FacedMaterials,
  type SecondSheet,
  type WallMaterials,
  type Workpiece,
} from './materials.js';
export { catalogueKinds, readCatalogue, type ReadCatalogue, type StoredItem } from './read-catalogue.js';
export { readItem, type WrittenItem } from './read-item.js';
export { stuffNames } from './schema.js';
export { coloursOf, operations, usualColours, type LayerColours, type Operation } from './operations.js';
export { freeItemId, mostCsvLines, readShelfCsv, shelfCsv, type CsvComplaint, type ShelfImport } from './shelf-csv.js';
export { shippedCatalogue } from './shipped.js';
export { fitsSheet, usableSize, type UsableSize } from './usable-size.js';
export type {
  Battery,
  Board,
  Catalogue,
  CatalogueKind,
  Coating,
  Controller,
  Cover,
  CutWay,
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
  ShelfItem,
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
export { itemDifferences, written, type ItemDifference } from './written.js';
export { workPhases, type LearnedTime, type WorkPhase } from './work-phases.js';
