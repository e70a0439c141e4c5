import { setFence } from './fence.js';
import type { CutterKind, FenceScale, Pass } from './types.js';

/** Neighbouring passes overlap at least so much, or a sliver stays (mm). */
const overlapMm = 0.3;
const almost = 1e-6;

/** The passes that clear a channel, and the width that comes of them as the fence can be set (mm). */
export interface Cleared {
  readonly passes: readonly Pass[];
  readonly clearMm: number;
}

/** A channel to be cleared, by its near side from the fence (mm). */
export interface ChannelAsked {
  readonly fromMm: number;
  readonly widthMm: number;
  /** The least width that does: of the sheet that sits in it, and what it must play. */
  readonly leastMm: number;
}

/**
 * Passes of a blade or bit `cutMm` wide that clear a channel, nearest the fence first. The first is set as near as the fence
 * can be; the last so that the width comes nearest to what is wanted, and never below `leastMm`; those between overlap their
 * neighbours, checked as set. Null when the cutter is wider than the channel.
 */
export const clearChannel = (channel: ChannelAsked, cutMm: number, scale: FenceScale): Cleared | null => {
  const { fromMm, widthMm, leastMm } = channel;
  if (cutMm > widthMm + almost) return null;
  const first = setFence(fromMm, scale);
  const wantedLast = fromMm + widthMm - cutMm;
  const nearest = Math.max(first, setFence(wantedLast, scale));
  const last = nearest + cutMm - first >= leastMm - almost ? nearest : setFence(first + leastMm - cutMm, scale, 'up');
  const apart = cutMm - overlapMm;
  const between = (count: number): readonly Pass[] =>
    Array.from({ length: count }, (_, at) => {
      const share = count === 1 ? 0 : at / (count - 1);
      const wantedMm = fromMm + share * (wantedLast - fromMm);
      if (at === 0) return { wantedMm, fenceMm: first };
      if (at === count - 1) return { wantedMm, fenceMm: last };
      return { wantedMm, fenceMm: setFence(first + share * (last - first), scale) };
    });
  const leavesRib = (passes: readonly Pass[]): boolean =>
    passes.some(({ fenceMm }, at) => at > 0 && fenceMm - passes[at - 1]!.fenceMm > cutMm - overlapMm / 3);
  let count = last - first < almost ? 1 : 1 + Math.max(1, Math.ceil((last - first) / apart - almost));
  let passes = between(count);
  while (leavesRib(passes) && count < 500) passes = between((count += 1));
  return { passes, clearMm: last + cutMm - first };
};

/**
 * A rabbet that is open at the edge along the fence, cleared by a blade or bit of any width. One as wide as the rabbet, or
 * wider, is sunk into a sacrificial face on the fence, so that the rabbet’s width stands out: the fence reads less than nothing.
 */
export const clearEdge = (
  { widthMm, leastMm }: Omit<ChannelAsked, 'fromMm'>,
  cutMm: number,
  scale: FenceScale,
): Cleared => {
  if (cutMm <= widthMm) return clearChannel({ fromMm: 0, widthMm, leastMm }, cutMm, scale)!;
  // What stands out is set, not how far it is sunk.
  const nearest = setFence(widthMm, scale);
  const outMm = nearest >= leastMm - almost ? nearest : setFence(leastMm, scale, 'up');
  return { passes: [{ wantedMm: widthMm - cutMm, fenceMm: outMm - cutMm }], clearMm: outMm };
};

/** How deep a bit may cut at once, as a share of its diameter, and at most (mm). */
const bitShare = 0.5;
const mostBitMm = 6;

/** Heights of blade or bit over the table, one run after the other, down to the depth (mm): a saw cuts it at once. */
export const heightsTo = (
  depthMm: number,
  cutter: { readonly kind: CutterKind; readonly cutMm: number },
): readonly number[] => {
  if (cutter.kind === 'blade') return [depthMm];
  const step = Math.min(mostBitMm, Math.max(1, cutter.cutMm * bitShare));
  const runs = Math.max(1, Math.ceil(depthMm / step - almost));
  return Array.from({ length: runs }, (_, run) => (depthMm * (run + 1)) / runs);
};
