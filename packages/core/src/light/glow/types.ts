import type { Ambient } from '../../document/design/index.js';
import type { Grid } from '../../base/raster/index.js';
import type { Side } from '../radiosity/index.js';
import type { HueDrift } from './hue-drift.js';
import type { LinearRgb } from '../colour/index.js';
import type { DirectMethod } from './direct/index.js';
import type { Spot } from './spots.js';
import type { Verdict } from './verdict.js';

/** Luminous flux in and out of the case (lm). Emitted equals the sum of the rest. */
export interface FluxBalance {
  readonly emittedLm: number;
  readonly outLm: number;
  readonly absorbedFaceLm: number;
  readonly absorbedCaseLm: number;
}

/** A ripple at a known pitch, at its worst place. */
export interface Ripple {
  readonly pitchMm: number;
  /** Michelson contrast (max − min) / (max + min) within one pitch, slow fall-off taken out. */
  readonly contrast: number;
  /** What the eye just sees from the reading distance or anywhere farther. */
  readonly threshold: number;
  /** Beyond this distance it is not seen (mm); 0 when never seen. */
  readonly vanishesAtMm: number;
  readonly at: readonly [number, number];
}

export interface Evenness {
  readonly meanCdM2: number;
  readonly minCdM2: number;
  readonly maxCdM2: number;
  readonly minOverMean: number;
  readonly minOverMax: number;
  readonly lowCdM2: number;
  readonly highCdM2: number;
  readonly darkestAt: readonly [number, number];
  /**
   * The slow fall-off from the middle to the darkest place, as one wave across the face: its contrast, and the least of
   * that wave that the eye sees from the reading distance or farther.
   */
  readonly fallOff: { readonly contrast: number; readonly threshold: number };
  /** LED by LED along the strip. */
  readonly dots: Ripple;
  /** Row by row; null with a single row or round the rim. */
  readonly bands: Ripple | null;
  /** The worse of the two. */
  readonly dotContrast: number;
  readonly dotsVanishAtMm: number;
}

/** How the sign stands up to one ambient light. */
export interface Daylight {
  readonly ambient: Ambient;
  readonly lux: number;
  /** Luminance lit over unlit, both under this light. */
  readonly litOverUnlit: number;
}

/** What is seen of the lit ground: the face of a box, the wall behind letters. */
export interface Glow {
  readonly grid: Grid;
  /** Luminance of the bare ground (cd/m²), before letters and masks. */
  readonly luminance: Float32Array;
  /** Share of each cell that letters cover. */
  readonly letters: Float32Array;
  /** Colour of the light that leaves the ground, at luminance 1. */
  readonly hue: LinearRgb;
  /** How that hue drifts over the ground where colours lose unlike shares on their way; null where it does not. */
  readonly drift: HueDrift | null;
  readonly evenness: Evenness;
  /** What the eye makes of it, in a sentence. */
  readonly verdict: Verdict;
  /** Places that stand out, with what makes them so. */
  readonly spots: readonly Spot[];
  readonly daylight: readonly Daylight[];
  /** Share of daylight that the unlit ground gives back, in all and by red, green and blue. */
  readonly faceReflectance: number;
  readonly unlitRgb: LinearRgb;
  /** By cell, how much of the unlit ground looks so; the rest looks as what covers it. All of it when left out. */
  readonly unlitShare?: Float32Array;
  /** By cell, what red, green and blue of the unlit ground are multiplied by where it is printed; left out: 1. */
  readonly unlitTint?: Float32Array;
  /** All the light of the LEDs (lm). */
  readonly emittedLm: number;
  /** False when cells are too coarse to judge dots and bands by. */
  readonly resolved: boolean;
}

/** What the face of a box shows, and where its light goes. */
export interface BoxGlow extends Glow {
  readonly balance: FluxBalance;
  /** Light on each side of the case, first and reflected (lm). */
  readonly incidentLm: Readonly<Record<Side, number>>;
  /** How direct light was summed, and the most that this may have got wrong, as a share. */
  readonly methods: readonly DirectMethod[];
  readonly errorBound: number;
  /** Share of the light on the face that has been reflected inside at least once. */
  readonly indirectShare: number;
}
