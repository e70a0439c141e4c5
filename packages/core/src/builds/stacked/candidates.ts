import { set } from '../../document/design/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { Candidate, Remedy } from '../../judging/findings/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import type { StackedResults } from './results.js';
import { mostRings, usualFromWallMm } from './schema.js';
import { whiterLinings } from '../common/whiter-linings.js';

const loopsNow = ({ assembly }: StackedResults): number => assembly.light.loops;

/** So many loops one over the other find no more room. */
const mostLoops = 4;

const ofLoops = (results: StackedResults, loops: number): Candidate => ({
  label: loops === 1 ? 'One loop' : `${['Two', 'Three', 'Four'][loops - 2] ?? loops} loops, one over the other`,
  change: [set(fieldsIn(results).light.loops, loops)],
});

/** A second loop over the first, and more. */
export const addLoop = (results: StackedResults): Remedy => ({
  id: 'add-loop',
  candidates: Array.from({ length: Math.max(0, mostLoops - loopsNow(results)) }, (_, more) =>
    ofLoops(results, loopsNow(results) + more + 1),
  ),
});

/** Fewer loops. */
export const dropLoop = (results: StackedResults): Remedy => ({
  id: 'drop-loop',
  candidates: Array.from({ length: loopsNow(results) - 1 }, (_, fewer) =>
    ofLoops(results, loopsNow(results) - fewer - 1),
  ),
});

/** Rings that may be laid in between: what there is, each board once, thin before thick. */
const spacerBoards = ({ geometry }: StackedResults) =>
  [...new Map(geometry.rings.filter((ring) => !ring.glows).map(({ stock }) => [stock.id, stock])).values()].sort(
    (a, b) => a.thicknessMm - b.thicknessMm,
  );

const newId = (results: StackedResults): string => {
  const taken = new Set(results.assembly.plates.rings.map(({ id }) => id));
  let at = taken.size + 1;
  while (taken.has(`ring-${at}`)) at += 1;
  return `ring-${at}`;
};

/** More rings at one end of the stack: under the lid, or on the base. */
const withRings = (
  results: StackedResults,
  place: 'lid' | 'base',
  words: (name: string, count: number) => string,
): readonly Candidate[] => {
  const { rings } = results.assembly.plates;
  return spacerBoards(results).flatMap((stock) =>
    [1, 2, 3]
      .filter((count) => rings.length + count <= mostRings)
      .map((count): Candidate => {
        const first = newId(results);
        const more = Array.from({ length: count }, (_, at) => ({
          id: at === 0 ? first : `${first}-${at + 1}`,
          materialId: stock.id,
        }));
        return {
          label: words(stock.name, count),
          change: [set(fieldsIn(results).plates.rings, place === 'lid' ? [...rings, ...more] : [...more, ...rings])],
        };
      }),
  );
};

/** The lid lifted by spacer rings: more room for light to even out. */
export const liftLid = (results: StackedResults): Remedy => ({
  id: 'lift-lid',
  candidates: withRings(results, 'lid', (name, count) =>
    count === 1
      ? `A spacer ring under the lid, ${name.toLowerCase()}`
      : `${count} spacer rings under the lid, ${name.toLowerCase()}`,
  ),
});

/** Bands lifted by rings on the base: room for strip under them. */
export const liftBands = (results: StackedResults): Remedy => ({
  id: 'lift-bands',
  candidates: withRings(results, 'base', (name, count) =>
    count === 1
      ? `A ring on the base under the band, ${name.toLowerCase()}`
      : `${count} rings on the base under the band, ${name.toLowerCase()}`,
  ),
});

/** Steps in which the ledge goes in from the wall (mm). */
const fartherBy = [8, 16, 28, 45] as const;

/** The strip on a ledge, looking out at the band; farther in where it is on one already. */
export const fartherFromBand = (results: StackedResults): Remedy => {
  const { light } = results.assembly;
  const fields = fieldsIn(results);
  const { width, height } = results.geometry.bounds;
  const most = Math.min(width, height) / 2 - results.geometry.wallMm - 16;
  const now = light.facing === 'in' ? usualFromWallMm - fartherBy[0] : (light.fromWallMm ?? usualFromWallMm);
  return {
    id: 'farther-from-band',
    candidates: fartherBy
      .map((by) => Math.round(now + by))
      .filter((fromWallMm) => fromWallMm < most)
      .map((fromWallMm): Candidate => ({
        label: `Strip on a ledge ${fromWallMm} mm from the wall`,
        change: [
          set(fields.light.fromWallMm, fromWallMm),
          ...(light.facing === 'in' ? [set(fields.light.facing, 'out' as const)] : []),
        ],
      })),
  };
};

/** Strip nearer to letters in the middle: a ledge with strip on both its sides, or that much farther in. */
export const bothSides = (results: StackedResults): Remedy => {
  const { light } = results.assembly;
  const fields = fieldsIn(results);
  const smaller = Math.min(results.geometry.bounds.width, results.geometry.bounds.height);
  return {
    id: 'both-sides',
    candidates:
      light.facing === 'both'
        ? []
        : [usualFromWallMm, 40, Math.round(smaller / 5), Math.round(smaller / 3.5)]
            .filter((mm, at, all) => all.indexOf(mm) === at && mm < smaller / 2 - results.geometry.wallMm - 20)
            .map((fromWallMm): Candidate => ({
              label: `Strip on both sides of a ledge ${fromWallMm} mm from the wall`,
              change: [set(fields.light.facing, 'both' as const), set(fields.light.fromWallMm, fromWallMm)],
            })),
  };
};

/** Film or frosting under the letters, one coat more. */
export const filmUnderLid = (results: StackedResults, catalogue: Catalogue): Remedy => {
  const coats = results.assembly.lid.coats ?? [];
  const used = new Set(coats.map(({ coatingId }) => coatingId));
  return {
    id: 'film-under-lid',
    candidates: catalogue.coatings
      .filter(({ id, kind }) => !used.has(id) && (kind === 'film' || kind === 'paint'))
      .map((coating): Candidate => ({
        label: `${coating.name} under the letters`,
        change: [set(fieldsIn(results).lid.coats, [...coats, { coatingId: coating.id, coats: 1 }])],
      })),
  };
};

/** Whiter linings than the present one, cheapest first. */
export const whiterRoom = (results: StackedResults, catalogue: Catalogue): Remedy =>
  whiterLinings(results.materials.lining, fieldsIn(results).plates.liningId, catalogue);

/** Letters smaller by steps. */
export const smallerLetters = (results: StackedResults): Remedy => {
  const { capHeightMm } = results.assembly.artwork;
  return {
    id: 'smaller-letters',
    candidates: [0.95, 0.9, 0.85, 0.8, 0.75, 0.7, 0.6, 0.5]
      .map((share) => Math.floor(capHeightMm * share))
      .filter((height) => height >= 5)
      .map((height): Candidate => ({
        label: `Letters ${height} mm high`,
        change: [set(fieldsIn(results).artwork.capHeightMm, height)],
      })),
  };
};

/** Narrower rings, as narrow as screws let them be. */
export const narrowerWall = (results: StackedResults, leastMm: number): Remedy => ({
  id: 'narrower-wall',
  candidates: [0.8, 0.65, 0.5]
    .map((share) => Math.floor(results.geometry.wallMm * share))
    .filter((wallMm) => wallMm >= leastMm)
    .map((wallMm): Candidate => ({
      label: `Rings ${wallMm} mm wide`,
      change: [set(fieldsIn(results).plates.wallMm, wallMm)],
    })),
});
