import type { Feet } from './types.js';

/** A sign on a counter must be tipped so far before it falls (degrees), typical: who bumps into it finds it standing. */
export const leastTipDeg = 10;
/** Feet are made with this over it. */
const wantedTipDeg = 14;

const tipped = (reachMm: number, highMm: number): number => (Math.atan2(Math.max(0, reachMm), highMm) * 180) / Math.PI;

/**
 * Feet under the middle of a sign’s depth: how far it may be tipped until its centre of gravity stands over the edge of its
 * feet, atan(reach / height), the smaller of both ways; and how deep they must be to make that `wantedTipDeg`.
 */
export const feetUnder = (bodyDepthMm: number, centreZMm: number, centreHighMm: number, footMm?: number): Feet => {
  const middle = bodyDepthMm / 2;
  const off = Math.abs(centreZMm - middle);
  const wantedMm = Math.ceil(
    Math.max(bodyDepthMm, 2 * (off + centreHighMm * Math.tan((wantedTipDeg * Math.PI) / 180))),
  );
  const depthMm = footMm ?? wantedMm;
  return { depthMm, wantedMm, tipDeg: tipped(depthMm / 2 - off, centreHighMm) };
};
