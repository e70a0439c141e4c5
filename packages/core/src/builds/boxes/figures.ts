import type { BoxResults } from './results.js';
import {
  computed,
  daylight,
  evenness,
  lightWords,
  one,
  two,
  typical,
  vanishing,
  type Figure,
} from '../../judging/figures/index.js';

const depth = ({ geometry, materials }: BoxResults): Figure => ({
  id: 'depth',
  rules: ['too-shallow'],
  text: `${one(geometry.inside.depthMm)} mm`,
  label: 'depth inside',
  kind: 'computed',
  value: geometry.inside.depthMm,
  unit: 'mm',
  how: 'Inner side of the back to inner side of the face. Overall depth adds the back, the face and any lip.',
  inputs: [
    computed('overall depth', `${one(geometry.outside.depthMm)} mm`),
    typical('back', `${one(materials.backBoard.thicknessMm)} mm`),
    typical('face', `${one(materials.face.thicknessMm)} mm`),
  ],
});

const darkest = (results: BoxResults): Figure =>
  evenness(
    results,
    'Luminance of the darkest place over the mean of the lit area, a border of one face thickness left out.',
    [
      computed('light reflected inside', `${Math.round(results.glow.indirectShare * 100)} %`),
      typical('lining reflects', `${Math.round(results.materials.lining.reflectance * 100)} %`),
    ],
  );

const dotsAndBands = (results: BoxResults): Figure => {
  const { bands, dots } = results.glow.evenness;
  const { rowPitchMm } = results.runs;
  return vanishing(results, {
    name: bands !== null && bands.vanishesAtMm > dots.vanishesAtMm ? 'bands' : 'dots',
    never: 'dots and bands',
    how: 'Contrast at the LED pitch and at the row pitch, each against the contrast sensitivity of the eye (Barten 2004) at this luminance; the farther distance counts.',
    between: [
      computed('contrast at row pitch', bands === null ? 'one row' : `${two(bands.contrast * 100)} %`),
      computed('row pitch', rowPitchMm === null ? 'one row' : `${one(rowPitchMm)} mm`),
    ],
  });
};

const luminance = ({ glow, stack, design }: BoxResults): Figure => ({
  id: 'luminance',
  text: `${Math.round(glow.evenness.meanCdM2)} cd/m²`,
  label: 'mean luminance',
  kind: 'computed',
  value: glow.evenness.meanCdM2,
  unit: 'cd/m²',
  how: 'Every LED’s light to every place on the face, plus what the inside reflects, through the diffuser toward you.',
  inputs: [
    computed('from the LEDs', `${Math.round(glow.balance.emittedLm)} lm`),
    computed('out of the face', `${Math.round(glow.balance.outLm)} lm`),
    typical('face passes', `${Math.round(stack.transmittance * 100)} %`),
    computed('colour', lightWords(design.brief)),
  ],
});

/** The figures of the tape for a case with a lit face, in order. */
export const boxFigures = (results: BoxResults): readonly Figure[] =>
  [depth, darkest, dotsAndBands, luminance, daylight].map((figure) => figure(results));
