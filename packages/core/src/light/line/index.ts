export { gapToTellApart, tellsApartMin } from './apart.js';
export { bandLuminance, coverFor, pitchLeft } from './band.js';
export { grooveLight, type GrooveLight, type GrooveSource } from './groove-exchange.js';
export { domeSpill, spillAt, type BandOnPlane } from './spill.js';
export type { GrooveSection, LineCover } from './types.js';
