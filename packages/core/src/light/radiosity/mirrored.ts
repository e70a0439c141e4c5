import type { Exchange } from './exchange.js';
import type { Enclosure, Panel } from './patches.js';
import { byGradients, diagonalOf, rowTimes, settled, settlingEnergy, type SolvedLight } from './settling.js';

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

/** An empty case by its mirrors: a quarter of its patches stands for the rest. */
export interface Mirrored {
  readonly enclosure: Enclosure;
  /** Of each patch, its image in each of the four ways. */
  readonly images: readonly Int32Array[];
  /** Patches of which no two are images of each other. */
  readonly own: Int32Array;
  /** How many unlike images each of them has, as a share of the four ways: one on a mirror has fewer. */
  readonly share: Float64Array;
  /** Exchange areas between them for a light of each parity (mm²), over the images; rows and columns as `own`. */
  readonly quarters: readonly Float64Array[];
}

/** Exchange areas between the patches of a quarter for a light of each parity. */
const quartersOf = (
  exchange: Exchange,
  count: number,
  images: readonly Int32Array[],
  own: Int32Array,
  share: Float64Array,
): readonly Float64Array[] => {
  const n = own.length;
  const [at, atX, atY, atXY] = images.map((image) => Int32Array.from(own, (patch) => image[patch]!)) as [
    Int32Array,
    Int32Array,
    Int32Array,
    Int32Array,
  ];
  const quarters = parities.map(() => new Float64Array(n * n));
  const [alike, acrossY, acrossX, acrossBoth] = quarters as [Float64Array, Float64Array, Float64Array, Float64Array];
  for (let i = 0; i < n; i += 1) {
    const row = own[i]! * count;
    for (let j = 0; j < n; j += 1) {
      const part = ways * share[i]! * share[j]!;
      const [self, x] = [part * exchange[row + at[j]!]!, part * exchange[row + atX[j]!]!];
      const [y, xy] = [part * exchange[row + atY[j]!]!, part * exchange[row + atXY[j]!]!];
      alike[i * n + j] = self + x + y + xy;
      acrossY[i * n + j] = self + x - y - xy;
      acrossX[i * n + j] = self - x + y - xy;
      acrossBoth[i * n + j] = self - x - y + xy;
    }
  }
  return quarters;
};

/** Folds the exchange areas of an empty case by its mirrors. */
export const foldExchange = (enclosure: Enclosure, exchange: Exchange): Mirrored => {
  const [x, y] = [imagesAcross(enclosure, 0), imagesAcross(enclosure, 1)];
  const images = [Int32Array.from(x, (_, patch) => patch), x, y, x.map((patch) => y[patch]!)];
  const own = images[0]!.filter((patch) => images.every((image) => image[patch]! >= patch));
  const share = Float64Array.from(own, (patch) => new Set(images.map((image) => image[patch]!)).size / ways);
  return { enclosure, images, own, share, quarters: quartersOf(exchange, enclosure.count, images, own, share) };
};

/** Whether an image under a way counts with the sign of a light: across both, the signs multiply. */
const signOf = ([x, y]: readonly [number, number], way: number): number =>
  ((way & 1) === 1 ? x : 1) * ((way & 2) === 2 ? y : 1);

/**
 * As `solveExchange`, for an empty case each side of which reflects evenly and as the one opposite it does: light is parted
 * into what is alike and what is opposite across each axis, and each part is found for a quarter of the patches. Most lights
 * are alike across one axis at least, and have no other part.
 */
export const solveMirrored = (
  { enclosure: { count, areaMm2 }, images, own, share, quarters }: Mirrored,
  firstLm: Float64Array,
  reflectance: Float64Array,
): SolvedLight => {
  const n = own.length;
  const diagonal = diagonalOf(areaMm2, reflectance);
  const enough = settlingEnergy(diagonal, firstLm);
  const [radiosity, reflectedLm] = [new Float64Array(count), new Float64Array(count)];
  const right = new Float64Array(n);
  const reflected = new Float64Array(n);
  parities.forEach((parity, which) => {
    const quarter = quarters[which]!;
    const signs = images.map((_, way) => signOf(parity, way));
    // Nothing is left of what would be opposite to itself.
    const ownDiagonal = Float64Array.from(own, (patch, i) =>
      images.some((image, way) => image[patch] === patch && signs[way]! < 0) ? 0 : ways * share[i]! * diagonal[patch]!,
    );
    for (let i = 0; i < n; i += 1) {
      let total = 0;
      for (let way = 0; way < ways; way += 1) total += signs[way]! * firstLm[images[way]![own[i]!]!]!;
      right[i] = share[i]! * total;
    }
    const apply = (x: Float64Array, out: Float64Array): void => {
      for (let i = 0; i < n; i += 1) out[i] = rowTimes(quarter, i * n, x, 0, n);
    };
    const found = byGradients(apply, ownDiagonal, right, enough);
    if (found.every((value) => value === 0)) return;
    apply(found, reflected);
    for (let way = 0; way < ways; way += 1)
      for (let i = 0; i < n; i += 1) {
        const image = images[way]![own[i]!]!;
        radiosity[image]! += signs[way]! * share[i]! * found[i]!;
        reflectedLm[image]! += (signs[way]! * reflected[i]!) / ways;
      }
  });
  return settled(firstLm, radiosity, reflectedLm);
};
