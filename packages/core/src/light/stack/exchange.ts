import type { PlanViews } from './hidden.js';
import { patchOf, type Patches } from './patches.js';
import { seenPolygon } from './seen-polygon.js';

/** Farther apart than so many times the larger of them, two patches are taken as points. */
const farSizes = 5;
/** Nearer than so many times the larger, one is looked at from every place that it has. */
const nearSizes = 2;
/** Places of a cell that another is looked at from, at the most. */
const mostPlaces = 8;
/** Rounds in which what leaves every patch is made to arrive whole. */
const closingRounds = 6;

/** Exchange areas (mm²) of every two patches, row by row: what leaves each is what arrives in all. */
export interface Exchange {
  readonly count: number;
  readonly areas: Float32Array;
  /** The sum of each row: its own area, but for what rounds of closing leave. */
  readonly sent: Float64Array;
}

/** Places of a patch: so many that a cell has, six of a stretch of wall. */
export const placesOf = (patches: Patches): ((patch: number) => Float64Array) => {
  const { cells, middle, corners, firstCorner } = patches;
  const known: (Float64Array | undefined)[] = [];
  return (patch) =>
    (known[patch] ??= ((): Float64Array => {
      const z = middle[3 * patch + 2]!;
      const own = patchOf(patches, patch);
      if (own.kind === 'base' || own.kind === 'lid') {
        const { places } = cells[own.cell]!;
        const step = Math.max(1, Math.ceil(places.length / 2 / mostPlaces));
        return Float64Array.from(
          Array.from({ length: places.length / 2 }, (_, at) => at)
            .filter((at) => at % step === step >> 1)
            .flatMap((at) => [places[2 * at]!, places[2 * at + 1]!, z]),
        );
      }
      const c = 3 * firstCorner[patch]!;
      return Float64Array.from(
        [1 / 6, 1 / 2, 5 / 6].flatMap((share) =>
          [1 / 4, 3 / 4].flatMap((up) => [
            corners[c]! + share * (corners[c + 3]! - corners[c]!),
            corners[c + 1]! + share * (corners[c + 4]! - corners[c + 1]!),
            corners[c + 2]! + up * (corners[c + 8]! - corners[c + 2]!),
          ]),
        ),
      );
    })());
};

const sizesOf = ({ areaMm2, count, corners, firstCorner, cornerCount, middle }: Patches): Float64Array =>
  Float64Array.from({ length: count }, (_, patch) => {
    let reach = Math.sqrt(areaMm2[patch]!) / 2;
    for (let corner = firstCorner[patch]!; corner < firstCorner[patch]! + cornerCount[patch]!; corner += 1)
      reach = Math.max(
        reach,
        Math.hypot(
          corners[3 * corner]! - middle[3 * patch]!,
          corners[3 * corner + 1]! - middle[3 * patch + 1]!,
          corners[3 * corner + 2]! - middle[3 * patch + 2]!,
        ),
      );
    return 2 * reach;
  });

/** What every two patches see of each other, before it is made to close. Mutates `areas`. */
const fill = (patches: Patches, views: PlanViews | null, areas: Float32Array): void => {
  const { count, areaMm2, middle, normal, corners, firstCorner, cornerCount, cells, stretches, layers } = patches;
  const sizes = sizesOf(patches);
  const places = placesOf(patches);
  const plan = Int32Array.from({ length: count }, (_, patch) => patchOf(patches, patch).plan);
  const walls = 2 * cells.length;
  const ledge = walls + stretches.length * layers.length;
  for (let one = 0; one < count; one += 1) {
    const [ax, ay, az] = [middle[3 * one]!, middle[3 * one + 1]!, middle[3 * one + 2]!];
    const [nx, ny, nz] = [normal[3 * one]!, normal[3 * one + 1]!, normal[3 * one + 2]!];
    // Cells of one plane see nothing of each other, nor do layers of one stretch of wall.
    const first =
      one < cells.length
        ? cells.length
        : one < walls
          ? walls
          : one < ledge
            ? one + layers.length - ((one - walls) % layers.length)
            : one + 1;
    for (let other = first; other < count; other += 1) {
      const m = 3 * other;
      const [dx, dy, dz] = [middle[m]! - ax, middle[m + 1]! - ay, middle[m + 2]! - az];
      const [ahead, meets] = [
        dx * nx + dy * ny + dz * nz,
        -(dx * normal[m]! + dy * normal[m + 1]! + dz * normal[m + 2]!),
      ];
      if (ahead <= 0 || meets <= 0) continue;
      const open = views === null ? 1 : views.open(plan[one]!, plan[other]!, az, middle[m + 2]!);
      if (open === 0) continue;
      const d2 = dx * dx + dy * dy + dz * dz;
      const size = Math.max(sizes[one]!, sizes[other]!);
      let area: number;
      if (d2 > (farSizes * size) ** 2) area = (areaMm2[one]! * areaMm2[other]! * ahead * meets) / (Math.PI * d2 * d2);
      else if (d2 > (nearSizes * size) ** 2)
        area = areaMm2[one]! * seenPolygon(ax, ay, az, nx, ny, nz, corners, firstCorner[other]!, cornerCount[other]!);
      else {
        const from = places(one);
        let seen = 0;
        for (let at = 0; at < from.length; at += 3)
          seen += seenPolygon(
            from[at]!,
            from[at + 1]!,
            from[at + 2]!,
            nx,
            ny,
            nz,
            corners,
            firstCorner[other]!,
            cornerCount[other]!,
          );
        area = (3 * areaMm2[one]! * seen) / from.length;
      }
      areas[one * count + other] = area * open;
      areas[other * count + one] = area * open;
    }
  }
};

/**
 * What every two patches of a stack see of each other: exact by the outline of the one from the places of the other (Lambert), as points far away. The closed
 * room is then made to keep its light: rows and columns are scaled alike until each patch’s sum is its own area.
 */
export const exchangeOf = (patches: Patches, views: PlanViews | null): Exchange => {
  const { count, areaMm2 } = patches;
  const areas = new Float32Array(count * count);
  fill(patches, views, areas);
  const scale = new Float64Array(count).fill(1);
  for (let round = 0; round < closingRounds; round += 1)
    for (let one = 0; one < count; one += 1) {
      let sum = 0;
      const row = one * count;
      for (let other = 0; other < count; other += 1) sum += areas[row + other]! * scale[other]!;
      if (sum > 0) scale[one] = Math.sqrt((scale[one]! * areaMm2[one]!) / sum);
    }
  const sent = new Float64Array(count);
  for (let one = 0; one < count; one += 1) {
    const row = one * count;
    let sum = 0;
    for (let other = 0; other < count; other += 1) {
      const area = Math.fround(areas[row + other]! * scale[one]! * scale[other]!);
      areas[row + other] = area;
      sum += area;
    }
    sent[one] = sum;
  }
  return { count, areas, sent };
};
