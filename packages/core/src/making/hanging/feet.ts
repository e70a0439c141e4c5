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

/** Feet are so high (mm), and so wide as their stock is thick. */
export const footHighMm = 30;

/** A screw through a foot from below: what is bought, how deep it is sunk into the foot, how far it goes into what stands on it (mm). */
export interface FootScrew {
  readonly id: string;
  readonly sunkMm: number;
  readonly intoMm: number;
}

const long = { id: 'corner-screw', lengthMm: 40 } as const;
const short = { id: 'cleat-screw', lengthMm: 30 } as const;
/** Wood left before its point (mm). */
const leftMm = 1.5;

/** What holds a foot to a bottom so thick: its point stays in. */
export const footScrewOf = (bottomMm: number): FootScrew => {
  const into = long.lengthMm - footHighMm;
  if (into <= bottomMm - leftMm) return { id: long.id, sunkMm: 0, intoMm: into };
  const intoMm = Math.max(1, bottomMm - leftMm);
  return { id: short.id, sunkMm: footHighMm + intoMm - short.lengthMm, intoMm };
};
