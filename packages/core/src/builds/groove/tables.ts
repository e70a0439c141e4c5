import { measureLine } from '../../base/outlines/index.js';
import type { TableRows } from '../common/build.js';
import type { LitLine } from './lines.js';
import type { GrooveResults } from './results.js';

const tenth = (mm: number): number => Math.round(10 * mm) / 10;

/** From the lower left corner of the carrier, as its drawings are. */
const onDrawing = ({ geometry: { bounds } }: GrooveResults, [x, y]: readonly [number, number, ...number[]]) =>
  [tenth(x - bounds.x), tenth(y - bounds.y)] as const;

/** Pieces of strip in the order in which they are wired: what each is cut to, and where its wires go down. */
const pieces = (results: GrooveResults): TableRows => {
  const { runs, materials } = results;
  return [
    [
      'piece',
      'line',
      'length mm',
      'cuts',
      'LEDs',
      'bare mm',
      'from x mm',
      'from y mm',
      'to x mm',
      'to y mm',
      'strip',
      'cut to mm',
    ],
    ...runs.segments.map(({ number, lengthMm, ledCount, leftoverMm, from, to, own, spareMm }) => [
      number,
      runs.stretches.find(({ segment }) => segment === number)?.line ?? '',
      tenth(lengthMm),
      Math.round(lengthMm / (own?.strip ?? materials.strip).cutPitchMm),
      ledCount,
      tenth(leftoverMm),
      ...onDrawing(results, from),
      ...onDrawing(results, to),
      (own?.strip ?? materials.strip).name,
      tenth(lengthMm + 2 * (spareMm ?? 0)),
    ]),
  ];
};

/** How far along a line the place on it nearest to a point is, and how far off that is (mm); looked at every millimetre. */
const alongLine = ({ points, closed }: LitLine, [x, y]: readonly [number, number]) => {
  const line = measureLine(points, closed);
  let [mm, off] = [0, Infinity];
  for (let at = 0; at <= line.lengthMm; at += 1) {
    const [px, py] = line.station(at).at;
    const away = Math.hypot(px - x, py - y);
    if (away < off) [mm, off] = [at, away];
  }
  return { mm, off };
};

/** Cover line by line: what it is cut to, its caps, and where it is notched or cut. */
const covers = ({ geometry, materials, runs }: GrooveResults): TableRows => {
  const corners = runs.corners.map((corner) => {
    const places = geometry.lines.map((line) => ({ line: line.number, ...alongLine(line, corner.at) }));
    return { ...corner, ...places.reduce((best, each) => (each.off < best.off ? each : best)) };
  });
  return [
    ['line', 'cover', 'length mm', 'end caps', 'notched at mm', 'cut at mm'],
    ...geometry.lines.map(({ number, lengthMm, closed }) => {
      const own = corners.filter(({ line }) => line === number).sort((a, b) => a.mm - b.mm);
      const at = (ways: readonly string[]): string =>
        own
          .filter(({ way }) => ways.includes(way))
          .map(({ mm }) => String(Math.round(mm)))
          .join(' ');
      return [
        number,
        materials.cover?.name ?? '',
        tenth(lengthMm),
        closed || (materials.cover?.capWidthMm ?? 0) === 0 ? 0 : 2,
        at(['notch', 'loop']),
        at(['cut-and-wire']),
      ];
    }),
  ];
};

/** Wire holes, from the lower left corner of the carrier. */
const holes = (results: GrooveResults): TableRows => [
  ['piece', 'end', 'x mm', 'y mm', 'diameter mm'],
  ...results.runs.holes.map(({ segment, end, at, diameterMm }) => [
    segment,
    end,
    ...onDrawing(results, at),
    diameterMm,
  ]),
];

/** Wires that are seen through a clear sheet: what of each is masked in front. */
const masks = ({ wires }: GrooveResults): TableRows => [
  ['from', 'to', 'masked mm'],
  ...wires.map(({ from, to, path }) => [
    from,
    to,
    tenth(
      measureLine(
        path.map(([x, y]) => [x, y] as const),
        false,
      ).lengthMm,
    ),
  ]),
];

/** Lists for the bench, by the name of their file. */
export const grooveTables = (results: GrooveResults): Readonly<Record<string, TableRows>> => ({
  pieces: pieces(results),
  'wire-holes': holes(results),
  ...(results.materials.cover === null ? {} : { covers: covers(results) }),
  ...(results.assembly.carrier.kind === 'clear' && results.wires.length > 0 ? { masks: masks(results) } : {}),
});
