import { sum } from '../../base/maths/index.js';
import type { AssemblyResults, SignResults } from '../results/index.js';
import type { Ambient } from '../../document/design/index.js';
import { ambientLux, shownFrom } from '../../light/glow/index.js';
import type { Figure } from './types.js';
import { computed, one, two, typical } from './words.js';

/** How a build speaks of what vanishes with distance. */
interface VanishingWords {
  readonly name: string;
  /** Its name where it is never seen, if that is another. */
  readonly never?: string;
  readonly how: string;
  /** More that it was computed from. */
  readonly between?: Figure['inputs'];
}

const inLight: Readonly<Record<Ambient, string>> = {
  noon: 'noon sun',
  overcast: 'overcast',
  shop: 'shop light',
  evening: 'dusk',
  dark: 'in the dark',
};

/** Lit over unlit in the light of the place. */
export const daylight = ({ glow, design }: AssemblyResults): Figure => {
  const { ambient } = design.brief;
  const ratio = glow.daylight.find((entry) => entry.ambient === ambient)?.litOverUnlit ?? 0;
  return {
    id: 'daylight',
    rules: ['too-dim'],
    text: `${ratio >= 100 ? Math.round(ratio) : one(ratio)} times`,
    label: `as bright lit as unlit, ${inLight[ambient]}`,
    kind: 'computed',
    value: ratio,
    unit: 'times',
    how: 'Luminance lit over luminance unlit under the brief’s light; unlit the face reflects daylight.',
    inputs: [
      typical('ambient', `${ambientLux[ambient]} lx`),
      computed('face reflects', `${Math.round(glow.faceReflectance * 100)} %`),
      computed('luminance by itself', `${Math.round(glow.evenness.meanCdM2)} cd/m²`),
    ],
  };
};

/** From where on what repeats with the LEDs is no longer seen; `name` is what the build calls it: ‘dots’. */
export const vanishing = (
  { glow, runs, design }: AssemblyResults,
  { name, never, how, between = [] }: VanishingWords,
): Figure => {
  const { dots, dotsVanishAtMm } = glow.evenness;
  const metres = (mm: number): string => `${mm < 10_000 ? one(mm / 1000) : Math.round(mm / 1000)} m`;
  const from = metres(design.brief.readingDistanceMm);
  const unseen = dotsVanishAtMm <= design.brief.readingDistanceMm;
  return {
    id: 'dots-vanish',
    rules: ['dots-show'],
    text: unseen ? 'none seen' : 'seen',
    label: unseen
      ? `${never ?? name}, from ${from} on${dotsVanishAtMm > 0 ? `; under ${metres(dotsVanishAtMm)} they show` : ''}`
      : `${name}, ${shownFrom(dotsVanishAtMm)}`,
    kind: 'computed',
    value: dotsVanishAtMm / 1000,
    unit: 'm',
    how,
    inputs: [
      computed('contrast at LED pitch', `${two(dots.contrast * 100)} %`),
      typical('LED pitch', `${one(runs.ledPitchMm)} mm`),
      ...between,
      computed('read from', `${one(design.brief.readingDistanceMm / 1000)} m`),
    ],
  };
};

/** The darkest place over the mean; `how` says of what, `inputs` what else it came from. */
export const evenness = (
  { glow }: AssemblyResults,
  how: string,
  inputs: Figure['inputs'],
  rules: Figure['rules'] = ['uneven-corners'],
): Figure => ({
  id: 'evenness',
  rules,
  text: `${Math.round(100 * glow.evenness.minOverMean)} %`,
  label: 'of the mean, at the darkest place',
  kind: 'computed',
  value: glow.evenness.minOverMean,
  unit: '',
  how,
  inputs: [
    computed('darkest', `${Math.round(glow.evenness.minCdM2)} cd/m²`),
    computed('mean', `${Math.round(glow.evenness.meanCdM2)} cd/m²`),
    ...inputs,
  ],
});

const stripM = (assemblies: SignResults['assemblies']): number =>
  sum(assemblies.map(({ runs }) => runs.stripMm)) / 1000;

