import { channelLights } from './channels.js';
import { emitterMmOf } from './emitter.js';
import type { Strip } from './types.js';

/** A property in which a strip differs from another, and what has to follow it. */
export interface StripDifference {
  readonly what: string;
  readonly before: string;
  readonly after: string;
  readonly follows: string;
}

/** Pads of a strip at a cut: two for one colour, one for each colour and one for all, three where data runs through it. */
export const padsOf = (strip: Strip): number =>
  strip.addressable === true ? 3 : strip.colour === 'white' ? 2 : channelLights(strip).length + 1;

/** Whether one supply and one controller can drive both: strip of one voltage, switched or told by data alike. */
export const shareSupply = (one: Strip, other: Strip): boolean =>
  one.voltageV === other.voltageV && (one.addressable === true) === (other.addressable === true);

const coloursOf = ({ colour, addressable }: Strip): string =>
  `${colour === 'white' ? 'white' : colour === 'rgb' ? 'red, green, blue' : 'red, green, blue and white'}${addressable === true ? ', by pixel' : ''}`;

const mm = (value: number): string => `${Math.round(10 * value) / 10} mm`;

/**
 * What else changes when one strip takes the place of another: voltage, pads, colours and data, cut marks, sizes, power. Nothing where
 * they are alike in all of it.
 */
export const stripDifferences = (before: Strip, after: Strip): readonly StripDifference[] => {
  const of = (what: string, tell: (strip: Strip) => string, follows: string): readonly StripDifference[] =>
    tell(before) === tell(after) ? [] : [{ what, before: tell(before), after: tell(after), follows }];
  return [
    ...of('voltage', ({ voltageV }) => `${voltageV} V`, 'another supply, and a controller that takes it'),
    ...of('pads', (strip) => `${padsOf(strip)}`, 'leads with as many cores, and joints for them'),
    ...of('colours', coloursOf, 'a controller that drives them'),
    ...of(
      'data',
      ({ addressable }) => (addressable === true ? 'one way' : 'none'),
      'arrows all one way from the controller, and a line for data',
    ),
    ...of('cut marks', ({ cutPitchMm }) => `every ${mm(cutPitchMm)}`, 'pieces cut already end between marks'),
    ...of('width', ({ widthMm }) => mm(widthMm), 'grooves and cavities as wide as it'),
    ...of('height', ({ heightMm }) => mm(heightMm), 'the depth that it lies at'),
    ...of('emitter', (strip) => mm(emitterMmOf(strip)), 'what of its light meets an edge or a gap'),
    ...of('power', ({ wattsPerM }) => `${wattsPerM} W/m`, 'supply, wire and heat'),
    ...of('longest run', ({ maxRunMm }) => `${Math.round(maxRunMm / 100) / 10} m`, 'where it is fed'),
  ];
};
