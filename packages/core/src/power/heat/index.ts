import { millionth } from '../../base/maths/index.js';
import type { Strip } from '../../document/catalogue/index.js';
import type { Circuit } from '../circuit/index.js';
import type { Brief, PowerDesign } from '../../document/design/index.js';
import { airJPerM3K, airRise, stackFlow, ventLeakLm, type Vents } from './vents.js';

export { airRise, ventLeakLm, type Vents } from './vents.js';

/** A temperature known only between two bounds (°C). */
export interface Range {
  readonly low: number;
  readonly high: number;
}

/** Heat in the case. Ranges, since nobody knows the film coefficients better than by a factor of two. */
export interface Heat {
  /** What stays in the case as heat (W). */
  readonly watts: number;
  readonly surroundingC: number;
  readonly airInsideC: Range;
  readonly stripC: Range;
  readonly faceC: Range;
  /** The most watts this case may hold before the strip passes its limit in the kindest case. */
  readonly sheddableWatts: number;
  /** What the supply loses inside the sign, when it stands there (W). */
  readonly supplyWatts: number;
  /** What vents do: the air that rises through them (l/s), and the light they leak (lm); null without. */
  readonly vents: { readonly airLs: Range; readonly leakLm: number } | null;
}

/** Radiant watts that leave as light: luminous efficacy of white LED radiation, typical (lm per W of light). */
const lumensPerRadiantWatt = 300;
/** Natural convection with radiation, stated range (W/m²K). */
const filmKind = 10;
const filmHarsh = 5;
/** Board around a strip that helps to spread its heat (mm each side), typical. */
const spreadMm = 20;
/** Film over that band, warm board to inside air (W/m²K). */
const bandKind = 15;
const bandHarsh = 10;
/** Share of the mains power that a supply hands on, typical. */
const supplyEfficiency = 0.87;
/** Share of its area that a hole lets air through: rounded edges, and as drilled (typical). */
const dischargeKind = 0.65;
const dischargeHarsh = 0.5;
/** Less surface than this is no sign (m²). */
const leastAreaM2 = millionth;

const surroundings: Readonly<Record<Brief['exposure'], number>> = { indoors: 25, damp: 25, outdoors: 35 };

/** What sheds heat, and what light takes away. */
export interface Shedding {
  /** Surface toward the room (m²). */
  readonly areaM2: number;
  /** Air round the strip is shut in, so that heat crosses two films; else it is the room’s. */
  readonly closed: boolean;
  /** Light that leaves (lm). */
  readonly outLm: number;
  /** Holes that let air through a closed sign; null without. */
  readonly vents: Vents | null;
}

/** What of the sign’s power one assembly takes. */
export interface OwnPower {
  /** Its share of all that the strip of the sign draws; 1 where it is the only one. */
  readonly share: number;
  /** A supply or a controller that stands inside the sign stands in this assembly. */
  readonly holdsSupply: boolean;
}

/** What a supply inside the sign loses there (W); nothing when it stands outside, or is a battery. */
const lostInSupply = ({ watts, supply }: Circuit, { supplyPlace }: PowerDesign, { holdsSupply }: OwnPower): number =>
  holdsSupply && supplyPlace === 'inside' && supply?.source !== 'battery' ? watts * (1 / supplyEfficiency - 1) : 0;

/**
 * The heat stage: steady temperatures of a sign lit for good, at full light. What strip, copper inside and a supply inside
 * take, less what leaves as light, crosses two films in series in a closed case, air to wall and wall to room, or rises out
 * through vents (stack flow); the strip sits above the air by its own film. Conduction through the walls is taken as free.
 */
export const heatOf = (
  brief: Brief,
  power: PowerDesign,
  strip: Strip,
  circuit: Circuit,
  own: OwnPower,
  { areaM2, closed, outLm, vents }: Shedding,
): Heat => {
  const supplyWatts = lostInSupply(circuit, power, own);
  const drawn = own.share * circuit.watts;
  const watts = Math.max(0, drawn - own.share * circuit.leadWatts + supplyWatts - outLm / lumensPerRadiantWatt);
  const surroundingC = surroundings[brief.exposure];
  const films = closed ? 2 : 1;
  const area = Math.max(areaM2, leastAreaM2);
  const rise = (film: number, discharge: number): number =>
    airRise(watts, (film * area) / films, vents, discharge, surroundingC);
  const [least, most] = [rise(filmKind, dischargeKind), rise(filmHarsh, dischargeHarsh)];
  const bandM = (strip.widthMm + 2 * spreadMm) / 1000;
  const heatShare = drawn > 0 ? Math.min(1, (watts - supplyWatts) / drawn) : 1;
  const stripRise = (film: number): number => (strip.wattsPerM * heatShare) / (film * bandM);
  const airInsideC = { low: surroundingC + least, high: surroundingC + most };
  const roomLeft = Math.max(0, strip.maxBoardC - surroundingC - stripRise(bandKind));
  const flow = (discharge: number, riseK: number): number =>
    vents === null ? 0 : stackFlow(vents, discharge, riseK, surroundingC);
  return {
    watts,
    surroundingC,
    airInsideC,
    stripC: { low: airInsideC.low + stripRise(bandKind), high: airInsideC.high + stripRise(bandHarsh) },
    // The face sits between inside air and room, with a film on each side.
    faceC: { low: (surroundingC + airInsideC.low) / 2, high: (surroundingC + airInsideC.high) / 2 },
    sheddableWatts: roomLeft * ((filmKind * area) / films + airJPerM3K * flow(dischargeKind, roomLeft)),
    supplyWatts,
    vents:
      vents === null
        ? null
        : {
            airLs: { low: 1000 * flow(dischargeHarsh, least), high: 1000 * flow(dischargeKind, most) },
            leakLm: ventLeakLm(vents),
          },
  };
};
