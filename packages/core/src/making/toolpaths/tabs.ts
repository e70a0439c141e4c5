import { ringLength, type Point, type Ring } from '../../base/outlines/index.js';

/** Bridges of one ring: how wide each is left, how far apart at most (mm). */
export interface TabPlan {
  readonly widthMm: number;
  readonly everyMm: number;
}

/** A piece of a ring: cut through, or over a bridge. */
export interface RingPiece {
  readonly kind: 'cut' | 'tab';
  readonly points: Ring;
}

/** A ring of its own has at least so many bridges, where there is room for them. */
const leastTabs = 3;
/** Bridges take no more of a ring than this share. */
const mostShare = 0.4;

/** How many bridges a ring gets whose tool is `cutMm` wide; none where they would be most of it. */
export const tabCount = (lengthMm: number, { widthMm, everyMm }: TabPlan, cutMm: number): number => {
  if (widthMm <= 0) return 0;
  const wanted = Math.max(leastTabs, Math.ceil(lengthMm / everyMm));
  return Math.min(wanted, Math.floor((mostShare * lengthMm) / (widthMm + cutMm)));
};

/** An open line between two places of it (mm from its start). */
const between = (points: Ring, fromMm: number, toMm: number): Ring => {
  const found: Point[] = [];
  let upTo = 0;
  for (let at = 1; at < points.length; at += 1) {
    const [a, b] = [points[at - 1]!, points[at]!];
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const place = (mm: number): Point => {
      const share = (mm - upTo) / long;
      return [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share];
    };
    if (long > 0 && upTo + long > fromMm && upTo < toMm) {
      if (found.length === 0) found.push(upTo >= fromMm ? a : place(fromMm));
      found.push(upTo + long <= toMm ? b : place(toMm));
    }
    upTo += long;
  }
  return found;
};

/** The middles of the straights long enough for a bridge (mm from the start). */
const straightsOf = (line: Ring, spanMm: number): readonly { readonly fromMm: number; readonly toMm: number }[] => {
  let upTo = 0;
  return line.slice(1).flatMap((to, at) => {
    const from = line[at]!;
    const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
    upTo += long;
    return long >= spanMm ? [{ fromMm: upTo - long + spanMm / 2, toMm: upTo - spanMm / 2 }] : [];
  });
};

/**
 * A ring that is begun at its first point, in pieces: cut through, and over bridges spread evenly along it, each moved onto a
 * straight nearby where there is one, so that it breaks out clean. The tool takes half of its width at either end of a bridge.
 */
export const withTabs = (ring: Ring, plan: TabPlan, cutMm: number): readonly RingPiece[] => {
  const line = [...ring, ring[0]!];
  const lengthMm = ringLength(ring);
  const count = tabCount(lengthMm, plan, cutMm);
  if (count === 0) return [{ kind: 'cut', points: line }];
  const span = plan.widthMm + cutMm;
  // Clear of corners, where it would not break out clean.
  const straights = straightsOf(line, span + 2 * cutMm);
  const apart = lengthMm / count;
  const pieces: RingPiece[] = [];
  let doneMm = 0;
  for (let tab = 0; tab < count; tab += 1) {
    const wanted = (tab + 0.5) * apart;
    const near = straights
      .map(({ fromMm, toMm }) => Math.min(toMm, Math.max(fromMm, wanted)))
      .filter((middle) => Math.abs(middle - wanted) <= apart / 4)
      .sort((a, b) => Math.abs(a - wanted) - Math.abs(b - wanted));
    const middle = near[0] ?? wanted;
    pieces.push({ kind: 'cut', points: between(line, doneMm, middle - span / 2) });
    pieces.push({ kind: 'tab', points: between(line, middle - span / 2, middle + span / 2) });
    doneMm = middle + span / 2;
  }
  pieces.push({ kind: 'cut', points: between(line, doneMm, lengthMm) });
  return pieces.filter(({ points }) => points.length > 1);
};
