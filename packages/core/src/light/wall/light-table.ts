import { intensityAt, type Distribution } from '../photometry/index.js';
import type { HaloScene } from './types.js';

const mm2PerM2 = 1e6;
/**
 * Beyond so many heights LEDs are taken together in groups: the light of one that faces the wall is less than a thousandth
 * of what it is below it, but of one that looks along the wall a tenth of all that it sends there. From the first to the second
 * one way of summing fades into the other.
 */
const fadesFromHeights = 6;
export const reachHeights = 9;

/** How much of an LED’s light is its own at a squared distance of `heights2` (in heights, squared): 1 near it, 0 far off. */
export const ownShare = (heights2: number): number => {
  if (heights2 <= fadesFromHeights * fadesFromHeights) return 1;
  const t = (reachHeights - Math.sqrt(heights2)) / (reachHeights - fadesFromHeights);
  return t <= 0 ? 0 : t * t * (3 - 2 * t);
};

/** Steps of the table: linear between them, it is right to a few parts in ten thousand. */
const tableSteps = 8192;

/** What LEDs give of their own: light of one lumen on the wall (lx) at steps of squared distance from the place under the LED, linear between them. */
export interface LightTable {
  readonly lux: Float64Array;
  readonly stepsPerMm2: number;
  readonly steps: number;
}

/** Intensity of one lumen by the cosine of its angle; plain cosine light is asked for so often that it goes straight. */
export const byCosine = (distribution: Distribution): ((ahead: number) => number) =>
  distribution.kind === 'cosine' && distribution.exponent === 1
    ? (ahead) => ahead / Math.PI
    : (ahead) => intensityAt(distribution, Math.acos(ahead));

/** Light on the wall of one lumen by squared distance from the place under its LED (lx), for LEDs alike and at one height. */
export const wholePerLumen = ({ lights }: HaloScene): ((flat2: number) => number) => {
  const candelaAt = byCosine(lights.distribution);
  const height = lights.z[0]!;
  return (flat2) => {
    const d = Math.sqrt(flat2 + height * height);
    return (mm2PerM2 * candelaAt(height / d) * height) / (d * d * d);
  };
};

/** The table of LEDs that are all at one height and face the wall, alike all round, with no returns; else there is none. */
export const lightTable = (scene: HaloScene): LightTable | null => {
  const { lights, returnMm } = scene;
  if (returnMm > 0 || lights.count === 0) return null;
  if (lights.distribution.kind === 'table' && lights.distribution.azimuthDeg.length > 1) return null;
  const height = lights.z[0]!;
  if (!lights.z.every((z, led) => z === height && lights.nz[led] === -1)) return null;
  const whole = wholePerLumen(scene);
  const stepsPerMm2 = tableSteps / (reachHeights * height) ** 2;
  const lux = new Float64Array(tableSteps + 2);
  for (let step = 0; step < lux.length; step += 1) {
    const share = ownShare(step / stepsPerMm2 / (height * height));
    lux[step] = share * whole(step / stepsPerMm2);
  }
  return { lux, stepsPerMm2, steps: tableSteps };
};

/** Up to the first so many heights all light is near, beyond the second none. */
const nearHeights = 1.5;
const farHeights = 4.5;

/**
 * A table in two: light near the LED, that ends at a few heights, and the rest, that is nowhere steep. They add up to the
 * table. `heightMm` is that of the LEDs.
 */
export const nearAndFar = (
  { lux, stepsPerMm2, steps }: LightTable,
  heightMm: number,
): { readonly near: LightTable; readonly far: LightTable } => {
  const nearSteps = Math.min(steps, Math.floor((farHeights * heightMm) ** 2 * stepsPerMm2));
  const near = new Float64Array(nearSteps + 2);
  const far = Float64Array.from(lux);
  for (let step = 0; step < near.length; step += 1) {
    const heights = Math.sqrt(step / stepsPerMm2) / heightMm;
    const t = Math.min(1, Math.max(0, (farHeights - heights) / (farHeights - nearHeights)));
    near[step] = lux[step]! * t * t * t * (10 + t * (6 * t - 15));
    far[step] = lux[step]! - near[step]!;
  }
  return { near: { lux: near, stepsPerMm2, steps: nearSteps }, far: { lux: far, stepsPerMm2, steps } };
};
