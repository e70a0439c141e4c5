/** What came of reading a whole shop from a file: how many rows of each table were new, how many were there already. */
export interface ShopFileReport {
  readonly added: Readonly<Record<string, number>>;
  readonly known: Readonly<Record<string, number>>;
}
