export { cansGlowOf, type CansGlow, type CansGlowInputs } from './glow.js';
export { developReturn, type Bend, type DevelopedReturn } from './develop.js';
