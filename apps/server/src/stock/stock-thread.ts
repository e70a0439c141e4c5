import {
  allot,
  shoppingList,
  type Allotted,
  type Catalogue,
  type Claim,
  type Lot,
  type ShoppingLine,
} from '@vitrum/core';

/** What the thread is given: what is there, and who wants of it, in the order of being served. */
export interface StockTask {
  readonly lots: readonly Lot[];
  readonly claims: readonly Claim[];
  /** Whose shorts go on the list to buy. */
  readonly buyFor: readonly string[];
  /** Whose parts are to be laid out on their sheets. */
  readonly laidFor: readonly string[];
  readonly catalogue: Catalogue;
}

export interface StockFound {
  readonly jobs: readonly Allotted[];
  readonly lines: readonly ShoppingLine[];
}

/** Runs in a thread of the pool: stock given to claims, and what is to be bought. */
export default ({ lots, claims, buyFor, laidFor, catalogue }: StockTask): StockFound => {
  const jobs = allot(lots, claims, new Set(laidFor));
  const wanted = new Set(buyFor);
  return {
    jobs,
    lines: shoppingList(
      jobs.filter(({ jobId }) => wanted.has(jobId)),
      catalogue,
    ),
  };
};
