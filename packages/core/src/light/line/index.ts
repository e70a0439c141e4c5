export { gapToTellApart, tellsApartMin } from './apart.js';
export { bandLuminance, coverFor, pitchLeft } from './band.js';
export { grooveLight, type GrooveLight } from './groove-exchange.js';
export { spillAt, type BandOnPlane } from './spill.js';
export type { GrooveSection, LineCover } from './types.js';
