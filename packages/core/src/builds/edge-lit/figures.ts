import { computed, daylight, lightWords, one, typical, type Figure } from '../../judging/figures/index.js';
import type { PanelResults } from './results.js';

const percent = (share: number): string => `${Math.round(100 * share)} %`;

const entering = ({ glow, assembly, materials }: PanelResults): Figure => ({
  id: 'entering',
  rules: ['light-misses-edge'],
  text: percent(glow.entry.entered),
  label: 'of the light enters the sheet',
  kind: 'computed',
  value: glow.entry.entered,
  unit: '',
  how: 'What of each LED meets the edge, by its height, gap and offset against the thickness, less what the edge throws back (Fresnel).',
  inputs: [
    typical('sheet', `${one(materials.pane.thicknessMm)} mm`),
    computed('gap', `${one(assembly.light.gapMm)} mm`),
    computed('off the middle', `${one(assembly.light.offsetMm)} mm`),
    computed('passes the edge', percent(glow.entry.missed)),
    computed('thrown back', percent(glow.entry.thrownBack)),
  ],
});

const even = ({ glow, assembly }: PanelResults): Figure => ({
  id: 'evenness',
  rules: ['fades'],
  text: percent(glow.patches.evenShare),
  label: 'of its brightest part, at the dimmest',
  kind: 'computed',
  value: glow.patches.evenShare,
  unit: '',
  how: 'The artwork in patches: luminance of the dimmest by that of the brightest.',
  inputs: [
    computed('last by first', percent(glow.patches.lastToFirst)),
    computed('brightest', `${Math.round(glow.patches.brightest.cdM2)} cd/m²`),
    computed('dimmest', `${Math.round(glow.patches.dimmest.cdM2)} cd/m²`),
    computed('farthest from a lit edge', `${Math.round(glow.patches.farMm)} mm`),
    computed('fill', assembly.artwork.graded ? `${assembly.artwork.fill}, graded` : assembly.artwork.fill),
  ],
});

const luminance = ({ glow, design }: PanelResults): Figure => ({
  id: 'luminance',
  text: `${Math.round(glow.evenness.meanCdM2)} cd/m²`,
  label: 'mean luminance of the artwork',
  kind: 'computed',
  value: glow.evenness.meanCdM2,
  unit: 'cd/m²',
  how: 'Rays from every LED, followed from edge to edge; what worked places take out of them, and what of that goes toward you.',
  inputs: [
    computed('from the LEDs', `${Math.round(glow.emittedLm)} lm`),
    computed('out of the artwork', `${one(glow.workedLm)} lm`),
    computed('out at the edges', `${one(Object.values(glow.edgesLm).reduce((total, lm) => total + lm, 0))} lm`),
    computed('lost in the sheet', `${one(glow.lostLm)} lm`),
    computed('colour', lightWords(design.brief)),
  ],
});

const fans = ({ glow, runs }: PanelResults): Figure => ({
  id: 'fans',
  rules: ['fans-show'],
  text: `${one(glow.fans.evenFromMm)} mm`,
  label: 'from the edge on, no rays of LEDs',
  kind: 'computed',
  value: glow.fans.evenFromMm,
  unit: 'mm',
  how: 'Fans of neighbouring LEDs overlap from there on so far that what they give differs by less than a tenth.',
  inputs: [
    typical('LED pitch', `${one(runs.ledPitchMm)} mm`),
    computed('fans touch', `${one(glow.fans.touchMm)} mm`),
    computed('artwork begins', glow.fans.nearestMm === null ? 'nowhere' : `${one(glow.fans.nearestMm)} mm`),
  ],
});

/** The figures of the tape for an edge-lit sheet, in order. */
export const panelFigures = (results: PanelResults): readonly Figure[] =>
  [entering, even, fans, luminance, daylight].map((figure) => figure(results));
