import { tiny, millionth } from '../../base/maths/index.js';
import type { Strip } from '../../document/catalogue/index.js';
import type { Circuit } from '../circuit/index.js';
import type { Brief, PowerDesign } from '../../document/design/index.js';
import { boardRise, type StripBed } from './board.js';
import { airJPerM3K, airRise, stackFlow, ventLeakLm, type Vents } from './vents.js';

export { boardRise, type StripBed } from './board.js';
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
  /** At the strip’s board, as the light is set: the hottest that it is used at. */
  readonly stripC: Range;
  /** The same with every channel full on, and not turned down. */
  readonly fullStripC: Range;
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
/** Film of one side of the warm board round a strip (W/m²K). */
const bedKind = 10;
const bedHarsh = 8;
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
  readonly bed: StripBed;
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
 * The heat stage: steady temperatures of a sign lit for good, as it is set, and at full light beside it. What strip, copper
 * inside and a supply inside take, less what leaves as light, crosses two films in series in a closed case, air to wall and
 * wall to room, or rises out through vents (stack flow); the strip is warmer than the air by what its board carries off
 * (`board.ts`). Conduction through the walls is taken as free.
 */
export const heatOf = (
  brief: Brief,
  power: PowerDesign,
  strip: Strip,
  circuit: Circuit,
  own: OwnPower,
  { areaM2, closed, outLm, vents, bed }: Shedding,
): Heat => {
  const surroundingC = surroundings[brief.exposure];
  const area = Math.max(areaM2, leastAreaM2);
  const inUse = circuit.watts > 0 ? Math.min(1, circuit.setWatts / circuit.watts) : 1;
  const full = own.share * Math.max(0, circuit.watts - circuit.leadWatts);

  /** With so much of the full power drawn; the light goes with it. */
  const at = (drawnShare: number) => {
    const supplyWatts = lostInSupply(circuit, power, own) * drawnShare;
    const light = (outLm / lumensPerRadiantWatt) * (inUse > 0 ? drawnShare / inUse : 0);
    const watts = Math.max(0, full * drawnShare + supplyWatts - light);
    const rise = (film: number, discharge: number): number =>
      airRise(watts, (film * area) / 2, vents, discharge, surroundingC);
    // Round open letters the air is the room’s.
    const [least, most] = closed ? [rise(filmKind, dischargeKind), rise(filmHarsh, dischargeHarsh)] : [0, 0];
    const heatShare = full > 0 ? Math.min(1, (watts - supplyWatts) / full) : 0;
    const stripRise = (film: number): number => boardRise(strip.wattsPerM * heatShare, strip.widthMm, bed, film);
    return {
      watts,
      supplyWatts,
      stripRise,
      airInsideC: { low: surroundingC + least, high: surroundingC + most },
      stripC: { low: surroundingC + least + stripRise(bedKind), high: surroundingC + most + stripRise(bedHarsh) },
    };
  };
  const { watts, supplyWatts, stripRise, airInsideC, stripC } = at(inUse);
  const roomLeft = Math.max(0, strip.maxBoardC - surroundingC - stripRise(bedKind));
  const flow = (discharge: number, riseK: number): number =>
    vents === null ? 0 : stackFlow(vents, discharge, riseK, surroundingC);
  return {
    watts,
    surroundingC,
    airInsideC,
    stripC,
    fullStripC: at(1).stripC,
    // The face sits between inside air and room, with a film on each side.
    faceC: { low: (surroundingC + airInsideC.low) / 2, high: (surroundingC + airInsideC.high) / 2 },
    sheddableWatts: closed
      ? roomLeft * ((filmKind * area) / 2 + airJPerM3K * flow(dischargeKind, roomLeft))
      : (watts * (strip.maxBoardC - surroundingC)) / Math.max(tiny, stripRise(bedKind)),
    supplyWatts,
    vents:
      vents === null
        ? null
        : {
            airLs: {
              low: 1000 * flow(dischargeHarsh, airInsideC.low - surroundingC),
              high: 1000 * flow(dischargeKind, airInsideC.high - surroundingC),
            },
            leakLm: ventLeakLm(vents),
          },
  };
};
