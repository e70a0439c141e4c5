import type { FaceLitResults } from './results.js';
import { computed, daylight, evenness, one, typical, vanishing, type Figure } from '../../judging/figures/index.js';

const depth = ({ geometry }: FaceLitResults): Figure => ({
  id: 'depth',
  text: `${one(geometry.depthInsideMm)} mm`,
  label: 'depth inside',
  kind: 'computed',
  value: geometry.depthInsideMm,
  unit: 'mm',
  how: 'Inner side of the backs to inner side of the faces.',
  inputs: [
    computed('overall depth', `${one(geometry.outside.depthMm)} mm`),
    computed('LED to face', `${one(geometry.depthInsideMm - geometry.ledZMm)} mm`),
    computed('returns', `${one(geometry.returnWidthMm)} mm wide`),
  ],
});

const darkest = (results: FaceLitResults): Figure =>
  evenness(
    results,
    'Luminance of the darkest place over the mean of all faces, a border of one face thickness left out.',
    [
      computed('light reflected inside', `${Math.round(results.glow.indirectShare * 100)} %`),
      typical('lining reflects', `${Math.round(results.materials.lining.reflectance * 100)} %`),
    ],
  );

const dots = (results: FaceLitResults): Figure =>
  vanishing(results, {
    name: 'dots',
    how: 'Contrast at the LED pitch against the contrast sensitivity of the eye (Barten 2004) at this luminance.',
  });

const luminance = ({ glow, stack }: FaceLitResults): Figure => ({
  id: 'luminance',
  text: `${Math.round(glow.evenness.meanCdM2)} cd/m²`,
  label: 'mean luminance',
  kind: 'computed',
  value: glow.evenness.meanCdM2,
  unit: 'cd/m²',
  how: 'Every LED’s light to every place of its own face that no return hides, plus what is reflected inside, traced photon by photon.',
  inputs: [
    computed('from the LEDs', `${Math.round(glow.emittedLm)} lm`),
    computed('out of the faces', `${Math.round(glow.balance.outLm)} lm ± ${(glow.errorShare * 100).toFixed(1)} %`),
    typical('face passes', `${Math.round(stack.transmittance * 100)} %`),
  ],
});

/** The figures of the tape for face-lit letters, in order. */
export const faceLitFigures = (results: FaceLitResults): readonly Figure[] => [
  ...[depth, darkest, dots, luminance].map((figure) => figure(results)),
  daylight(results),
];
