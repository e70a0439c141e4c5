export { cansGlowOf, type CansGlow, type CansGlowInputs } from './glow.js';
export { cansOf, type Can } from './can.js';
export { directInCans } from './direct.js';
export { reflectedInCans, traceByCan, type TraceCan } from './reflected.js';
export { developReturn, type Bend, type DevelopedReturn } from './develop.js';
