import { channelsOf, type Strip } from '../../document/catalogue/index.js';
import { ampsAt, type LoadLaw, type RailLoad } from '../network/index.js';

/** Above the forward voltage of its LED a pixel’s driver needs so much more to keep its current (V), typical. */
const driverV = 0.5;

/**
 * What one group of LEDs asks for, channel by channel: LEDs with a resistor take nothing up to where they conduct and the
 * strip’s power at its voltage; a pixel’s drivers hold their current once they have enough.
 */
export const groupLoads = (strip: Strip): readonly RailLoad[] => {
  const { voltageV, cutPitchMm, addressable } = strip;
  return channelsOf(strip).map(({ wattsPerM, forwardV }, channel): RailLoad => {
    const amps = (wattsPerM / voltageV) * (cutPitchMm / 1000);
    const law: LoadLaw =
      addressable === true
        ? { kind: 'regulated', fromV: forwardV, fullV: forwardV + driverV, amps }
        : { kind: 'resistive', forwardV, siemens: amps / (voltageV - forwardV) };
    return { law, back: addressable === true ? 0 : channel };
  });
};

/** Amperes of each channel of a group at the strip’s own voltage. */
export const nominalAmps = (strip: Strip): readonly number[] =>
  groupLoads(strip).map(({ law }) => ampsAt(law, strip.voltageV));
