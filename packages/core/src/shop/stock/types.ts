import type { CatalogueKind } from '../../document/catalogue/index.js';
import type { Need } from '../needs/index.js';
import type { LaidSheet } from './laid.js';

/** One piece, or several alike, of a thing of the shelf: a reel with what is left on it, a stack of sheets, an offcut, tins. */
export interface Lot {
  readonly id: string;
  readonly kind: CatalogueKind;
  /** What stock is kept under: an item and all that followed it. */
  readonly lineId: string;
  /** A piece of a length is one lot: two that lie side by side are not one. Sheets are counted, each of one size. */
  readonly form: Need['form'];
  /** Left of it: mm of a length, sheets, or as it is used. */
  readonly amount: number;
  readonly sheetMm?: readonly [widthMm: number, heightMm: number];
}

/** What a job has a claim to. */
export interface Claim {
  readonly jobId: string;
  readonly needs: readonly Need[];
}

/** What of one need is not there: so much of it, and which lengths or parts that is. */
export interface Short extends Need {
  /** What lies there of it all the same. */
  readonly there: number;
  /** Of sheets and bars: proven, no fewer need be bought, whatever goes on what lies there. */
  readonly atLeast?: number;
}

/** What a job is short of, and what of which lots it would be made from. */
export interface Allotted {
  readonly jobId: string;
  readonly shorts: readonly Short[];
  readonly taken: readonly { readonly lotId: string; readonly amount: number }[];
  /** How its parts lie on sheets, where that was asked. */
  readonly laid: readonly LaidSheet[];
}
