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

/** What a strip’s light is made of. */
export type StripLight = Pick<Strip, 'colour' | 'lumensPerM' | 'whiteLumensPerM' | 'whitesK'>;

/** The colours of a strip with the light of each: one of a white strip; red, green and blue; or those and white. */
export const channelLights = ({
  colour,
  lumensPerM,
  whiteLumensPerM,
}: StripLight): readonly Pick<Channel, 'name' | 'lumensPerM'>[] => {
  if (colour === 'white') return [{ name: 'white', lumensPerM }];
  const mixed = (['red', 'green', 'blue'] as const).map((name) => ({ name, lumensPerM: lumensPerM * mixShares[name] }));
  return colour === 'rgb' ? mixed : [...mixed, { name: 'white', lumensPerM: whiteLumensPerM ?? lumensPerM }];
};

/** The channels of a strip, each with an even part of its power. Typical: makers state the whole strip’s power only. */
export const channelsOf = (strip: Strip): readonly Channel[] => {
  const lights = channelLights(strip);
  return lights.map((light) => ({
    ...light,
    wattsPerM: strip.wattsPerM / lights.length,
    forwardV: light.name === 'red' ? strip.forwardV * redForwardShare : strip.forwardV,
  }));
};
