import type { Outline } from '../../base/outlines/index.js';
import type { Channel, Strip } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';

/** A point in the case, mm: x right, y up from the middle, z from the back toward the face. */
export type Point3 = readonly [number, number, number];

/** Strip of another kind than the rest of its assembly, and the light that it is set to, where that is its own too. */
export interface OwnStrip {
  readonly strip: Strip;
  readonly light: Brief['light'] | null;
}

/** One cut segment of strip. */
export interface Segment {
  /** Counted from 1 in the order of wiring. */
  readonly number: number;
  /** Where current enters (arrow tail) and where the segment ends. */
  readonly from: Point3;
  readonly to: Point3;
  /** Where it runs, both ends included; two points when it is straight. */
  readonly path: readonly Point3[];
  readonly lengthMm: number;
  /** The way its LEDs face, at its start when it bends. */
  readonly normal: Point3;
  readonly on: 'back' | 'top' | 'bottom' | 'left' | 'right' | 'block' | 'rim' | 'letter' | 'sheet';
  /** Room the strip could not fill for want of a cut mark (mm), shared between both ends. */
  readonly leftoverMm: number;
  readonly ledCount: number;
  /** Left on past the mark at both ends, unlit, to solder on (mm); none when left out. */
  readonly spareMm?: number;
  /** Left out: it is the strip of its assembly, set as the brief says. */
  readonly own?: OwnStrip;
}

/** LEDs at their true places, one column a quantity; `segment` is an index into the segments. */
export interface LedField {
  readonly count: number;
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly z: Float64Array;
  readonly segment: Uint32Array;
  /** From the start of the segment (mm). */
  readonly along: Float64Array;
}

/** Every segment of strip in the case. */
export interface LightRuns {
  readonly segments: readonly Segment[];
  readonly leds: LedField;
  readonly stripMm: number;
  readonly ledPitchMm: number;
  /** Between neighbouring rows; null when there is but one, or none on the back. */
  readonly rowPitchMm: number | null;
  /** The way each LED looks and runs along, where strip is bent (three numbers each, LED after LED); else as its segment. */
  readonly ways?: { readonly looks: Float64Array; readonly along: Float64Array };
  /** From the LEDs to what they see first, the face or a second sheet behind it (mm), the least of all. */
  readonly throwMm: number;
}

/** How strip gets round a corner: its coating notched on the inside, looped up and over, or cut and wired. */
export type CornerWay = 'notch' | 'loop' | 'cut-and-wire';

/** A corner on the way that strip does not simply follow. */
export interface StripCorner {
  readonly at: readonly [number, number];
  readonly turnDeg: number;
  readonly way: CornerWay;
}

/** A wire in letters, from the lead or an end of one segment to an end of another. */
export interface Jumper {
  /** What it joins, as in the wiring table. */
  readonly from: string;
  readonly to: string;
  /** Where it begins and ends. */
  readonly at: readonly [readonly [number, number], readonly [number, number]];
  /** Where it runs, both ends included, and the holes it goes through to the back and in again. */
  readonly path: readonly (readonly [number, number])[];
  readonly holes: readonly (readonly [number, number])[];
  readonly lengthMm: number;
  /** Length of it that no letter hides from the front (mm). */
  readonly openMm: number;
}

/** Strip along letters. */
export interface LetterRuns extends LightRuns {
  /** Unit vector along the strip at each LED. */
  readonly alongX: Float64Array;
  readonly alongY: Float64Array;
  readonly corners: readonly StripCorner[];
  /** Where segments would run that were left out. */
  readonly leftOut: readonly (readonly (readonly [number, number])[])[];
  /** Solid parts of the letters in which no strip lies. */
  readonly bare: Outline;
  /** How far strip reaches inward from the outline (mm), so that posts inside it take no light. */
  readonly reachInMm: number;
}

/** A colour of the strip as it is set. */
export interface SetChannel extends Channel {
  /** How far the brief’s light turns it up. */
  readonly level: number;
}

/** What the circuit lets the LEDs of one assembly give, in the order of its runs. */
export interface LightShare {
  /** Light of each LED as set against its nominal, by the current that reaches it, its zone and the level. */
  readonly fluxShare: Float64Array;
  /** The group of each LED, and by group the light of each channel against its nominal. */
  readonly groupOfLed: Uint32Array;
  readonly groupShares: readonly Float64Array[];
  readonly channels: readonly SetChannel[];
  /** What its strip draws after all drops, at full light (W). */
  readonly watts: number;
}
