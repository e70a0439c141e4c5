import { edgeLit } from './edge-lit/index.js';
import { faceLit } from './face-lit/index.js';
import { frame } from './frame/index.js';
import { groove } from './groove/index.js';
import { halo } from './halo/index.js';
import { layers } from './layers/index.js';
import { lightbox } from './lightbox/index.js';
import { stacked } from './stacked/index.js';

/** Every build that Vitrum knows, a folder each. A new one is one line here. */
export const registry = [lightbox, halo, faceLit, edgeLit, groove, frame, layers, stacked] as const;
