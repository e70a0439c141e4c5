import type { Combs } from './combs.js';
import type { StandingSheet } from './scene.js';

/** A tooth of a comb: how wide, and between which sheets, by their places from back to front. */
export interface Tooth {
  readonly wideMm: number;
  readonly before: number;
  readonly behind: number;
}

/** Sheets that lie on each other share one slot (mm). */
const touchMm = 0.2;

/** The narrowest tooth between two slots; null where there is none. */
export const toothOf = (
  { each }: Pick<Combs, 'each'>,
  sheets: readonly Pick<StandingSheet, 'rearZMm' | 'frontZMm'>[],
): Tooth | null => {
  const holds = each[0]?.holds ?? [];
  return holds.slice(1).reduce<Tooth | null>((least, before, at) => {
    const behind = holds[at]!;
    const wideMm = sheets[before]!.rearZMm - sheets[behind]!.frontZMm;
    return wideMm > touchMm && (least === null || wideMm < least.wideMm) ? { wideMm, before, behind } : least;
  }, null);
};