/** What is drawn, and of which supply. */
export const watts = ({ circuit, assemblies, design }: SignResults): Figure => ({
  id: 'watts',
  rules: ['supply-too-small', 'too-hot'],
  text: `${one(circuit.watts)} W`,
  label:
    circuit.supply === null
      ? 'no supply carries it'
      : `drawn, of ${circuit.supplyCount > 1 ? `${circuit.supplyCount} × ` : ''}${circuit.supply.watts} W`,
  kind: 'computed',
  value: circuit.watts,
  unit: 'W',
  how: 'Drawn at full white after the drop in lead, wires and strip. The supply is chosen for the nominal load and headroom.',
  inputs: [
    computed('strip', `${two(stripM(assemblies))} m`),
    typical(
      'nominal',
      `${[...new Set(assemblies.map(({ materials }) => materials.strip.wattsPerM))].join(' and ')} W/m`,
    ),
    computed('current', `${two(circuit.amps)} A`),
    computed('headroom asked', `${Math.round(design.power.headroomShare * 100)} %`),
    computed(
      'least light at an end',
      `${Math.round(Math.min(1, ...circuit.chains.map((chain) => chain.dimmestShare)) * 100)} %`,
    ),
  ],
});

/** Strip used, and from how many reels. */
export const reel = ({ assemblies, circuit, packing }: SignResults): Figure => {
  const metres = stripM(assemblies);
  const reels = packing.reels.flatMap((each) => each.reels);
  const [first] = packing.reels;
  const reelMm = first?.reelMm ?? 0;
  return {
    id: 'reel',
    text: `${one(metres)} m`,
    label: reels.length <= 1 ? 'of strip, from one reel' : `of strip, from ${reels.length} reels`,
    kind: 'computed',
    value: metres,
    unit: 'm',
    how: 'Whole cuts only. Segments are taken from reels longest first.',
    inputs: [
      computed('segments', String(circuit.segments.length)),
      computed('LEDs', String(sum(assemblies.map(({ runs }) => runs.leds.count)))),
      computed('left on the last reel', `${two((reels.at(-1)?.leftMm ?? reelMm) / 1000)} m`),
    ],
  };
};

/** What hangs. */
export const weight = ({ parts }: SignResults): Figure => ({
  id: 'weight',
  text: `${one(parts.kg)} kg`,
  label: 'weight as it hangs',
  kind: 'computed',
  value: parts.kg,
  unit: 'kg',
  how: 'Volume of every cut part by its material’s density, plus strip, wire, lining and screws. Supply and lead hang apart.',
  inputs: [
    ...parts.cut.map((part) => computed(part.name.toLowerCase(), `${two(part.kg * part.count)} kg`)),
    computed('bought parts that hang', `${two(sum(parts.bought.map(({ kg, hangs }) => (hangs ? kg : 0))))} kg`),
    computed('hang apart', `${two(sum(parts.bought.map(({ kg, hangs }) => (hangs ? 0 : kg))))} kg`),
  ],
});

/** What one sign costs. */
export const price = ({ cost }: SignResults): Figure => ({
  id: 'cost',
  rules: ['costs-too-much'],
  text: `${cost.currency}${cost.perSign.toFixed(2)}`,
  label: `a sign, with ${one(cost.hours)} h of work`,
  kind: 'computed',
  value: cost.perSign,
  unit: cost.currency,
  how: 'Sheet by area with waste, the rest by quantity, and hours at the shop’s rate. Hours are typical until you note your own.',
  inputs: [
    typical('materials', `${cost.currency}${two(cost.materials)}`),
    typical('labour', `${cost.currency}${two(cost.labour)}`),
    typical('hours', `${one(cost.hours)} h`),
    computed('outside quote', cost.outsideQuote === null ? 'none' : `${cost.currency}${two(cost.outsideQuote)}`),
  ],
});

/** The figures of the tape that are the sign’s, after those of its assemblies. */
export const signFigures = (results: SignResults): readonly Figure[] =>
  [watts, reel, weight, price].map((figure) => figure(results));
