import type { LetterResults } from './results.js';
import { wireHoleMm } from '../common/wire-routes.js';
import {
  measureLine,
  outlineBounds,
  simplify,
  type Outline,
  type Point,
  type Rect,
} from '../../base/outlines/index.js';
import { entersAs } from '../common/enters-as.js';
import { circle, faint, polyline, signal, text, type Tile } from '../../making/templates/index.js';

/** Drawn round the letters (mm). */
export const aroundMm = 15;
/** Curves are printed this closely (mm). */
const printedMm = 0.05;
/** From arrow to arrow along a segment (mm). */
const arrowEveryMm = 120;

/** The sheet that something is drawn on, with room round it. */
export const sheetRound = ({ x, y, width, height }: Rect): Rect => ({
  x: x - aroundMm,
  y: y - aroundMm,
  width: width + 2 * aroundMm,
  height: height + 2 * aroundMm,
});

/** The sheet that letters are drawn on. */
export const sheetOf = ({ lettering }: LetterResults): Rect =>
  sheetRound(outlineBounds(lettering.outline) ?? { x: 0, y: 0, width: 0, height: 0 });

/** Places on that sheet, seen from the front. */
export const moved =
  (sheet: Rect) =>
  ([x, y]: readonly [number, number, ...number[]]): Point => [x - sheet.x, y - sheet.y];
/** The same seen from behind: left is right. */
export const turned =
  (sheet: Rect) =>
  ([x, y]: readonly [number, number, ...number[]]): Point => [sheet.x + sheet.width - x, y - sheet.y];

/** An outline on that sheet, as closely as it is printed. */
export const mapped = (outline: Outline, place: (point: Point) => Point): Outline =>
  simplify(outline, printedMm).map((ring) => ring.map(place));

const drawSegment = (
  tile: Tile,
  path: readonly Point[],
  widthMm: number,
  cutPitchMm: number,
  lengthMm: number,
  number: number,
  enters: string,
): void => {
  const run = measureLine(path, false);
  const beside = (mm: number, off: number): Point => {
    const { at, along } = run.station(mm);
    return [at[0] - along[1] * off, at[1] + along[0] * off];
  };
  const steps = Math.max(1, Math.ceil(lengthMm / 3));
  for (const side of [-1, 1])
    polyline(
      tile,
      Array.from({ length: steps + 1 }, (_, step) => beside((step * lengthMm) / steps, (side * widthMm) / 2)),
      false,
    );
  for (let cut = 0; cut <= lengthMm + 0.5; cut += cutPitchMm) {
    const [a, b] = [beside(cut, -widthMm / 2), beside(cut, widthMm / 2)];
    const end = cut === 0 || cut > lengthMm - cutPitchMm / 2;
    polyline(tile, [a, b], false, end ? undefined : faint, end ? 0.8 : 0.3);
  }
  for (let mark = Math.min(lengthMm / 2, 30); mark < lengthMm; mark += arrowEveryMm)
    polyline(tile, [beside(mark - 4, 2), run.station(mark).at, beside(mark - 4, -2)], false, signal, 0.8);
  const [x, y] = beside(Math.min(lengthMm / 2, 12), widthMm / 2 + 2);
  text(tile, `${number}`, x, y, 11, signal);
  const [ex, ey] = beside(0, -widthMm / 2 - 4);
  text(tile, enters, ex, ey, 6);
};

/** Segments and jumpers in place. */
export const drawRuns = (
  tile: Tile,
  {
    runs,
    jumpers,
    materials,
  }: Pick<LetterResults, 'materials'> & {
    readonly runs: Pick<LetterResults['runs'], 'segments'>;
    readonly jumpers: readonly {
      readonly path: readonly (readonly [number, number, ...number[]])[];
      readonly holes: readonly (readonly [number, number, ...number[]])[];
    }[];
  },
  shownMm: number,
  place: (point: readonly [number, number, ...number[]]) => Point,
): void => {
  for (const { path, lengthMm, number } of runs.segments)
    drawSegment(
      tile,
      path.map(place),
      shownMm,
      materials.strip.cutPitchMm,
      lengthMm,
      number,
      entersAs(materials.strip),
    );
  for (const { path, holes } of jumpers) {
    polyline(tile, path.map(place), false, signal, 0.4);
    for (const [x, y] of holes.map(place)) circle(tile, x, y, wireHoleMm, signal);
  }
};
