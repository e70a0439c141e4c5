import type { Ripple } from '../../light/glow/index.js';

/**
 * Contrast below which a bare eye forgives a ripple: print, texture and letters mask what a grating on an even field would
 * show; rows make a slow ripple, LEDs a quick one (Michelson; typical).
 */
const forgiven = { rows: 0.02, leds: 0.005 } as const;
/** Nearer to the threshold than this, nobody can tell whether it is seen. */
const sureTimes = 1.5;

/** Whether a ripple that is over the threshold of the laboratory disappoints, or is only worth knowing. */
export const disappoints = ({ contrast, threshold }: Ripple, rows: boolean): boolean =>
  contrast >= (rows ? forgiven.rows : forgiven.leds) && contrast >= sureTimes * threshold;
