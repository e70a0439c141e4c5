import { set } from '../../../document/design/index.js';
import type { Candidate, Rule } from '../../../judging/findings/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import { linearOf, luminanceOf } from '../../../light/glow/index.js';
import { told } from '../told-apart.js';
import { glows } from '../../common/sheet-stock.js';
import type { LayersResults } from '../results.js';
import { liesRoundRim } from '../strip-behind.js';
import { listed, withSheet } from './common.js';
import { placeAt } from '../../common/rule-words.js';

/** Two layers are told apart from this contrast on (typical: a tenth is seen at a glance). */
export const toldApart = 0.1;
/** So little of the light of the best lit sheet leaves another in the dark (typical). */
const darkShare = 0.04;
/** What is painted darker than this is meant to be dark. */
const meantDark = 0.08;

const percent = (share: number): number => Math.round(1000 * share) / 10;

const hex = (value: number): string =>
  Math.round(Math.min(255, Math.max(0, value)))
    .toString(16)
    .padStart(2, '0');

/** A colour made darker or lighter, as sRGB. */
const shaded = (colour: string, factor: number): string =>
  `#${[1, 3, 5]
    .map((at) => {
      const value = parseInt(colour.slice(at, at + 2), 16);
      return hex(factor < 1 ? value * factor : 255 - (255 - value) / factor);
    })
    .join('')}`;

const weakest = ({ glow }: LayersResults) =>
  glow.steps.reduce<LayersResults['glow']['steps'][number] | null>(
    (worst, step) => (worst === null || told(step) < told(worst) ? step : worst),
    null,
  );

/** Two layers that cannot be told apart where they meet. */
export const layersAlike: Rule<LayersResults> = ({ results }) => {
  const step = weakest(results);
  if (step === null || told(step) >= toldApart) return null;
  const { sheets } = results.assembly.scene;
  const front = sheets[step.frontIndex]!;
  const paintable = !glows(results.materials.sheets[step.frontIndex]!) && !front.picture;
  const recoloured = (factor: number, word: string): Candidate => ({
    label: `${front.name} ${word}: ${shaded(front.colour, factor)}`,
    change: withSheet(results, step.frontIndex, { colour: shaded(front.colour, factor) }),
  });
  return {
    id: 'layers-alike',
    severity: 'fix',
    step: 'face',
    what: `${front.name} is lost before ${step.behind}`,
    why: `Where they meet their light differs by ${percent(step.contrast)} % and their hues by ${percent(step.hues)} %; a layer reads from about ${percent(toldApart)} % on (typical).`,
    numbers: [{ label: 'contrast', value: percent(told(step)), unit: '%' }],
    where: placeAt(step.at),
    target: {
      label: 'weakest step',
      unit: '%',
      better: 'higher',
      read: (tried) => percent(weakest(tried) === null ? 1 : told(weakest(tried)!)),
      settled: (tried) => tried.glow.steps.every((each) => told(each) >= toldApart),
    },
    remedies: [
      ...(paintable
        ? [
            {
              id: 'darker',
              candidates: [recoloured(0.8, 'darker'), recoloured(0.6, 'darker'), recoloured(0.4, 'darker')],
            },
            { id: 'lighter', candidates: [recoloured(1.3, 'lighter'), recoloured(1.7, 'lighter')] },
          ]
        : []),
      ...(step.behindIndex === null
        ? [
            {
              id: 'other-back',
              candidates: [1.5, 2.5, 0.6].map((factor): Candidate => ({
                label: `Back ${factor > 1 ? 'lighter' : 'darker'}: ${shaded(results.assembly.scene.backColour, factor)}`,
                change: [set(fieldsIn(results).scene.backColour, shaded(results.assembly.scene.backColour, factor))],
              })),
            },
          ]
        : []),
    ],
  };
};

const inTheDark = ({ glow, assembly, materials }: LayersResults) => {
  const seen = glow.seen.filter(({ seenShare }) => seenShare > 0.005);
  const best = Math.max(0, ...seen.map(({ meanLux }) => meanLux));
  return seen.filter(({ index, meanLux }) => {
    if (meanLux >= darkShare * best) return false;
    const colour = index === null ? assembly.scene.backColour : assembly.scene.sheets[index]!.colour;
    if (index !== null && glows(materials.sheets[index]!)) return false;
    return luminanceOf(linearOf(colour)) > meantDark;
  });
};

const leastShare = (results: LayersResults): number => {
  const best = Math.max(1e-9, ...results.glow.seen.map(({ meanLux }) => meanLux));
  const dark = inTheDark(results);
  return dark.length === 0 ? 1 : Math.min(...dark.map(({ meanLux }) => meanLux)) / best;
};

/** A light sheet that no light reaches. */
export const layerDark: Rule<LayersResults> = ({ results }) => {
  const dark = inTheDark(results);
  const [first] = dark;
  if (first === undefined) return null;
  const { assembly, materials, geometry } = results;
  const half = materials.strip.widthMm / 2 + 1;
  const best = Math.max(...results.glow.seen.map(({ meanLux }) => meanLux));
  const heights = [0.3, 0.45, 0.6, 0.75, 0.9].map((share) =>
    Math.round(share * (geometry.lightDepthMm - 2 * half) + half),
  );
  return {
    id: 'layer-dark',
    severity: 'fix',
    step: 'light',
    what: `${listed(dark.map(({ name }) => name))} ${dark.length === 1 ? 'stays' : 'stay'} in the dark`,
    why: `What is seen of ${first.name} gets ${Math.round(first.meanLux)} lx, the best lit layer ${Math.round(best)} lx; below a twenty-fifth a light colour looks black (typical). Strip lights the sheets behind it and those whose edges it looks past.`,
    numbers: [
      { label: first.name, value: Math.round(first.meanLux), unit: 'lx' },
      { label: 'best lit', value: Math.round(best), unit: 'lx' },
    ],
    where: placeAt(first.at),
    target: {
      label: 'of the best lit',
      unit: '%',
      better: 'higher',
      read: (tried) => percent(leastShare(tried)),
      settled: (tried) => inTheDark(tried).length === 0,
    },
    remedies: [
      {
        id: 'move-strip',
        candidates: liesRoundRim(assembly)
          ? heights.map((height): Candidate => ({
              label: `Strip ${height} mm from the back`,
              change: [set(fieldsIn(results).light.fromBackMm, height)],
            }))
          : [],
      },
      {
        id: 'second-turn',
        candidates: liesRoundRim(assembly)
          ? [
              {
                label: `Strip round the rim ${assembly.light.turnCount + 1} times, spread over the depth`,
                change: [
                  set(fieldsIn(results).light.turnCount, assembly.light.turnCount + 1),
                  set(fieldsIn(results).light.fromBackMm, null),
                ],
              },
            ]
          : [],
      },
    ],
  };
};
