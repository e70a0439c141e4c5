import type { Strip } from '../catalogue/index.js';
import type { Circuit } from '../circuit/index.js';
import type { Brief } from '../design/index.js';

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
/** Less surface than this is no piece (m²). */
const leastAreaM2 = 1e-6;

const surroundings: Readonly<Record<Brief['exposure'], number>> = { indoors: 25, damp: 25, outdoors: 35 };

/** What sheds heat, and what light takes away. */
export interface Shedding {
  /** Surface toward the room (m²). */
  readonly areaM2: number;
  /** Air round the strip is shut in, so that heat crosses two films; else it is the room’s. */
  readonly closed: boolean;
  /** Light that leaves (lm). */
  readonly outLm: number;
}

/**
 * The heat stage: steady temperatures of a piece lit for good. In a closed, unvented case heat crosses two films in series,
 * air to wall and wall to room, and the strip sits above the air by its own film. Conduction through the walls is taken as free.
 */
export const heatOf = (
  brief: Brief,
  strip: Strip,
  circuit: Circuit,
  { areaM2: area, closed, outLm }: Shedding,
): Heat => {
  const watts = Math.max(0, circuit.watts - outLm / lumensPerRadiantWatt);
  const surroundingC = surroundings[brief.exposure];
  const films = closed ? 2 : 1;
  const airRise = (film: number): number => (films * watts) / (film * Math.max(area, leastAreaM2));
  const bandM = (strip.widthMm + 2 * spreadMm) / 1000;
  const heatShare = circuit.watts > 0 ? watts / circuit.watts : 1;
  const stripRise = (film: number): number => (strip.wattsPerM * heatShare) / (film * bandM);
  const airInsideC = { low: surroundingC + airRise(filmKind), high: surroundingC + airRise(filmHarsh) };
  const roomLeft = strip.maxBoardC - surroundingC - stripRise(bandKind);
  return {
    watts,
    surroundingC,
    airInsideC,
    stripC: { low: airInsideC.low + stripRise(bandKind), high: airInsideC.high + stripRise(bandHarsh) },
    // The face sits between inside air and room, with a film on each side.
    faceC: { low: (surroundingC + airInsideC.low) / 2, high: (surroundingC + airInsideC.high) / 2 },
    sheddableWatts: Math.max(0, (roomLeft * filmKind * area) / films),
  };
};
