import type { HaloResults } from './results.js';
import { computed, daylight, evenness, one, typical, vanishing, type Figure } from '../../judging/figures/index.js';

const standoff = ({ geometry, assembly, materials }: HaloResults): Figure => ({
  id: 'standoff',
  text: `${one(geometry.standoffMm)} mm`,
  label: 'standoff, wall to letter',
  kind: 'computed',
  value: geometry.standoffMm,
  unit: 'mm',
  how: 'From the wall to the rear edge of the letters. With the setback of the strip it sets how wide the glow is.',
  inputs: [
    computed('LEDs over the wall', `${one(geometry.ledZMm)} mm`),
    computed('setback', `${one(assembly.light.setbackMm)} mm`),
    computed('depth over all', `${one(geometry.outside.depthMm)} mm`),
    typical('strip height', `${one(materials.strip.heightMm)} mm`),
  ],
});

const glowWidth = ({ glow }: HaloResults): Figure => ({
  id: 'glow-width',
  text: `${one(glow.halfMm)} mm`,
  label: 'out, the glow is half',
  kind: 'computed',
  value: glow.halfMm,
  unit: 'mm',
  how: 'How far out from the edge the wall’s light falls to half of what it is at the edge; the median along all outlines.',
  inputs: [
    computed('to a tenth', `${one(glow.tenthMm)} mm`),
    computed('came by way of the backs', `${Math.round(glow.bouncedShare * 100)} %`),
  ],
});

const darkest = (results: HaloResults): Figure =>
  evenness(
    results,
    'Light at the darkest place along the outlines over their mean, LED by LED ripple taken out.',
    [computed('places in the shadow of posts', String(results.glow.shadows.length))],
    ['edge-uneven'],
  );

const scallops = (results: HaloResults): Figure =>
  vanishing(results, {
    name: 'scallops',
    how: 'Contrast along the edge within one LED pitch, against the contrast sensitivity of the eye (Barten 2004) at this luminance.',
  });

const luminance = ({ glow, materials }: HaloResults): Figure => ({
  id: 'luminance',
  text: `${Math.round(glow.evenness.meanCdM2)} cd/m²`,
  label: 'on the wall, beside the letters',
  kind: 'computed',
  value: glow.evenness.meanCdM2,
  unit: 'cd/m²',
  how: 'Every LED’s light to every place along the outline, plus what comes back from the letters’ backs, given back by the wall.',
  inputs: [
    computed('from the LEDs', `${Math.round(glow.emittedLm)} lm`),
    computed('on the wall that is seen', `${Math.round(glow.seenLm)} lm`),
    typical('wall reflects', `${Math.round(glow.faceReflectance * 100)} %`),
    typical('wall', materials.wall.name),
  ],
});

/** The figures of the tape for halo letters, in order. */
export const haloFigures = (results: HaloResults): readonly Figure[] => [
  ...[standoff, glowWidth, darkest, scallops, luminance].map((figure) => figure(results)),
  daylight(results),
];
