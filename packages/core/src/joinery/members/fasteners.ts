import { cornerJoints } from './joints.js';
import type { CornerJoint, Fastener, Plug, Seat } from './types.js';

/** Wood left round a fastener: to an edge, as a multiple of its diameter, and to a seat (mm). */
const edgeTimes = 2.5;
const toSeatMm = 2.5;
/** From one fastener to the next at most, and at least as a multiple of the diameter (mm). */
const everyMm = 120;
const apartTimes = 4;

/** A plug, and the wood that stays under the head of the screw beneath it (mm). */
const plugDiameterMm = 10;
const plugDepthMm = 6;
const leastPlugDepthMm = 4;
const underHeadMm = 5;

/** Stock in which a screw may be sunk under a plug (mm). */
export const leastPluggedMm = leastPlugDepthMm + underHeadMm;

const plugIn = (thicknessMm: number): Plug | null =>
  thicknessMm < leastPluggedMm
    ? null
    : { diameterMm: plugDiameterMm, depthMm: Math.min(plugDepthMm, thicknessMm - underHeadMm) };

/** Where a slot in a mitre begins along the slope, from its inner edge: there the wood behind it is thickest. */
export const mitreSlotShare = 0.35;
/** Wood left between the end of a slot and the outer side, and room for glue at the end of a tenon (mm). */
const behindSlotMm = 2;
export const glueRoomMm = 1;
const longestTenonMm = 30;

/** A loose tenon: slots square to a slope of 45° meet the outer side (1 − share) · √2 · thickness behind it. */
const tenonMm = (thicknessMm: number): number =>
  Math.min(
    longestTenonMm,
    Math.floor(2 * ((1 - mitreSlotShare) * Math.SQRT2 * thicknessMm - behindSlotMm - glueRoomMm)),
  );

/** A threaded insert: its bore, and how deep that is (mm). */
export const insertMm = 6;
export const insertDeepMm = 12;
/** Its hole through the other member lets a machine screw pass (mm). */
export const insertThroughMm = 4.5;

/** Screws as they are sold (mm); about two and a half times as long as the stock is thick. */
const screwLengths = [30, 40, 50, 60] as const;

const sizes: Readonly<
  Record<Fastener['kind'], (thicknessMm: number) => Omit<Fastener, 'fromFrontMm' | 'kind' | 'plug'>>
> = {
  screw: (thicknessMm) => ({ diameterMm: 4, lengthMm: screwLengths.find((mm) => mm >= 2.4 * thicknessMm) ?? 60 }),
  'pocket-screw': (thicknessMm) => ({ diameterMm: 4, lengthMm: thicknessMm < 16 ? 25 : 32 }),
  dowel: (thicknessMm) => ({ diameterMm: thicknessMm < 16 ? 6 : 8, lengthMm: 30 }),
  tenon: (thicknessMm) => ({ diameterMm: thicknessMm < 16 ? 5 : 6, lengthMm: tenonMm(thicknessMm) }),
  // Bored as wide as the insert is; the machine screw is as long as the board is thick and the insert deep.
  insert: (thicknessMm) => ({ diameterMm: insertMm, lengthMm: thicknessMm + insertDeepMm }),
};

/** Stretches across the width where the middle of a hole may be: clear of both edges and of every seat (mm). */
const roomFor = (
  widthMm: number,
  seats: readonly Seat[],
  diameterMm: number,
  /** Wider than the hole, and into the stock from the outside, where seats are cut from the inside. */
  bore: { readonly diameterMm: number; readonly leftMm: number } | null,
): readonly (readonly [from: number, to: number])[] => {
  const edge = edgeTimes * diameterMm;
  let free: readonly (readonly [number, number])[] = [[edge, widthMm - edge]];
  for (const { fromFrontMm, widthMm: seatMm, depthMm } of seats) {
    const meets = bore !== null && depthMm > bore.leftMm - toSeatMm;
    const clear = (meets ? bore.diameterMm : diameterMm) / 2 + toSeatMm;
    const [low, high] = [fromFrontMm - clear, fromFrontMm + seatMm + clear];
    free = free.flatMap(([from, to]) => [[from, Math.min(to, low)] as const, [Math.max(from, high), to] as const]);
  }
  return free.filter(([from, to]) => to >= from);
};

/**
 * Fasteners of one kind across a corner, spread over the widest stretch of the end that is clear of edges and seats; null
 * where there is no room for even one.
 */
export const fastenersOf = (
  fastener: Fastener['kind'],
  widthMm: number,
  thicknessMm: number,
  seats: readonly Seat[],
  plugged = false,
): readonly Fastener[] | null => {
  const size = sizes[fastener](thicknessMm);
  const plug = plugged && fastener === 'screw' ? plugIn(thicknessMm) : null;
  const bore = plug === null ? null : { diameterMm: plug.diameterMm, leftMm: thicknessMm - plug.depthMm };
  const stretches = roomFor(widthMm, seats, size.diameterMm, bore);
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
    plug,
    fromFrontMm: count === 1 ? (from + to) / 2 : from + inset + ((roomMm - 2 * inset) * at) / (count - 1),
  }));
};

/** Those that a joint has; an empty list where it has none, null where there is no room for even one. */
export const cornerFasteners = (
  joint: CornerJoint,
  widthMm: number,
  thicknessMm: number,
  seats: readonly Seat[],
  plugged = false,
): readonly Fastener[] | null => {
  const { fastener } = cornerJoints[joint];
  return fastener === null || fastener === 'spline' ? [] : fastenersOf(fastener, widthMm, thicknessMm, seats, plugged);
};
