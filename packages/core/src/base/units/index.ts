export { formatLength, inchFraction, type InchFraction } from './format-length.js';
export { parseLength, type LengthUnit } from './parse-length.js';
