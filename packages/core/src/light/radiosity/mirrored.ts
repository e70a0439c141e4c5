import type { Exchange } from './exchange.js';
import type { Enclosure, Panel } from './patches.js';

/** A case is the same seen in a mirror across x, across y, and across both: four ways, the first of which moves nothing. */
const ways = 4;

/** How a light is told apart: alike (+1) or opposite (−1) across x and across y. */
const parities = [
  [1, 1],
  [1, -1],
  [-1, 1],
  [-1, -1],
] as const;

/** Each patch’s image across an axis: the sides that stand across it change places. */
const imagesAcross = ({ panels, count }: Enclosure, axis: 0 | 1): Int32Array => {
  const images = new Int32Array(count);
  const standsAcross = ({ a, b }: Panel): boolean => 3 - a - b === axis;
  for (const panel of panels) {
    const other = standsAcross(panel) ? panels.find((each) => standsAcross(each) && each.at !== panel.at)! : panel;
    const { aCount, bCount, start } = panel;
    for (let b = 0; b < bCount; b += 1)
      for (let a = 0; a < aCount; a += 1) {
        const [i, j] = [panel.a === axis ? aCount - 1 - a : a, panel.b === axis ? bCount - 1 - b : b];
        images[start + b * aCount + a] = other.start + j * aCount + i;
      }
  }
  return images;
};

/** Patches of which no two are images of each other, each with its four images. */
export interface Mirrored {
  readonly images: readonly Int32Array[];
  readonly own: Int32Array;
}

/** The images of all patches of an empty case, and a quarter of them that stands for the rest. */
export const mirroredIn = (enclosure: Enclosure): Mirrored => {
  const [x, y] = [imagesAcross(enclosure, 0), imagesAcross(enclosure, 1)];
  const images = [Int32Array.from(x, (_, patch) => patch), x, y, x.map((patch) => y[patch]!)];
  const own = images[0]!.filter((patch) => images.every((image) => image[patch]! >= patch));
  return { images, own };
};

/** Whether an image under a way counts with the sign of a light: across both, the signs multiply. */
const signOf = ([x, y]: readonly [number, number], way: number): number =>
  ((way & 1) === 1 ? x : 1) * ((way & 2) === 2 ? y : 1);

/** Solves S v = r for a symmetric, positive definite S of `n` rows by its Cholesky factor. Mutates both; v stands in r. */
const solveSymmetric = (s: Float64Array, r: Float64Array, n: number): void => {
  for (let i = 0; i < n; i += 1) {
    const row = i * n;
    for (let j = 0; j <= i; j += 1) {
      const other = j * n;
      // Two sums that do not wait for each other.
      let sum = s[row + j]!;
      let more = 0;
      let k = 0;
      for (; k + 1 < j; k += 2) {
        sum -= s[row + k]! * s[other + k]!;
        more -= s[row + k + 1]! * s[other + k + 1]!;
      }
      if (k < j) sum -= s[row + k]! * s[other + k]!;
      sum += more;
      s[row + j] = i === j ? Math.sqrt(sum) : sum / s[other + j]!;
    }
  }
  for (let i = 0; i < n; i += 1) {
    let sum = r[i]!;
    for (let k = 0; k < i; k += 1) sum -= s[i * n + k]! * r[k]!;
    r[i] = sum / s[i * n + i]!;
  }
  for (let i = n - 1; i >= 0; i -= 1) {
    let sum = r[i]!;
    for (let k = i + 1; k < n; k += 1) sum -= s[k * n + i]! * r[k]!;
    r[i] = sum / s[i * n + i]!;
  }
};

/**
 * The symmetric equations of a quarter of the patches for each parity: A/ρ − A·F over the four images of each, lower half.
 * Patches that give nothing back have a row of zeros.
 */
