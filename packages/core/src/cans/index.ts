export { cansGlowOf, type CansGlow, type CansGlowInputs } from './glow.js';
export { traceByCan, type TraceCan } from './reflected.js';
export { developReturn, type Bend, type DevelopedReturn } from './develop.js';
