import type { Spacer } from '../../document/catalogue/index.js';

/** So many of each thing make up a pile, the highest first. */
export interface Pile {
  readonly heightMm: number;
  readonly pieces: readonly { readonly spacer: Spacer; readonly count: number }[];
  /** Over what was wanted; negative where it is under it. */
  readonly errorMm: number;
}

/** Heights are told to this (mm). */
const stepMm = 0.1;
/** No pile is higher (mm); more pieces than this do not stand. */
const mostMm = 900;
export const mostPieces = 8;

const nothing = (wantedMm: number): Pile => ({ heightMm: 0, pieces: [], errorMm: -wantedMm });

/**
 * The pile from the stock that comes nearest to a height, of all that come as near the one with the fewest pieces. By
 * fewest pieces for every tenth of a millimetre up to a stock’s height over what is wanted.
 */
export const pileFor = (wantedMm: number, stock: readonly Spacer[]): Pile => {
  const wanted = Math.min(mostMm, Math.max(0, wantedMm));
  const high = stock.map(({ heightMm }) => Math.round(heightMm / stepMm)).filter((steps) => steps > 0);
  if (high.length === 0 || wanted < stepMm / 2) return nothing(wantedMm);
  const most = Math.round(wanted / stepMm) + Math.max(...high);
  const pieces = new Int32Array(most + 1).fill(1e6);
  const last = new Int32Array(most + 1).fill(-1);
  pieces[0] = 0;
  for (let at = 1; at <= most; at += 1)
    stock.forEach(({ heightMm }, item) => {
      const from = at - Math.round(heightMm / stepMm);
      if (from >= 0 && from < at && pieces[from]! + 1 < pieces[at]!) {
        pieces[at] = pieces[from]! + 1;
        last[at] = item;
      }
    });
  let best = 0;
  const off = (at: number): number => Math.abs(at * stepMm - wanted);
  for (let at = 1; at <= most; at += 1) {
    if (pieces[at]! > mostPieces) continue;
    const nearer = off(at) - off(best);
    if (nearer < -stepMm / 2 || (nearer < stepMm / 2 && pieces[at]! < pieces[best]!)) best = at;
  }
  const counts = new Map<number, number>();
  for (let at = best; at > 0; at -= Math.round(stock[last[at]!]!.heightMm / stepMm))
    counts.set(last[at]!, (counts.get(last[at]!) ?? 0) + 1);
  const heightMm = Math.round(best) * stepMm;
  return {
    heightMm,
    pieces: [...counts]
      .map(([item, count]) => ({ spacer: stock[item]!, count }))
      .sort((a, b) => b.spacer.heightMm - a.spacer.heightMm),
    errorMm: heightMm - wantedMm,
  };
};
