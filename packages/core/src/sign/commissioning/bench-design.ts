import { sameSegment } from '../../power/circuit/index.js';
import type { SegmentRef } from '../../document/design/index.js';
import type { Design } from '../design/index.js';
import type { ChannelName } from '../../document/catalogue/index.js';
import type { BenchSetting } from './types.js';

/** Full light of one channel, as a mixed colour of the brief; white is a white. */
const alone: Readonly<Record<ChannelName, Design['brief']['light']>> = {
  white: { kind: 'white', cctK: 4000 },
  red: { kind: 'rgb', colour: '#ff0000' },
  green: { kind: 'rgb', colour: '#00ff00' },
  blue: { kind: 'rgb', colour: '#0000ff' },
};

/** The design as the bench’s controller shows it: its light, level and pixel count, and dark where nothing is connected. */
export const benchDesign = (
  design: Design,
  channels: readonly { readonly name: ChannelName }[],
  segments: readonly { readonly ref: SegmentRef }[],
  { segments: connected, channel, level, pixels }: BenchSetting,
): Design => {
  const dark =
    connected === null
      ? []
      : segments.flatMap(({ ref }) => (connected.some((each) => sameSegment(each, ref)) ? [] : [ref]));
  const mixed = channels.length > 1;
  const own = typeof channel === 'number' ? channels[channel] : undefined;
  const light =
    !mixed || channel === null
      ? design.brief.light
      : own !== undefined
        ? alone[own.name]
        : ({ kind: 'rgb', colour: '#ffffff' } as const);
  return {
    ...design,
    brief: { ...design.brief, light },
    power: {
      ...design.power,
      level,
      ...(pixels === null ? {} : { pixelCount: pixels }),
      ...(dark.length === 0 ? {} : { zones: [{ segments: dark, level: 0 }] }),
    },
  };
};
