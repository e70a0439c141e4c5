import type { Strip } from './types.js';

export type ChannelName = 'white' | 'red' | 'green' | 'blue';

/** One colour of a strip, that can be lit by itself. */
export interface Channel {
  readonly name: ChannelName;
  readonly wattsPerM: number;
  /** At its full light, as its part in the strip’s white. */
  readonly lumensPerM: number;
  /** Voltage below which its LEDs stop conducting. */
  readonly forwardV: number;
}

/** Parts of red, green and blue in the luminance of a white mixed from them (linear sRGB, IEC 61966-2-1). */
const mixShares = { red: 0.2126, green: 0.7152, blue: 0.0722 } as const;
/** A red LED conducts at about this share of what green and blue ones need, typical. */
const redForwardShare = 0.66;

/**
 * The channels of a strip: one of a white strip; red, green and blue, each with a third of the power; or those and white,
 * each with a quarter. Typical: makers state the whole strip’s power only.
 */
export const channelsOf = (strip: Strip): readonly Channel[] => {
  const { colour, wattsPerM, lumensPerM, forwardV } = strip;
  if (colour === 'white') return [{ name: 'white', wattsPerM, lumensPerM, forwardV }];
  const each = wattsPerM / (colour === 'rgb' ? 3 : 4);
  const mixed = (['red', 'green', 'blue'] as const).map((name): Channel => ({
    name,
    wattsPerM: each,
    lumensPerM: lumensPerM * mixShares[name],
    forwardV: name === 'red' ? forwardV * redForwardShare : forwardV,
  }));
  if (colour === 'rgb') return mixed;
  return [...mixed, { name: 'white', wattsPerM: each, lumensPerM: strip.whiteLumensPerM ?? lumensPerM, forwardV }];
};
