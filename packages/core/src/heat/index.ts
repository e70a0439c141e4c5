import type { Materials } from '../catalogue/index.js';
import type { Circuit } from '../circuit/index.js';
import type { Brief } from '../design/index.js';
import type { CaseGeometry } from '../geometry/index.js';
import type { Glow } from '../glow/index.js';

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
/** Share of the back that still sheds heat when it hangs close to a wall. */
const backShare = 0.5;

const surroundings: Readonly<Record<Brief['exposure'], number>> = { indoors: 25, damp: 25, outdoors: 35 };

/** Surface that sheds heat to the room (m²). */
const sheddingArea = ({ outside }: CaseGeometry): number => {
  const { widthMm: w, heightMm: h, depthMm: d } = outside;
  return (w * h * (1 + backShare) + 2 * d * (w + h)) / 1e6;
};

/**
 * The heat stage: steady temperatures of a closed, unvented case lit for good. Heat crosses two films in series, air to
 * wall and wall to room, and the strip sits above the air by its own film. Conduction through the walls is taken as free.
 */
export const heatOf = (
  brief: Brief,
  geometry: CaseGeometry,
  { strip }: Materials,
  circuit: Circuit,
  glow: Glow,
): Heat => {
  const area = sheddingArea(geometry);
  const watts = Math.max(0, circuit.watts - glow.balance.outLm / lumensPerRadiantWatt);
  const surroundingC = surroundings[brief.exposure];
  const airRise = (film: number): number => (2 * watts) / (film * area);
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
    sheddableWatts: Math.max(0, (roomLeft * filmKind * area) / 2),
  };
};
