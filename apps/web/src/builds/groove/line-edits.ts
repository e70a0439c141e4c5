import {
  measureLine,
  pointsOf,
  set,
  type DesignChange,
  type Fields,
  type GrooveAssembly,
  type LitLine,
} from '@vitrum/core';
import type { Place } from '../../lamp-room/front-view';

export type Drawn = NonNullable<GrooveAssembly['lines']['drawn']>;
export type DrawnLine = Drawn['lines'][number];
type LinesAt = Fields<GrooveAssembly>['lines'];

/** An end that is dragged this near to a whole number of cuts comes to it (mm). */
const snapMm = 5;
/** Lines that are made to be drawn on keep so near to what they were (mm): few points, to be dragged. */
const drawnOnMm = 0.8;

const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** The points of a line as places. */
export const placesOf = ({ points }: DrawnLine): readonly Place[] => pointsOf(points);

const numbersOf = (places: readonly Place[]): readonly number[] => places.flatMap(([x, y]) => [tenth(x), tenth(y)]);

/** A line with other points. */
const withPlaces = (line: DrawnLine, places: readonly Place[]): DrawnLine => ({ ...line, points: numbersOf(places) });

/** The same drawing with one of its lines changed. */
const withLine = (drawn: Drawn, index: number, line: DrawnLine): Drawn => ({
  ...drawn,
  lines: drawn.lines.map((each, at) => (at === index ? line : each)),
});

/** How strip measures a drawing: what a millimetre of it is on the carrier, and how far apart cut marks are there. */
export interface Measure {
  readonly scale: number;
  readonly cutPitchMm: number;
}

/** An end where its line is a whole number of cuts long, if that is near: moved along its last stretch. */
const snapped = (places: readonly Place[], atStart: boolean, { scale, cutPitchMm }: Measure): readonly Place[] => {
  const ways = atStart ? [...places].reverse() : [...places];
  const [end, before] = [ways.at(-1)!, ways.at(-2)!];
  const length = measureLine(ways, false).lengthMm * scale;
  const cuts = Math.max(1, Math.round(length / cutPitchMm));
  const by = cuts * cutPitchMm - length;
  const last = Math.hypot(end[0] - before[0], end[1] - before[1]);
  if (Math.abs(by) > snapMm || last === 0 || last * scale + by <= 1) return places;
  const share = 1 + by / scale / last;
  // A hair over the cut, for points are kept to a tenth.
  const moved: Place = [before[0] + (end[0] - before[0]) * share, before[1] + (end[1] - before[1]) * share];
  const next = [...ways.slice(0, -1), moved];
  return atStart ? next.reverse() : next;
};

/** A point of a line put elsewhere; an end comes to whole cuts where it is near to them. */
export const pointTo = (drawn: Drawn, index: number, point: number, to: Place, measure: Measure): Drawn => {
  const line = drawn.lines[index]!;
  const places = placesOf(line).map((place, at) => (at === point ? to : place));
  const isEnd = !line.closed && (point === 0 || point === places.length - 1);
  return withLine(drawn, index, withPlaces(line, isEnd ? snapped(places, point === 0, measure) : places));
};

/** A new point after another, at a place. */
export const pointAfter = (drawn: Drawn, index: number, point: number, at: Place): Drawn => {
  const line = drawn.lines[index]!;
  const places = placesOf(line);
  return withLine(drawn, index, withPlaces(line, [...places.slice(0, point + 1), at, ...places.slice(point + 1)]));
};

/** Without a point; a line with too few left goes altogether. */
export const withoutPoint = (drawn: Drawn, index: number, point: number): Drawn => {
  const line = drawn.lines[index]!;
  const places = placesOf(line).filter((_, at) => at !== point);
  return places.length < (line.closed ? 3 : 2)
    ? withoutLine(drawn, index)
    : withLine(drawn, index, withPlaces(line, places));
};

/** Without a line. */
export const withoutLine = (drawn: Drawn, index: number): Drawn => ({
  ...drawn,
  lines: drawn.lines.filter((_, at) => at !== index),
});

/** One more line, straight, below what is there. */
export const withNewLine = (drawn: Drawn, lengthMm: number): Drawn => {
  const all = drawn.lines.flatMap(placesOf);
  const low = Math.min(0, ...all.map(([, y]) => y));
  const half = tenth(lengthMm / 2);
  const y = tenth(low - 20);
  return { ...drawn, lines: [...drawn.lines, { points: [-half, y, half, y], closed: false }] };
};

const far = ([px, py]: Place, [ax, ay]: Place, [bx, by]: Place): number => {
  const length = Math.hypot(bx - ax, by - ay);
  return length === 0 ? Math.hypot(px - ax, py - ay) : Math.abs((bx - ax) * (py - ay) - (by - ay) * (px - ax)) / length;
};

/** Points that a line keeps so that it stays within `mm` of all of them, by the farthest first; a stack, for lines may be long. */
const thinned = (points: readonly Place[], mm: number): readonly Place[] => {
  const kept = new Set([0, points.length - 1]);
  const open: (readonly [number, number])[] = [[0, points.length - 1]];
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    const [from, to] = next;
    let [most, at] = [mm, -1];
    for (let index = from + 1; index < to; index += 1) {
      const away = far(points[index]!, points[from]!, points[to]!);
      if (away > most) [most, at] = [away, index];
    }
    if (at < 0) continue;
    kept.add(at);
    open.push([from, at], [at, to]);
  }
  return points.filter((_, index) => kept.has(index));
};

/** Lines as they are lit, to be drawn on by hand: few points each, about the origin of the lines. */
export const toDrawOn = (lines: readonly LitLine[], [atX, atY]: Place, name: string): Drawn => ({
  name,
  scale: 1,
  lines: lines.map(({ points, closed, layer }) => {
    const places = (closed ? [...points, points[0]!] : points).map(([x, y]): Place => [x - atX, y - atY]);
    const few = thinned(places, drawnOnMm);
    const own = { points: [...numbersOf(closed ? few.slice(0, -1) : few)], closed };
    return layer === '' ? own : { ...own, layer };
  }),
});

/** Lines drawn by hand take the place of what was lit: scale and moved ends are in them already. */
export const takeDrawn = (at: LinesAt, drawn: Drawn): DesignChange => [
  set(at.from, 'drawn'),
  set(at.drawn, drawn),
  set(at.scale, 1),
  set(at.corners, []),
  set(at.ends, []),
];
