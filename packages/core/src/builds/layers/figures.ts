import { computed, daylight, lightWords, one, typical, type Figure } from '../../judging/figures/index.js';
import { told } from './told-apart.js';
import type { LayersResults } from './results.js';

const percent = (share: number): string => `${Math.round(100 * share)} %`;

const depth = ({ geometry, scene }: LayersResults): Figure => ({
  id: 'depth',
  text: `${one(geometry.inside.depthMm)} mm`,
  label: 'depth inside',
  kind: 'computed',
  value: geometry.inside.depthMm,
  unit: 'mm',
  how: 'Inner side of the back to the clear front.',
  inputs: [
    computed('sheets', `${scene.sheets.length}`),
    computed(
      'foremost sheet to the front',
      `${one(geometry.inside.depthMm - Math.max(0, ...scene.sheets.map(({ frontZMm }) => frontZMm)))} mm`,
    ),
    computed('overall depth', `${one(geometry.outside.depthMm)} mm`),
  ],
});

const layersRead = ({ glow }: LayersResults): Figure => {
  const { steps } = glow;
  const least = steps.length === 0 ? 0 : Math.min(...steps.map(told));
  const weakest = steps.find((step) => told(step) === least);
  return {
    id: 'layers-told',
    rules: ['layers-alike'],
    text: steps.length === 0 ? 'one layer' : percent(least),
    label: 'weakest step',
    kind: 'computed',
    value: 100 * least,
    unit: '%',
    how: 'Along every edge between two layers that is seen: contrast of their luminances (Michelson), or how far apart their hues are where that is more; the least of all.',
    inputs: [
      computed('edges between layers', `${steps.length}`),
      computed('weakest', weakest === undefined ? 'none' : `${weakest.front} before ${weakest.behind}`),
      ...(weakest === undefined
        ? []
        : [computed('contrast', percent(weakest.contrast)), computed('hues', percent(weakest.hues))]),
    ],
  };
};

const hidden = ({ scene }: LayersResults): Figure => ({
  id: 'strip-hidden',
  rules: ['strip-seen'],
  text: scene.stripSeen === 0 ? 'hidden' : `${percent(scene.stripSeen)} seen`,
  label: `strip from ${Math.round(scene.viewDeg)}° aside`,
  kind: 'computed',
  value: 100 * scene.stripSeen,
  unit: '%',
  how: 'Straight lines from the LEDs toward who looks, from the front and from eight sides at the viewing angle: an LED is seen where no sheet is in the way of one of them.',
  inputs: [
    typical('viewing angle', `${Math.round(scene.viewDeg)}°`),
    computed(
      'spacers seen',
      `${scene.sheets.reduce((sum, { carried }) => sum + carried.reduce((count, { posts }) => count + posts.filter(({ seen }) => seen).length, 0), 0)}`,
    ),
  ],
});

const luminance = ({ glow, materials, design }: LayersResults): Figure => ({
  id: 'luminance',
  text: `${Math.round(glow.evenness.meanCdM2)} cd/m²`,
  label: 'mean luminance',
  kind: 'computed',
  value: glow.evenness.meanCdM2,
  unit: 'cd/m²',
  how: 'Light on what is seen of every sheet, straight from the LEDs and thrown back and forth between sheets, back and rim, by what each gives back, through the clear front.',
  inputs: [
    computed('from the LEDs', `${Math.round(glow.balance.emittedLm)} lm`),
    computed('out of the front', `${Math.round(glow.balance.outLm)} lm`),
    computed('reflected at least once', percent(glow.indirectShare)),
    typical('front passes', percent(materials.face.transmittance)),
    computed('colour', lightWords(design.brief)),
  ],
});

/** The figures of the tape for a layered scene, in order. */
export const layersFigures = (results: LayersResults): readonly Figure[] =>
  [depth, layersRead, hidden, luminance, daylight].map((figure) => figure(results));
