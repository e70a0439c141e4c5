import type { SegmentRef } from '../../document/design/index.js';
import { segmentIndexOf, type Chain } from '../../power/circuit/index.js';
import { frontOf, type AssemblyResults, type SignResults } from '../results/index.js';
import type { Place } from './types.js';

/** The whole front of an assembly. */
export const wholeFront = (results: Pick<AssemblyResults, 'geometry'>): Place => ({
  view: 'front',
  rect: frontOf(results),
});

/** The whole sign from the front. */
export const wholeSign = ({ bounds }: Pick<SignResults, 'bounds'>): Place => ({ view: 'front', rect: bounds });

/** Room shown round a segment that is pointed at (mm). */
const roundMm = 10;

/** A segment by its index in the sign, as a place on the front; the whole sign when there is none. */
export const segmentPlace = (results: Pick<SignResults, 'circuit' | 'bounds'>, index: number): Place => {
  const segment = results.circuit.segments[index];
  if (segment === undefined) return wholeSign(results);
  const [xs, ys] = [segment.path.map(([x]) => x), segment.path.map(([, y]) => y)];
  const [left, low] = [Math.min(...xs) - roundMm, Math.min(...ys) - roundMm];
  return {
    view: 'front',
    rect: { x: left, y: low, width: Math.max(...xs) + roundMm - left, height: Math.max(...ys) + roundMm - low },
  };
};

/** The same by its reference. */
export const refPlace = (results: Pick<SignResults, 'circuit' | 'bounds'>, ref: SegmentRef): Place =>
  segmentPlace(results, segmentIndexOf(results.circuit.segments, ref));

/** The segment where a chain is dimmest. */
export const dimPlace = (results: Pick<SignResults, 'circuit' | 'bounds'>, chain: Chain): Place =>
  segmentPlace(results, results.circuit.groups.segment[chain.dimmestGroup]!);
