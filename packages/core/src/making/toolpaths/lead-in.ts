import { inOutline, measureLine, ringLength, type Outline, type Point, type Ring } from '../../base/outlines/index.js';

/** Where a ring is begun, and how its tool comes there: points from the waste up to the beginning, which is left out. */
export interface Beginning {
  /** The ring from its beginning all the way round; the beginning comes first and is not repeated. */
  readonly ring: Ring;
  readonly leadIn: Ring;
}

/** So many places are tried, and the lead as long as wanted, then half, then a quarter of it. */
const placesTried = 48;
const shares = [1, 0.5, 0.25] as const;
const leadChords = 12;

/**
 * A quarter turn that comes from the waste to `at` the way that the tool goes on: waste lies to the right of every ring,
 * outside of what is anticlockwise, inside of what is clockwise.
 */
const quarterTurn = ([x, y]: Point, [dx, dy]: Point, radiusMm: number): Ring => {
  const centre: Point = [x + dy * radiusMm, y - dx * radiusMm];
  return Array.from({ length: leadChords }, (_, step): Point => {
    const angle = (Math.PI / 2) * (step / leadChords);
    const [back, side] = [-Math.cos(angle) * radiusMm, Math.sin(angle) * radiusMm];
    return [centre[0] + dx * back - dy * side, centre[1] + dy * back + dx * side];
  });
};

/** Places to begin at, the middles of the longest straights first, then all round: (mm along the ring). */
const placesOf = (ring: Ring): readonly number[] => {
  const total = ringLength(ring);
  let upTo = 0;
  const middles = ring.map((from, at) => {
    const to = ring[(at + 1) % ring.length]!;
    const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
    upTo += long;
    return { mm: upTo - long / 2, long };
  });
  const straights = middles.sort((a, b) => b.long - a.long).slice(0, placesTried / 2);
  return [
    ...straights.map(({ mm }) => mm),
    ...Array.from({ length: placesTried / 2 }, (_, at) => (total * (at + 0.5)) / (placesTried / 2)),
  ];
};

/** The ring from a place of it on. */
const begunAt = (ring: Ring, mm: number): Ring => {
  const start = measureLine(ring, true).station(mm).at;
  let upTo = 0;
  for (let at = 0; at < ring.length; at += 1) {
    const [from, to] = [ring[at]!, ring[(at + 1) % ring.length]!];
    upTo += Math.hypot(to[0] - from[0], to[1] - from[1]);
    if (upTo >= mm) return [start, ...ring.slice(at + 1), ...ring.slice(0, at + 1)];
  }
  return ring;
};

/**
 * Begins a ring that the middle of a tool follows where it can come in from the waste without touching what is kept (`solid`: what
 * all rings of the part enclose, with half the cut round it). Where there is no room it begins on its longest straight, with no lead.
 */
export const beginRing = (ring: Ring, solid: Outline, leadMm: number): Beginning => {
  const line = measureLine(ring, true);
  const places = placesOf(ring);
  if (leadMm > 0)
    for (const share of shares)
      for (const mm of places) {
        const { at, along } = line.station(mm);
        const leadIn = quarterTurn(at, along, share * leadMm);
        if (!leadIn.some((point) => inOutline(point, solid))) return { ring: begunAt(ring, mm), leadIn };
      }
  return { ring: begunAt(ring, places[0] ?? 0), leadIn: [] };
};
