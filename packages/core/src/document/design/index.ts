export { canonicalJson } from './canonical.js';
export { changedBy, set, type DesignChange, type FieldChange } from './change.js';
export { fieldNamesOf, type FieldNames } from './field-names.js';
export { fieldsOf, pathOf, valueAt, valueOfPath, type FieldRef, type Fields } from './field-ref.js';
export { coats, colour, id, lengthMm, photometry, place, segmentRef, stripHold } from './fields.js';
export {
  assemblyFrame,
  designFormat,
  designSchemaOf,
  designVersion,
  mostAssemblies,
  type Ambient,
  type AnyDesign,
  type Artwork,
  type AssemblyFrame,
  type Brief,
  type DesignOf,
  type Placement,
  type PowerDesign,
  type Reading,
  type SegmentRef,
} from './frame.js';
export { fromVersion1 } from './from-version-1.js';
export type { Frozen } from './frozen.js';
export type { FinishingDesign } from './finishing-schema.js';
export { hangingWays, type HangingDesign, type WallDesign } from './hanging-schema.js';
export { lettering, maxDrawingNumbers, mostDrawnLines, mostLineNumbers } from './lettering-schema.js';
export type { AssemblyMigration, Migration } from './migrate.js';
export { deepestNesting, mostParts, shapeProblem } from './bounds.js';
export { designReader, maxDesignCharacters, printDesign, type DesignReader } from './read-design.js';
