/** What a sheet or a slab of one stuff gives back and lets through. */
export interface Slab {
  readonly reflects: number;
  readonly passes: number;
}

/** Stuff that takes less than this of the light is taken as taking none (the square of what it takes over what it scatters). */
const noLoss = 1e-9;

/**
 * The same stuff in another thickness: what it scatters and what it takes by P. Kubelka and F. Munk (1931; Kubelka, J. Opt. Soc. Am.
 * 38, 1948), from one sheet of it. Its surfaces count as part of the stuff.
 */
export const thicker = ({ reflects, passes }: Slab, times: number): Slab => {
  if (reflects <= 0) return { reflects: 0, passes: passes ** times };
  const a = (1 + reflects * reflects - passes * passes) / (2 * reflects);
  const b2 = a * a - 1;
  if (b2 < noLoss) {
    const scattered = (reflects / (1 - reflects)) * times;
    return { reflects: scattered / (1 + scattered), passes: 1 / (1 + scattered) };
  }
  const b = Math.sqrt(b2);
  const depth = times * Math.atanh(b / (1 / reflects - a));
  const [s, c] = [Math.sinh(depth), Math.cosh(depth)];
  return { reflects: s / (a * s + b * c), passes: b / (a * s + b * c) };
};

/**
 * What of the light that enters a long pocket comes out at its end: it is `wideMm` across and so deep, its walls give back a share. By what its
 * two open ends and its walls see of each other (Hottel’s crossed strings).
 */
export const throughPocket = (wideMm: number, deepMm: number, wallReflects: number): number => {
  if (deepMm <= 0) return 1;
  const ratio = deepMm / wideMm;
  const straight = Math.sqrt(1 + ratio * ratio) - ratio;
  const toEnd = (1 - straight) / (2 * ratio);
  return straight + ((1 - straight) * wallReflects * toEnd) / (1 - wallReflects * (1 - 2 * toEnd));
};
