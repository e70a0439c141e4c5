import type { StageResults } from '../../sign/evaluate/types.js';
import { ambientLux } from '../../light/glow/index.js';
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

/** Lit over unlit in the light of the place. */
export const daylight = ({ glow, design }: StageResults): Figure => {
  const { ambient } = design.brief;
  const ratio = glow.daylight.find((entry) => entry.ambient === ambient)?.litOverUnlit ?? 0;
  return {
    id: 'daylight',
    text: `${ratio >= 100 ? Math.round(ratio) : one(ratio)} : 1`,
    label: `to unlit, ${ambient}`,
    kind: 'computed',
    value: ratio,
    unit: ': 1',
    how: 'Luminance lit over luminance unlit under the brief’s light; unlit the face gives back daylight.',
    inputs: [
      typical('ambient', `${ambientLux[ambient]} lx`),
      computed('face gives back', `${Math.round(glow.faceReflectance * 100)} %`),
      computed('luminance by itself', `${Math.round(glow.evenness.meanCdM2)} cd/m²`),
    ],
  };
};

/** From where on what repeats with the LEDs is no longer seen; `name` is what the build calls it: ‘dots’. */
export const vanishing = (
  { glow, runs, design }: StageResults,
  { name, never, how, between = [] }: VanishingWords,
): Figure => {
  const { dots, dotsVanishAtMm } = glow.evenness;
  const unseen = dotsVanishAtMm <= 0;
  return {
    id: 'dots-vanish',
    text: unseen ? 'never seen' : `${one(dotsVanishAtMm / 1000)} m`,
    label: unseen ? (never ?? name) : `${name} vanish at`,
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
export const evenness = ({ glow }: StageResults, how: string, inputs: Figure['inputs']): Figure => ({
  id: 'evenness',
  text: two(glow.evenness.minOverMean),
  label: 'darkest to mean',
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

/** What is drawn, and of which supply. */
export const watts = ({ circuit, runs, materials, design }: StageResults): Figure => ({
  id: 'watts',
  text: `${one(circuit.watts)} W`,
  label:
    circuit.supply === null
      ? 'no supply carries it'
      : `of ${circuit.supplyCount > 1 ? `${circuit.supplyCount} × ` : ''}${circuit.supply.watts} W supply`,
  kind: 'computed',
  value: circuit.watts,
  unit: 'W',
  how: 'Drawn at full white after the drop in lead, wires and strip. The supply is chosen for the nominal load and headroom.',
  inputs: [
    computed('strip', `${two(runs.stripMm / 1000)} m`),
    typical('nominal', `${materials.strip.wattsPerM} W/m`),
    computed('current', `${two(circuit.amps)} A`),
    computed('headroom asked', `${Math.round(design.power.headroomShare * 100)} %`),
    computed(
      'least light at an end',
      `${Math.round(Math.min(1, ...circuit.chains.map((chain) => chain.dimmestShare)) * 100)} %`,
    ),
  ],
});

/** Strip used, and from how many reels. */
export const reel = ({ runs, packing }: StageResults): Figure => ({
  id: 'reel',
  text: `${one(runs.stripMm / 1000)} m`,
  label:
    packing.reels.reels.length <= 1
      ? `of a ${packing.reelMm / 1000} m reel`
      : `from ${packing.reels.reels.length} reels`,
  kind: 'computed',
  value: runs.stripMm / 1000,
  unit: 'm',
  how: 'Whole cuts only. Pieces are taken from reels longest first.',
  inputs: [
    computed('pieces', String(runs.segments.length)),
    computed('LEDs', String(runs.leds.count)),
    computed('left on the last reel', `${two((packing.reels.reels.at(-1)?.leftMm ?? packing.reelMm) / 1000)} m`),
  ],
});

/** What hangs. */
export const weight = ({ parts }: StageResults): Figure => ({
  id: 'weight',
  text: `${one(parts.kg)} kg`,
  label: 'hangs',
  kind: 'computed',
  value: parts.kg,
  unit: 'kg',
  how: 'Volume of every cut part by its material’s density, plus strip, wire, lining and screws. Supply and lead hang apart.',
  inputs: parts.cut.map((part) => computed(part.name.toLowerCase(), `${two(part.kg * part.count)} kg`)),
});

/** What one piece costs. */
export const price = ({ cost }: StageResults): Figure => ({
  id: 'cost',
  text: `${cost.currency}${cost.perPiece.toFixed(2)}`,
  label: `a piece, ${one(cost.hours)} h`,
  kind: 'computed',
  value: cost.perPiece,
  unit: cost.currency,
  how: 'Sheet by area with waste, the rest by quantity, and hours at the shop’s rate. Hours are typical until you note your own.',
  inputs: [
    typical('materials', `${cost.currency}${two(cost.materials)}`),
    typical('labour', `${cost.currency}${two(cost.labour)}`),
    typical('hours', `${one(cost.hours)} h`),
    computed('outside quote', cost.outsideQuote === null ? 'none' : `${cost.currency}${two(cost.outsideQuote)}`),
  ],
});
