export { centreOfAll, hangOf, usualCleatMm, usualHeightMm, usualShiftMm, type HangFacts } from './hang.js';
export { footHighMm, footScrewOf, leastTipDeg } from './feet.js';
export { hangTemplates } from './hang-templates.js';
export { hungSection } from './hung-section.js';
export { fixingItems } from './rating.js';
export { footAsideMm, footScrewsAt, hangParts, mateScrewPlaces, plateReachMm, type HangParts } from './hang-parts.js';
export { fixingWords, hangingCaution, peopleToHang, hangSteps, type HangSteps } from './hang-steps.js';
export { fixingLoads, leanOver, type FixingLoad } from './loads.js';
export { placePosts, type LoadedPost, type PostedPart, type PostOptions, type StripBand } from './posts.js';
export { studMm, studsBetween, usualStudPitchMm, wallOf } from './wall.js';
export { wallTemplate } from './wall-template.js';
export { wayNames } from './way-names.js';
export type {
  Carrier,
  Cleat,
  Feet,
  Hang,
  HangingWay,
  HungBody,
  OwnWay,
  PlacedBody,
  Rail,
  Wall,
  WallFixing,
} from './types.js';
