import type { GrooveSection } from './types.js';

/** Where the light of strip in a groove goes, as shares of what it emits; they add up to 1. */
export interface GrooveLight {
  /** Out of the groove without having met anything. */
  readonly straight: number;
  /** Out of it in all. */
  readonly out: number;
  readonly absorbed: number;
}

type Place = readonly [x: number, y: number];

/** A stretch of the section of a groove, from end to end with its inside on the left. */
interface Stretch {
  readonly from: Place;
  readonly to: Place;
  readonly reflects: number;
}

const apart = ([ax, ay]: Place, [bx, by]: Place): number => Math.hypot(ax - bx, ay - by);

/** What of a stretch’s light meets another, both seen in full from each other: Hottel’s crossed strings. */
const meets = (one: Stretch, other: Stretch): number =>
  Math.max(
    0,
    (apart(one.from, other.from) + apart(one.to, other.to) - apart(one.from, other.to) - apart(one.to, other.from)) /
      (2 * apart(one.from, one.to)),
  );

/** Floor and walls are looked at in so many stretches each: light near the floor leaves less than light near the face. */
const stretchesEach = 10;
/** Rounds of exchange: of what is still under way a hundredth is left after each ten, even between walls of 0.65. */
const rounds = 60;

const divided = (from: Place, to: Place, reflects: number): readonly Stretch[] =>
  Array.from({ length: stretchesEach }, (_, at): Stretch => {
    const place = (share: number): Place => [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share];
    return { from: place(at / stretchesEach), to: place((at + 1) / stretchesEach), reflects };
  });

/** Where the LEDs are: at the middle of the floor looking out, or at the middle of a wall looking at the other. */
export type GrooveSource = 'floor' | 'wall';

/** Of a Lambertian line, what meets a stretch: half the difference of the sines to its ends, from the way it looks. */
const metBy =
  ([sx, sy]: Place, source: GrooveSource) =>
  ({ from, to }: Stretch): number => {
    const sine = ([x, y]: Place): number => {
      const away = Math.hypot(x - sx, y - sy);
      return away === 0 ? 0 : (source === 'floor' ? x - sx : y - sy) / away;
    };
    return Math.abs(sine(from) - sine(to)) / 2;
  };

/**
 * Light of strip along the middle of the floor, or on a wall, of a long groove: two-dimensional exchange between stretches of floor,
 * walls and opening, all of them Lambertian.
 */
export const grooveLight = (
  { widthMm, depthMm, floorReflects, wallsReflect }: GrooveSection,
  source: GrooveSource = 'floor',
): GrooveLight => {
  if (depthMm <= 0) return { straight: 1, out: 1, absorbed: 0 };
  const half = widthMm / 2;
  const at: Place = source === 'floor' ? [0, 0] : [-half, depthMm / 2];
  const met1 = metBy(at, source);
  const inside = [
    ...divided([half, 0], [half, depthMm], wallsReflect),
    ...divided([-half, depthMm], [-half, 0], wallsReflect),
    ...divided([-half, 0], [half, 0], floorReflects),
  ];
  const opening: Stretch = { from: [half, depthMm], to: [-half, depthMm], reflects: 0 };
  const straight = met1(opening);
  const factors = inside.map((one) => inside.map((other) => (one === other ? 0 : meets(one, other))));
  const leaves = inside.map((one) => meets(one, opening));
  // What the LEDs stand on, they do not light themselves.
  const lights = (index: number): boolean =>
    source === 'floor' ? index < 2 * stretchesEach : index < stretchesEach || index >= 2 * stretchesEach;
  let met = inside.map((stretch, index) => (lights(index) ? met1(stretch) : 0));
  let [out, absorbed] = [straight, 0];
  for (let round = 0; round < rounds; round += 1) {
    const thrown = met.map((light, at) => light * inside[at]!.reflects);
    met.forEach((light, at) => {
      absorbed += light - thrown[at]!;
      out += thrown[at]! * leaves[at]!;
    });
    met = inside.map((_, to) => thrown.reduce((sum, light, from) => sum + light * factors[from]![to]!, 0));
  }
  // What is still under way ends where the rest did.
  const under = met.reduce((sum, light) => sum + light, 0);
  const whole = out + absorbed;
  return { straight, out: out + (under * out) / whole, absorbed: absorbed + (under * absorbed) / whole };
};
