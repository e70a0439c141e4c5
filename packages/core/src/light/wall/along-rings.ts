import type { Point } from '../../base/outlines/index.js';
import type { EdgeGlow } from './edge.js';

/** The edge’s light ring by ring, as the eye takes it together. */
export interface AlongRings {
  /** Mean over `poolMm` round each place (lx). */
  readonly smooth: readonly number[];
  /** Places at an outward tip of the letters, which nobody expects to shine. */
  readonly atTip: readonly boolean[];
  /** Places that are lit: those beside strip that lies, not beside strip that was left out. */
  readonly lit: readonly boolean[];
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

/** What strip runs along, and what would that was left out. */
interface StripWays {
  readonly laid: readonly (readonly Point[])[];
  readonly leftOut: readonly (readonly Point[])[];
}

/** Ways are looked at this far apart: they are drawn every two millimetres. */
const everyPoint = 4;

/** Whether strip that was left out would be nearer to a place than any that lies. */
const darkOnPurpose = ({ laid, leftOut }: StripWays): ((at: Point) => boolean) => {
  if (leftOut.length === 0) return () => false;
  const thinned = (ways: StripWays['laid']): readonly Point[] =>
    ways.flatMap((way) => way.filter((_, index) => index % everyPoint === 0 || index === way.length - 1));
  const [lying, missing] = [thinned(laid), thinned(leftOut)];
  const nearest = (points: readonly Point[], [x, y]: Point): number =>
    points.reduce((least, [u, v]) => Math.min(least, (x - u) ** 2 + (y - v) ** 2), Infinity);
  return (at) => nearest(missing, at) < nearest(lying, at);
};

/** The edge’s light over a stretch that the eye takes together, and where it need not shine. */
export const alongRings = (places: readonly EdgeGlow[], poolMm: number, ways: StripWays): AlongRings => {
  const onPurpose = darkOnPurpose(ways);
  const smooth = new Array<number>(places.length).fill(0);
  const atTip = new Array<boolean>(places.length).fill(false);
  for (const ring of byRing(places)) {
    const count = ring.length;
    const lux = ring.map((index) => places[index]!.edgeLux);
    const [first, second] = [places[ring[0]!]!, places[ring[1] ?? ring[0]!]!];
    const spacing = Math.hypot(second.at[0] - first.at[0], second.at[1] - first.at[1]) || 1;
    const placesOver = (mm: number): number => Math.min(count, Math.max(1, Math.round(mm / spacing)));
    runningMeans(lux, placesOver(poolMm)).forEach((value, place) => (smooth[ring[place]!] = value));
    const half = placesOver(poolMm / 2);
    ring.forEach((index, place) => {
      const [before, after] = [ring[(place - half + count) % count]!, ring[(place + half) % count]!];
      atTip[index] = turnsOut(places[before]!, places[after]!);
    });
  }
  return { smooth, atTip, lit: places.map(({ at }) => !onPurpose(at)) };
};
