import type { WallPlace } from '../../light/stack/index.js';

/** Light that crosses an opal slab leaves it over about so many of its widths to either side (standard deviation); typical. */
const spreadShare = 0.5;

/** Places of one ring, in order. */
const rings = (places: readonly WallPlace[]): readonly (readonly number[])[] => {
  const found = new Map<number, number[]>();
  places.forEach(({ ring }, at) => found.set(ring, [...(found.get(ring) ?? []), at]));
  return [...found.values()];
};

/** Luminance round a band as it leaves the edge: spread along it on its way through the ring. */
export const blurAlong = (places: readonly WallPlace[], cdM2: Float64Array, wallMm: number): Float64Array => {
  const out = cdM2.slice();
  for (const own of rings(places)) {
    const step = places[own[0]!]!.lengthMm;
    const sigma = (spreadShare * wallMm) / step;
    const reach = Math.min(own.length >> 1, Math.ceil(3 * sigma));
    const weights = Array.from({ length: 2 * reach + 1 }, (_, at) =>
      Math.exp(-((at - reach) ** 2) / (2 * Math.max(1e-6, sigma) ** 2)),
    );
    const total = weights.reduce((sum, each) => sum + each, 0);
    own.forEach((place, at) => {
      let sum = 0;
      for (let off = -reach; off <= reach; off += 1)
        sum += weights[off + reach]! * cdM2[own[(at + off + own.length) % own.length]!]!;
      out[place] = sum / total;
    });
  }
  return out;
};

/** Where strip ends there is a step, not a ripple: so many windows of all have less contrast than is told. */
const toldShare = 0.8;

/** Contrast within one pitch of the LEDs, what falls off more slowly taken out, as most of the band has it: (max − min) / (max + min). */
export const bandRipple = (places: readonly WallPlace[], cdM2: Float64Array, pitchMm: number): number => {
  const found: number[] = [];
  for (const own of rings(places)) {
    const step = places[own[0]!]!.lengthMm;
    const window = Math.round(pitchMm / step);
    // Finer than it is looked at, a pitch leaves no ripple to see.
    if (window < 3 || own.length <= 2 * window) continue;
    const valueAt = (at: number): number => cdM2[own[((at % own.length) + own.length) % own.length]!]!;
    for (let at = 0; at < own.length; at += 1) {
      let [low, high] = [Infinity, 0];
      for (let off = 0; off < window; off += 1) {
        const flat = valueAt(at + off) - ((valueAt(at + window) - valueAt(at)) * off) / window;
        low = Math.min(low, Math.max(0, flat));
        high = Math.max(high, flat);
      }
      found.push(high > 0 ? (high - low) / (high + low) : 0);
    }
  }
  found.sort((a, b) => a - b);
  return found[Math.floor(toldShare * found.length)] ?? 0;
};
