import { cornerJoints } from './joints.js';
import type { CornerJoint, Fastener, Seat } from './types.js';

/** Wood left round a fastener: to an edge, as a multiple of its diameter, and to a seat (mm). */
const edgeTimes = 2.5;
const toSeatMm = 2.5;
/** From one fastener to the next at most, and at least as a multiple of the diameter (mm). */
const everyMm = 120;
const apartTimes = 4;

const sizes: Readonly<Record<Fastener['kind'], (thicknessMm: number) => Omit<Fastener, 'fromFrontMm' | 'kind'>>> = {
  screw: (thicknessMm) => ({ diameterMm: 4, lengthMm: Math.max(30, Math.round(2.5 * thicknessMm)) }),
  'pocket-screw': (thicknessMm) => ({ diameterMm: 4, lengthMm: thicknessMm < 16 ? 25 : 32 }),
  dowel: (thicknessMm) => ({ diameterMm: thicknessMm < 16 ? 6 : 8, lengthMm: 30 }),
  tenon: (thicknessMm) => ({ diameterMm: thicknessMm < 16 ? 5 : 6, lengthMm: 30 }),
};

/** Stretches across the width where the middle of a hole may be: clear of both edges and of every seat (mm). */
const roomFor = (
  widthMm: number,
  seats: readonly Seat[],
  diameterMm: number,
): readonly (readonly [from: number, to: number])[] => {
  const edge = edgeTimes * diameterMm;
  const clear = diameterMm / 2 + toSeatMm;
  let free: readonly (readonly [number, number])[] = [[edge, widthMm - edge]];
  for (const { fromFrontMm, widthMm: seatMm } of seats) {
    const [low, high] = [fromFrontMm - clear, fromFrontMm + seatMm + clear];
    free = free.flatMap(([from, to]) => [[from, Math.min(to, low)] as const, [Math.max(from, high), to] as const]);
  }
  return free.filter(([from, to]) => to >= from);
};

/**
 * Fasteners across a corner, spread over the widest stretch of the end that is clear of edges and seats; an empty list where
 * the joint has none, null where there is no room for even one.
 */
export const cornerFasteners = (
  joint: CornerJoint,
  widthMm: number,
  thicknessMm: number,
  seats: readonly Seat[],
): readonly Fastener[] | null => {
  const { fastener } = cornerJoints[joint];
  if (fastener === null || fastener === 'spline') return [];
  const size = sizes[fastener](thicknessMm);
  const stretches = roomFor(widthMm, seats, size.diameterMm);
  const [widest] = [...stretches].sort(([a, b], [c, d]) => d - c - (b - a));
  if (widest === undefined) return null;
  const [from, to] = widest;
  const roomMm = to - from;
  const count = roomMm < apartTimes * size.diameterMm ? 1 : Math.max(2, Math.ceil(roomMm / everyMm) + 1);
  // With room to spare, a little in from both ends of the stretch.
  const inset = Math.min(roomMm / 6, 12);
  return Array.from({ length: count }, (_, at) => ({
    kind: fastener,
    ...size,
    fromFrontMm: count === 1 ? (from + to) / 2 : from + inset + ((roomMm - 2 * inset) * at) / (count - 1),
  }));
};
