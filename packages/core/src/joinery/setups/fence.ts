import { mmPerInch } from '../../base/maths/index.js';
import type { FenceScale } from './types.js';

/** To a tenth of a millimetre, as a digital or fine metric scale reads. */
export const metricFence: FenceScale = { unit: 'mm', stepMm: 0.1 };
/** To thirty-seconds of an inch. */
export const inchFence: FenceScale = { unit: 'inch', stepMm: mmPerInch / 32 };

const tidy = (value: number): number => Math.round(value * 1e6) / 1e6;
const almost = 1e-7;

/** The nearest setting of a fence, or the next one up or down (mm). */
export const setFence = (
  wantedMm: number,
  { stepMm }: FenceScale,
  way: 'nearest' | 'up' | 'down' = 'nearest',
): number => {
  const steps = wantedMm / stepMm;
  const whole =
    way === 'nearest' ? Math.round(steps) : way === 'up' ? Math.ceil(steps - almost) : Math.floor(steps + almost);
  return tidy(whole * stepMm);
};
