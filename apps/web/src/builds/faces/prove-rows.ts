import type { AssemblyResults } from '@vitrum/core';
import type { ProveRow } from '../common/build-page';

/** An assembly with a diffusing face. */
type Faced = AssemblyResults & { readonly materials: { readonly face: { readonly maxC: number } } };

/** What the meter and the eye should find of a lit face. */
export const facedRows = ({ heat, glow, materials }: Faced): readonly ProveRow[] => [
  [
    'Face after an hour',
    `${Math.round(heat.faceC.low)}–${Math.round(heat.faceC.high)} °C`,
    `may have ${materials.face.maxC} °C`,
  ],
  ['Mean luminance', `${Math.round(glow.evenness.meanCdM2)} cd/m²`, 'over the lit part'],
  ['Darkest to mean', glow.evenness.minOverMean.toFixed(2), 'corners, by photograph or meter'],
];
