export type { Section, SectionLayer, SectionShape } from './types.js';
