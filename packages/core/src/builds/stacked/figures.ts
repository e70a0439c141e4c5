import {
  computed,
  daylight,
  evenness,
  lightWords,
  one,
  typical,
  vanishing,
  type Figure,
} from '../../judging/figures/index.js';
import type { StackedResults } from './results.js';

const percent = (share: number): string => `${Math.round(100 * share)} %`;

const depth = ({ geometry }: StackedResults): Figure => ({
  id: 'depth',
  text: `${one(geometry.roomMm)} mm`,
  label: 'room inside',
  kind: 'computed',
  value: geometry.roomMm,
  unit: 'mm',
  how: 'Thicknesses of all rings: from the base to the lid.',
  inputs: [
    computed('overall depth', `${one(geometry.outside.depthMm)} mm`),
    computed('plates', `${geometry.rings.length + 2}`),
    computed('strip takes', `${one(geometry.stripMm)} mm`),
  ],
});

const letters = ({ glow, stack, materials, design }: StackedResults): Figure => ({
  id: 'luminance',
  text: `${Math.round(glow.evenness.meanCdM2)} cd/m²`,
  label: glow.lettersCdM2 > 0 ? 'letters, mean' : 'bands, mean',
  kind: 'computed',
  value: glow.evenness.meanCdM2,
  unit: 'cd/m²',
  how: 'Light on the underside of the lid, straight from every LED that no wall or ledge hides and thrown back and forth between base, lid and wall until it has settled, through what is let in.',
  inputs: [
    computed('from the LEDs', `${Math.round(glow.emittedLm)} lm`),
    computed('out of letters and bands', `${Math.round(glow.balance.outLm)} lm`),
    computed('reflected at least once', percent(glow.indirectShare)),
    typical('letters pass', percent(stack.transmittance)),
    typical('lining reflects', percent(materials.lining.reflectance)),
    computed('colour', lightWords(design.brief)),
  ],
});

const darkest = (results: StackedResults): Figure =>
  evenness(
    results,
    'Luminance of the dimmest hundredth of the letters over the mean of all; of the bands where there are no letters.',
    [computed('letters below half the mean', percent(results.glow.dimShare))],
    ['letters-uneven'],
  );

const bands = ({ glow }: StackedResults): readonly Figure[] =>
  glow.bands.length === 0
    ? []
    : [
        {
          id: 'band',
          rules: ['band-dots', 'band-dim'],
          text: `${Math.round(Math.max(...glow.bands.map(({ meanCdM2 }) => meanCdM2)))} cd/m²`,
          label: glow.bands.length === 1 ? 'band at the edge' : 'brightest band',
          kind: 'computed',
          value: Math.max(...glow.bands.map(({ meanCdM2 }) => meanCdM2)),
          unit: 'cd/m²',
          how: 'Light on the inside of the ring through its width of opal (Kubelka and Munk, from one sheet of it), every way alike.',
          inputs: [
            computed('out of the bands', `${Math.round(glow.bands.reduce((sum, { outLm }) => sum + outLm, 0))} lm`),
            computed('brightest place on the wall', `${one(glow.wallCdM2)} cd/m²`),
            computed('LEDs along it', percent(Math.max(...glow.bands.map(({ ripple }) => ripple)))),
          ],
        },
      ];

/** The figures of the tape for stacked plates, in order. */
export const stackedFigures = (results: StackedResults): readonly Figure[] => [
  depth(results),
  darkest(results),
  vanishing(results, {
    name: 'dots',
    how: 'Contrast at the LED pitch along bands and letters against the contrast sensitivity of the eye (Barten 2004) at this luminance.',
  }),
  ...bands(results),
  letters(results),
  daylight(results),
];
