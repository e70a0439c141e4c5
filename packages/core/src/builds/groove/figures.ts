import { computed, daylight, one, typical, vanishing, type Figure } from '../../judging/figures/index.js';
import type { GrooveResults } from './results.js';
import { linesMm } from './runs.js';

const metres = (mm: number): string => `${(mm / 1000).toFixed(2)} m`;
const percent = (share: number): string => `${Math.round(100 * share)} %`;

const lines = ({ geometry, runs, materials }: GrooveResults): Figure => ({
  id: 'lines',
  rules: ['runs-uneven'],
  text: metres(linesMm(geometry)),
  label: `of light in ${geometry.lines.length} line${geometry.lines.length === 1 ? '' : 's'}`,
  kind: 'computed',
  value: linesMm(geometry) / 1000,
  unit: 'm',
  how: 'The length of all lines, ends and closed ones counted.',
  inputs: [
    computed('strip in them', metres(runs.stripMm)),
    computed('left bare', metres(linesMm(geometry) - runs.stripMm)),
    computed('runs', String(runs.segments.length)),
    typical('cut every', `${one(materials.strip.cutPitchMm)} mm`),
  ],
});

const groove = ({ geometry, materials }: GrooveResults): Figure => ({
  id: 'groove',
  rules: ['groove-narrow', 'groove-loose', 'floor-thin'],
  text: `${one(geometry.groove.widthMm)} mm`,
  label: `groove, ${one(geometry.groove.depthMm)} mm deep`,
  kind: 'computed',
  value: geometry.groove.widthMm,
  unit: 'mm',
  how: 'As wide as the widest thing that lies in it, with its clearance; as deep as strip and cover stand in it.',
  inputs: [
    ...geometry.groove.holds.map(({ what, mm }) => typical(what, `${one(mm)} mm`)),
    computed(materials.sheet.clear ? 'left in front' : 'left under it', `${one(geometry.leftMm)} mm`),
  ],
});

const luminance = ({ glow, geometry }: GrooveResults): Figure => ({
  id: 'luminance',
  text: `${Math.round(glow.evenness.meanCdM2)} cd/m²`,
  label: 'mean luminance of the lines',
  kind: 'computed',
  value: glow.evenness.meanCdM2,
  unit: 'cd/m²',
  how: 'What comes out of the groove by the millimetre, over the width that shines: F / (π w) of what is flat, 2 F / (π² D) of what is round.',
  inputs: [
    computed('from the LEDs', `${Math.round(glow.emittedLm)} lm`),
    computed('out of the groove', percent(glow.way.out)),
    computed('shines', `${one(geometry.groove.litMm)} mm wide`),
    computed('on the carrier beside them', `${Math.round(glow.carrierCdM2)} cd/m²`),
  ],
});

const darkest = ({ glow }: GrooveResults): Figure => ({
  id: 'evenness',
  rules: ['dark-gaps'],
  text: percent(glow.evenness.minOverMean),
  label: 'of the mean, at the darkest place',
  kind: 'computed',
  value: glow.evenness.minOverMean,
  unit: '',
  how: 'Lines in patches a few LEDs long: the darkest by the mean of all.',
  inputs: [
    computed('darkest', `${Math.round(glow.evenness.minCdM2)} cd/m²`),
    computed('brightest', `${Math.round(glow.evenness.maxCdM2)} cd/m²`),
  ],
});

const dots = (results: GrooveResults): Figure =>
  vanishing(results, {
    name: 'dots',
    how: 'What is left of the pitch of the LEDs under the cover, 2 (1 + k) e^(−k) with k = 2π d / p, against the contrast sensitivity of the eye (Barten 2004).',
  });

/** The figures of the tape for strip in a groove, in order. */
export const grooveFigures = (results: GrooveResults): readonly Figure[] =>
  [lines, groove, darkest, dots, luminance, daylight].map((figure) => figure(results));
