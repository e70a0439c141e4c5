/** Where a figure comes from: a made-up but usual value, or the shop's own reading. */
export type Provenance = 'typical' | 'measured';

/** How an item’s figures were measured by the shop. */
export interface Measured {
  /** The day, as 2030-01-31. */
  readonly on: string;
  readonly how: string;
  readonly readings: number;
  /** Standard error, as a share of the figure. */
  readonly errorShare: number;
}

/** What every item of the shelf has. */
export interface ShelfItem {
  readonly id: string;
  readonly name: string;
  readonly provenance: Provenance;
  /** Set once the shop has measured it. */
  readonly measured?: Measured;
  /** In the catalogue's currency, for the unit the kind of item is bought in. */
  readonly price: number;
  /** Bought in packs of so many units; one by one when left out. */
  readonly packOf?: number;
  /** The day on which that price was right, and where and how fast the shop gets it (days). */
  readonly pricedOn?: string;
  readonly supplier?: string;
  readonly leadDays?: number;
  /** The day on which the shop last changed it; as it ships when left out. */
  readonly editedOn?: string;
  /** No longer offered since that day; designs that have it keep it. */
  readonly retiredOn?: string;
  /** The item that stands in its place since it was changed while designs had it. */
  readonly newerId?: string;
  /** Its first id, which all that followed it share; its own when left out. */
  readonly lineId?: string;
}
