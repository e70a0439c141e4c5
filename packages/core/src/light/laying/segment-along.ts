import type { Strip } from '../../document/catalogue/index.js';
import { snapToCut } from './snap.js';
import type { Point3, Segment } from '../runs/index.js';

/** A segment before it has its number. */
export type Blueprint = Omit<Segment, 'number'>;

/** A straight segment centred on `middle`, running along `direction`. */
export const segmentAlong = (
  strip: Strip,
  roomMm: number,
  middle: Point3,
  direction: Point3,
  rest: Pick<Segment, 'normal' | 'on'>,
): Blueprint => {
  const { lengthMm, leftoverMm } = snapToCut(roomMm, strip.cutPitchMm);
  const offset = (sign: number): Point3 => [
    middle[0] + (sign * direction[0] * lengthMm) / 2,
    middle[1] + (sign * direction[1] * lengthMm) / 2,
    middle[2],
  ];
  const [from, to] = [offset(-1), offset(1)];
  return {
    ...rest,
    from,
    to,
    path: [from, to],
    lengthMm,
    leftoverMm,
    ledCount: Math.round((lengthMm * strip.ledsPerM) / 1000),
  };
};
