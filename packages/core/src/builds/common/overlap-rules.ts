import type { AssemblyResults } from '../../judging/results/index.js';
import { changeStrip, suitableStrips, type Remedy, type Rule } from '../../judging/findings/index.js';
import { percent } from './rule-words.js';

/** Places along strip that are looked at (mm). */
const everyMm = 4;
/** Strip that shares less length than this with another only meets it at a corner or an end, in widths. */
const leastWidths = 3;
/** Strips whose middles are nearer than this share of their width lie on each other. */
const onEachOther = 0.85;

interface Overlap {
  readonly mm: number;
  /** The worst pair, and where. */
  readonly pair: readonly [number, number] | null;
  readonly at: readonly [number, number];
}

/** Places along strip, a column each: where they are, of which segment, and for what length they stand. */
interface Places {
  readonly at: readonly (readonly [number, number, number])[];
  readonly segment: readonly number[];
  readonly mm: readonly number[];
}

const placesOf = ({ segments }: AssemblyResults['runs']): Places => {
  const places = { at: [] as [number, number, number][], segment: [] as number[], mm: [] as number[] };
  segments.forEach(({ path }, segment) => {
    for (let index = 1; index < path.length; index += 1) {
      const [from, to] = [path[index - 1]!, path[index]!];
      const length = Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]);
      const steps = Math.max(1, Math.ceil(length / everyMm));
      for (let step = 0; step < steps; step += 1) {
        const share = (step + 0.5) / steps;
        places.at.push([
          from[0] + share * (to[0] - from[0]),
          from[1] + share * (to[1] - from[1]),
          from[2] + share * (to[2] - from[2]),
        ]);
        places.segment.push(segment);
        places.mm.push(length / steps);
      }
    }
  });
  return places;
};

/** Cells of a raster without bounds, each a number: rows farther apart than this would share one. */
const cellsAcross = 100_000;

const nothing: Overlap = { mm: 0, pair: null, at: [0, 0] };

/** Length of strip that lies on other strip: both in one layer, nearer than their width. */
const overlapOf = ({ runs, materials }: AssemblyResults): Overlap => {
  const { widthMm, heightMm } = materials.strip;
  const { at, segment, mm } = placesOf(runs);
  const near = onEachOther * widthMm;
  const cellOf = (value: number): number => Math.floor(value / near);
  const cells = new Map<number, number[]>();
  at.forEach(([x, y], place) => {
    const key = cellOf(y) * cellsAcross + cellOf(x);
    const cell = cells.get(key);
    if (cell === undefined) cells.set(key, [place]);
    else cell.push(place);
  });
  const pairs = new Map<number, { mm: number; readonly place: number; readonly other: number }>();
  at.forEach(([x, y, z], place) => {
    const own = segment[place]!;
    const middle = cellOf(y) * cellsAcross + cellOf(x);
    const met = new Set<number>();
    for (let row = -cellsAcross; row <= cellsAcross; row += cellsAcross)
      for (let key = middle + row - 1; key <= middle + row + 1; key += 1)
        for (const candidate of cells.get(key) ?? []) {
          const other = segment[candidate]!;
          if (other <= own) continue;
          const [ox, oy, oz] = at[candidate]!;
          if (Math.abs(oz - z) < heightMm && Math.hypot(ox - x, oy - y) < near) met.add(other);
        }
    for (const other of met) {
      const key = own * cellsAcross + other;
      const known = pairs.get(key);
      if (known === undefined) pairs.set(key, { mm: mm[place]!, place, other });
      else known.mm += mm[place]!;
    }
  });
  const lying = [...pairs.values()].filter((pair) => pair.mm > leastWidths * widthMm).sort((a, b) => b.mm - a.mm);
  const [worst] = lying;
  if (worst === undefined) return nothing;
  const [x, y] = at[worst.place]!;
  return { mm: lying.reduce((sum, pair) => sum + pair.mm, 0), pair: [segment[worst.place]!, worst.other], at: [x, y] };
};

/** Strip that lies on strip: twice as bright and twice as hot there, and one of them is not stuck to anything. */
export const stripsOverlap =
  <Results extends AssemblyResults>(less: (results: Results) => readonly Remedy[]): Rule<Results> =>
  ({ results, catalogue }) => {
    const { mm, pair, at } = overlapOf(results);
    if (pair === null) return null;
    const { strip } = results.materials;
    const [one, other] = pair.map((segment) => results.runs.segments[segment]!.number);
    return {
      id: 'strips-overlap',
      severity: 'fix',
      step: 'light',
      what: 'Strip lies on strip',
      why: `${Math.round(mm)} mm (${percent(mm / Math.max(1, results.runs.stripMm))} % of it) share their place with another segment, ${one} and ${other} most: twice as bright and hot there, and the upper one is stuck to nothing.`,
      numbers: [
        { label: 'overlapping', value: Math.round(mm), unit: 'mm' },
        { label: 'strip wide', value: strip.widthMm, unit: 'mm' },
      ],
      where: { view: 'front', rect: { x: at[0] - 15, y: at[1] - 15, width: 30, height: 30 } },
      target: {
        label: 'overlapping',
        better: 'lower',
        unit: 'mm',
        read: (tried) => Math.round(overlapOf(tried).mm),
        settled: (tried) => overlapOf(tried).pair === null,
      },
      remedies: [
        ...less(results),
        changeStrip(
          results,
          suitableStrips(results, catalogue)
            .filter(({ widthMm }) => widthMm < strip.widthMm)
            .sort((a, b) => b.widthMm - a.widthMm),
        ),
      ],
    };
  };
