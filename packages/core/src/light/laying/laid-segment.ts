import type { Point3, Segment } from '../runs/types.js';
import type { LaidSegment } from './along-paths.js';

/** What a segment is besides where it was laid. */
interface Laying extends Pick<Segment, 'number' | 'normal' | 'on'> {
  /** How high it lies, and how many LEDs its strip has to the metre. */
  readonly zMm: number;
  readonly ledsPerM: number;
}

/** A segment that was laid along a path, at its height. */
export const segmentOfLaid = (laid: LaidSegment, { number, normal, on, zMm, ledsPerM }: Laying): Segment => {
  const path = laid.path.map(([x, y]): Point3 => [x, y, zMm]);
  return {
    number,
    from: path[0]!,
    to: path.at(-1)!,
    path,
    lengthMm: laid.lengthMm,
    leftoverMm: laid.leftoverMm,
    normal,
    on,
    ledCount: Math.round((laid.lengthMm * ledsPerM) / 1000),
  };
};
