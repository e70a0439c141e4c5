import type { Problem } from '@vitrum/core';

/** What came of reading a whole shop from a file: how many of each were new, how many were there already. */
export interface ShopFileReport {
  readonly added: Readonly<Record<string, number>>;
  readonly known: Readonly<Record<string, number>>;
  /** Lines that were not understood; where there is one, nothing was taken. */
  readonly problems: readonly Problem[];
}
