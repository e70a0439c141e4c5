export { canonicalJson } from './canonical.js';
export { applyChange, type DesignChange, type FieldChange } from './change.js';
export { maxDesignCharacters, parseDesign, printDesign, readDesign } from './read-design.js';
export {
  designFormat,
  designJsonSchema,
  designVersion,
  maxDrawingNumbers,
  type Ambient,
  type Artwork,
  type Assembly,
  type BoxArtwork,
  type Brief,
  type BuildName,
  type CaseDesign,
  type Design,
  type FaceDesign,
  type HaloAssembly,
  type HaloDesign,
  type HaloLetters,
  type HaloLight,
  type HaloPosts,
  type LightDesign,
  type LightboxAssembly,
  type LightboxDesign,
  type PowerDesign,
} from './schema.js';