const quartersOf = (
  exchange: Exchange,
  count: number,
  { images, own }: Mirrored,
  diagonal: Float64Array,
  share: Float64Array,
): readonly Float64Array[] => {
  const n = own.length;
  const of = (way: number): Int32Array => Int32Array.from(own, (patch) => images[way]![patch]!);
  const [at, atX, atY, atXY] = [of(0), of(1), of(2), of(3)];
  const quarters = parities.map(() => new Float64Array(n * n));
  const [alike, acrossY, acrossX, acrossBoth] = quarters as [Float64Array, Float64Array, Float64Array, Float64Array];
  for (let i = 0; i < n; i += 1) {
    const [patch, line] = [own[i]!, i * n];
    if (diagonal[patch]! <= 0) continue;
    const row = patch * count;
    const factor = -ways * share[i]!;
    for (let j = 0; j <= i; j += 1) {
      if (diagonal[at[j]!]! <= 0) continue;
      const part = factor * share[j]!;
      const [self, x] = [part * exchange[row + at[j]!]!, part * exchange[row + atX[j]!]!];
      const [y, xy] = [part * exchange[row + atY[j]!]!, part * exchange[row + atXY[j]!]!];
      alike[line + j] = self + x + y + xy;
      acrossY[line + j] = self + x - y - xy;
      acrossX[line + j] = self - x + y - xy;
      acrossBoth[line + j] = self - x - y + xy;
    }
    // It is as many of its own four images as its share is the fewer.
    for (const quarter of quarters) quarter[line + i]! -= factor * diagonal[patch]!;
  }
  return quarters;
};

/** Takes a patch out of the equations: its own row says that it is nothing. Mutates `s`. */
const strike = (s: Float64Array, n: number, at: number): void => {
  s.fill(0, at * n, at * n + at);
  for (let row = at + 1; row < n; row += 1) s[row * n + at] = 0;
  s[at * n + at] = 1;
};

/** A light of one parity that is no more than this share of all is what rounding left. */
const leastShare = 1e-13;

/**
 * Radiosity (flux a mm²) of each patch of a case that is the same in both mirrors, by (A/ρ − A·F) B = Φ₀: the light is parted
 * into what is alike and what is opposite across each axis, and each part is found for a quarter of the patches, which is a
 * sixteenth of the equations’ matrix. `diagonal` is A/ρ, 0 for patches that give nothing back.
 */
export const solveMirrored = (
  { count }: Enclosure,
  exchange: Exchange,
  mirrored: Mirrored,
  diagonal: Float64Array,
  firstLm: Float64Array,
): Float64Array => {
  const radiosity = new Float64Array(count);
  const { images, own } = mirrored;
  const n = own.length;
  // One on a mirror has fewer images than there are ways to them: each way counts for as much less.
  const share = Float64Array.from(own, (patch) => new Set(images.map((image) => image[patch]!)).size / ways);
  const quarters = quartersOf(exchange, count, mirrored, diagonal, share);
  const all = firstLm.reduce((total, lm) => total + lm, 0);
  parities.forEach((parity, which) => {
    const signs = images.map((_, way) => signOf(parity, way));
    // Nothing is left of what gives nothing back, or would be opposite to itself.
    const isNothing = (patch: number): boolean =>
      diagonal[patch]! <= 0 || images.some((image, way) => image[patch] === patch && signs[way]! < 0);
    const quarter = quarters[which]!;
    const right = new Float64Array(n);
    let any = 0;
    own.forEach((patch, i) => {
      if (isNothing(patch)) {
        strike(quarter, n, i);
        return;
      }
      let total = 0;
      for (let way = 0; way < ways; way += 1) total += signs[way]! * firstLm[images[way]![patch]!]!;
      right[i] = share[i]! * total;
      any += Math.abs(right[i]);
    });
    if (any <= leastShare * all) return;
    solveSymmetric(quarter, right, n);
    for (let way = 0; way < ways; way += 1)
      for (let i = 0; i < n; i += 1) radiosity[images[way]![own[i]!]!]! += signs[way]! * share[i]! * right[i]!;
  });
  return radiosity;
};
