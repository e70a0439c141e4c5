import type { StageResults } from '../evaluate/types.js';
import { ambientLux } from '../glow/index.js';

/** Where a figure comes from. */
export type FigureKind = 'computed' | 'typical' | 'measured';

/** Something a figure was computed from. */
export interface FigureInput {
  readonly label: string;
  readonly value: string;
  readonly kind: FigureKind;
}

/** One of the handful of figures that decide, able to explain itself. */
export interface Figure {
  readonly id: string;
  /** As short as it can be read on the tape. */
  readonly text: string;
  readonly label: string;
  readonly kind: FigureKind;
  readonly value: number;
  readonly unit: string;
  /** How it was computed, in a sentence or two. */
  readonly how: string;
  readonly inputs: readonly FigureInput[];
}

const typical = (label: string, value: string): FigureInput => ({ label, value, kind: 'typical' });
const computed = (label: string, value: string): FigureInput => ({ label, value, kind: 'computed' });
const one = (value: number): string => (Math.round(value * 10) / 10).toString();
const two = (value: number): string => value.toFixed(2);

const depth = ({ geometry, materials }: StageResults): Figure => ({
  id: 'depth',
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

const evenness = ({ glow, materials }: StageResults): Figure => ({
  id: 'evenness',
  text: two(glow.evenness.minOverMean),
  label: 'darkest to mean',
  kind: 'computed',
  value: glow.evenness.minOverMean,
  unit: '',
  how: 'Luminance of the darkest place over the mean of the lit area, a border of one face thickness left out.',
  inputs: [
    computed('darkest', `${Math.round(glow.evenness.minCdM2)} cd/m²`),
    computed('mean', `${Math.round(glow.evenness.meanCdM2)} cd/m²`),
    computed('light reflected inside', `${Math.round(glow.indirectShare * 100)} %`),
    typical('lining gives back', `${Math.round(materials.lining.reflectance * 100)} %`),
  ],
});

const vanishing = ({ glow, runs, design }: StageResults): Figure => {
  const { dots, bands, dotsVanishAtMm } = glow.evenness;
  const never = dotsVanishAtMm <= 0;
  return {
    id: 'dots-vanish',
    text: never ? 'never seen' : `${one(dotsVanishAtMm / 1000)} m`,
    label: never ? 'dots and bands' : 'dots vanish at',
    kind: 'computed',
    value: dotsVanishAtMm / 1000,
    unit: 'm',
    how: 'Contrast at the LED pitch and at the row pitch, each against the contrast sensitivity of the eye (Barten 2004) at this luminance; the farther distance counts.',
    inputs: [
      computed('contrast at LED pitch', `${two(dots.contrast * 100)} %`),
      computed('contrast at row pitch', bands === null ? 'one row' : `${two(bands.contrast * 100)} %`),
      typical('LED pitch', `${one(runs.ledPitchMm)} mm`),
      computed('row pitch', runs.rowPitchMm === null ? 'one row' : `${one(runs.rowPitchMm)} mm`),
      computed('read from', `${one(design.brief.readingDistanceMm / 1000)} m`),
    ],
  };
};

const luminance = ({ glow, stack, design }: StageResults): Figure => ({
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
    computed(
      'colour',
      design.brief.light.kind === 'white' ? `${design.brief.light.cctK} K` : design.brief.light.colour,
    ),
  ],
});

const daylight = ({ glow, design }: StageResults): Figure => {
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

const watts = ({ circuit, runs, materials, design }: StageResults): Figure => ({
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

const reel = ({ runs, packing }: StageResults): Figure => ({
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

const weight = ({ parts }: StageResults): Figure => ({
  id: 'weight',
  text: `${one(parts.kg)} kg`,
  label: 'hangs',
  kind: 'computed',
  value: parts.kg,
  unit: 'kg',
  how: 'Volume of every cut part by its material’s density, plus strip, wire, lining and screws. Supply and lead hang apart.',
  inputs: parts.cut.map((part) => computed(part.name.toLowerCase(), `${two(part.kg * part.count)} kg`)),
});

const price = ({ cost }: StageResults): Figure => ({
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

/** The figures of the tape, in order. */
export const figuresOf = (results: StageResults): readonly Figure[] =>
  [depth, evenness, vanishing, luminance, daylight, watts, reel, weight, price].map((figure) => figure(results));
