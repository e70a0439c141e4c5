import { adaptedHue, type LinearRgb } from '../../light/colour/index.js';
import type { FacedResults } from './results.js';

/** The hue of a face as seen: whites lose most of their tint to adaptation, colours of light or face keep theirs. */
export const seenHueOfFace = ({ design, glow, stack }: FacedResults): LinearRgb =>
  design.brief.light.kind === 'white' && stack.tint.every((channel) => channel === 1) ? adaptedHue(glow.hue) : glow.hue;
