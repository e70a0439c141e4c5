import type { PartToLay } from './laid.js';

/** Amounts are kept to a millionth: what is less is nothing. */
export const nothing = 1e-6;

/** A rectangle (mm). */
export type Part = readonly [widthMm: number, heightMm: number];

export const sizeOf = ({ widthMm, heightMm }: PartToLay): Part => [widthMm, heightMm];

/** A lot with what is still to be given of it. */
export interface Stocked {
  readonly id: string;
  readonly sheetMm: Part | undefined;
  readonly startedWith: number;
  left: number;
}

/** What was taken of each lot, by its id. */
export type Taken = Map<string, number>;

/** Gives an amount of a lot. Mutates both. */
export const take = (lot: Stocked, taken: Taken, amount: number): void => {
  lot.left -= amount;
  taken.set(lot.id, (taken.get(lot.id) ?? 0) + amount);
};
