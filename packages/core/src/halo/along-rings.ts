import type { EdgeGlow } from './edge.js';

/** The edge’s light ring by ring, its scallops told from its slow changes. */
export interface AlongRings {
  /** Mean over `poolMm` round each place (lx). */
  readonly smooth: readonly number[];
  /** Places at an outward tip of the letters, which nobody expects to shine. */
  readonly atTip: readonly boolean[];
  /** The strongest scallop: Michelson contrast within one pitch, slow changes taken out, and where. */
  readonly ripple: { readonly contrast: number; readonly index: number };
}

/** Indices of the places ring by ring. */
const byRing = (places: readonly EdgeGlow[]): readonly (readonly number[])[] => {
  const rings: number[][] = [];
  places.forEach(({ ring }, index) => (rings[ring] ??= []).push(index));
  return rings.filter((ring) => ring.length > 0);
};

/** An outline that turns outward by more than this within the glow’s width makes a tip (cosine of 50°). */
const tipCosine = 0.64;

/** Whether the outline turns sharply outward between two places; letters lie on the left of it. */
const turnsOut = ({ outward: [ax, ay] }: EdgeGlow, { outward: [bx, by] }: EdgeGlow): boolean =>
  ax * by - ay * bx > 0 && ax * bx + ay * by < tipCosine;

/** Running means over `window` places of a ring. */
const runningMeans = (lux: readonly number[], window: number): readonly number[] => {
  const { length } = lux;
  const at = (place: number): number => lux[((place % length) + length) % length]!;
  let sum = 0;
  for (let step = 0; step < window; step += 1) sum += at(step - (window >> 1));
  return lux.map((_, place) => {
    const mean = sum / window;
    sum += at(place + window - (window >> 1)) - at(place - (window >> 1));
    return mean;
  });
};

/**
 * Takes the edge’s light apart into what changes slowly along it, over a stretch that the eye takes together, and what
 * repeats with the LEDs.
 */
export const alongRings = (places: readonly EdgeGlow[], pitchMm: number, poolMm: number): AlongRings => {
  const smooth = new Array<number>(places.length).fill(0);
  const atTip = new Array<boolean>(places.length).fill(false);
  let ripple = { contrast: 0, index: 0 };
  for (const ring of byRing(places)) {
    const count = ring.length;
    const lux = ring.map((index) => places[index]!.edgeLux);
    const [first, second] = [places[ring[0]!]!, places[ring[1] ?? ring[0]!]!];
    const spacing = Math.hypot(second.at[0] - first.at[0], second.at[1] - first.at[1]) || 1;
    const placesOver = (mm: number): number => Math.min(count, Math.max(1, Math.round(mm / spacing)));
    runningMeans(lux, placesOver(Math.max(pitchMm, poolMm))).forEach((value, place) => (smooth[ring[place]!] = value));
    const half = placesOver(poolMm / 2);
    ring.forEach((index, place) => {
      const [before, after] = [ring[(place - half + count) % count]!, ring[(place + half) % count]!];
      atTip[index] = turnsOut(places[before]!, places[after]!);
    });
    const window = placesOver(pitchMm);
    const slow = runningMeans(lux, window);
    const rest = lux.map((value, place) => value - slow[place]!);
    for (let place = 0; place < count && window > 2; place += 1) {
      let [low, high] = [Infinity, -Infinity];
      for (let step = 0; step < window; step += 1) {
        const value = rest[(place + step) % count]!;
        if (value < low) low = value;
        if (value > high) high = value;
      }
      const middle = (place + (window >> 1)) % count;
      const contrast = slow[middle]! > 0 ? (high - low) / (2 * slow[middle]!) : 0;
      if (contrast > ripple.contrast) ripple = { contrast, index: ring[middle]! };
    }
  }
  return { smooth, atTip, ripple };
};
