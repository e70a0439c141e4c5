import { failure, success, type Problem, type Result } from '../../base/result.js';
import type { Fit } from './types.js';

/** A square cut out of a sheet: the piece that came out, and the hole that it left, across the same way (mm). */
export interface KerfPair {
  readonly pieceMm: number;
  readonly holeMm: number;
}

/** An offcut measured whole, and both of its halves together once it was sawn in two (mm). */
export interface SawnPair {
  readonly wholeMm: number;
  readonly halvesMm: number;
}

/** Width of a cut, and what the machine’s own scale adds to every length, apart from it (mm). */
export interface KerfFit extends Fit {
  readonly scaleErrorMm: number;
}

/** Wider is no cut that a shop makes at once (mm). */
const widestMm = 40;

/** Mean of readings with the standard error of the mean. */
const meanOf = (readings: readonly number[]): Fit => {
  const value = readings.reduce((sum, each) => sum + each, 0) / readings.length;
  const freedom = readings.length - 1;
  const squares = readings.reduce((sum, each) => sum + (each - value) ** 2, 0);
  return {
    value,
    error: freedom > 0 ? Math.sqrt(squares / freedom / readings.length) : 0,
    readings: readings.length,
    offShares: readings.map((each) => (each - value) / value),
  };
};

const checked = (
  pairs: readonly (readonly [large: number, small: number])[],
  names: readonly [large: string, small: string],
  swapped: string,
): readonly Problem[] =>
  pairs.flatMap(([large, small], index): readonly Problem[] => {
    for (const [at, value] of [large, small].entries())
      if (!(value > 0)) return [{ path: `${index}.${names[at]}`, message: 'must be a length above 0, in millimetres' }];
    if (large <= small) return [{ path: `${index}.${names[0]}`, message: swapped }];
    if (large - small > 2 * widestMm)
      return [
        {
          path: `${index}.${names[0]}`,
          message: 'these two are too far apart for one cut; was the same square measured?',
        },
      ];
    return [];
  });

/**
 * Kerf from squares cut on the line, without any compensation: a piece is smaller by half a kerf on each side, its hole larger
 * by as much, so kerf = (hole − piece) / 2. What both have in common, (hole + piece) / 2 less what was drawn, is the machine’s
 * own error and does not belong to the kerf.
 */
export const fitKerf = (pairs: readonly KerfPair[], drawnMm: number): Result<KerfFit> => {
  const problems = checked(
    pairs.map(({ holeMm, pieceMm }) => [holeMm, pieceMm]),
    ['holeMm', 'pieceMm'],
    'the hole is not larger than the piece; are the two swapped, or was it cut with compensation?',
  );
  if (problems.length > 0) return failure(...problems);
  if (pairs.length === 0) return failure({ path: '', message: 'no readings yet' });
  const middles = pairs.map(({ holeMm, pieceMm }) => (holeMm + pieceMm) / 2 - drawnMm);
  return success({
    ...meanOf(pairs.map(({ holeMm, pieceMm }) => (holeMm - pieceMm) / 2)),
    scaleErrorMm: middles.reduce((sum, each) => sum + each, 0) / middles.length,
  });
};

/** Kerf of a saw from offcuts sawn in two: what the halves lack of the whole. */
export const fitSawKerf = (pairs: readonly SawnPair[]): Result<Fit> => {
  const problems = checked(
    pairs.map(({ wholeMm, halvesMm }) => [wholeMm, halvesMm]),
    ['wholeMm', 'halvesMm'],
    'the halves together are not shorter than the whole; are the two swapped?',
  );
  if (problems.length > 0) return failure(...problems);
  if (pairs.length === 0) return failure({ path: '', message: 'no readings yet' });
  return success(meanOf(pairs.map(({ wholeMm, halvesMm }) => wholeMm - halvesMm)));
};
