import type { CatalogueKind, LaidSheet, Need, ShoppingLine, Short } from '@vitrum/core';
import { catalogueKinds } from '@vitrum/core';
import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsString, IsUUID, Max, MaxLength, Min } from 'class-validator';
import { IsDay, IsPlainText, MayBeAbsent } from './validators.js';

/** What becomes of stock: some of it by hand, some by what becomes of a job. */
export const stockWhats = [
  'bought',
  'counted',
  'used',
  'returned',
  'scrapped',
  'opened',
  'parted',
  'claimed',
  'released',
] as const;
export type StockWhat = (typeof stockWhats)[number];

const byHand = ['bought', 'counted', 'used', 'returned', 'scrapped', 'opened', 'parted'] as const;

const aNumber = { allowNaN: false, allowInfinity: false } as const;
const mostAmount = 10_000_000;

/** Something that became of stock. What is bought makes a new lot, or several; the rest is about one that is there. */
export class StockEntryDto {
  @IsUUID('all', { message: 'give the operation an id of its own, so that it counts once however often it is sent' })
  op: string;

  @IsIn(byHand, { message: `one of ${byHand.join(', ')}` })
  what: (typeof byHand)[number];

  @MayBeAbsent()
  @IsUUID('all', { message: 'the id of a lot' })
  lotId?: string;

  @MayBeAbsent()
  @IsIn(catalogueKinds, { message: `a list of the shelf: ${catalogueKinds.join(', ')}` })
  kind?: CatalogueKind;

  @MayBeAbsent()
  @IsString()
  @IsPlainText()
  @MaxLength(120, { message: 'an id has at most 120 characters' })
  itemId?: string;

  /** So much of it: mm of a length, sheets, or as it is used; of a count, what is there. */
  @MayBeAbsent()
  @IsNumber(aNumber, { message: 'a number' })
  @Min(0, { message: 'an amount is 0 or more' })
  @Max(mostAmount, { message: 'more than a shop has' })
  amount?: number;

  /** So many pieces of that length. */
  @MayBeAbsent()
  @IsInt({ message: 'a whole number of pieces' })
  @Min(1, { message: 'at least one piece' })
  @Max(200, { message: 'at most 200 pieces at once' })
  pieces?: number;

  @MayBeAbsent()
  @IsNumber(aNumber, { message: 'a width in millimetres' })
  @Min(1, { message: 'a width of 1 mm or more' })
  @Max(100_000, { message: 'wider than any sheet' })
  widthMm?: number;

  @MayBeAbsent()
  @IsNumber(aNumber, { message: 'a height in millimetres' })
  @Min(1, { message: 'a height of 1 mm or more' })
  @Max(100_000, { message: 'higher than any sheet' })
  heightMm?: number;

  @IsOptional()
  @IsDay('the day it was opened is one such as 2030-01-31')
  openedOn?: string | null;

  @MayBeAbsent()
  @IsUUID('all', { message: 'the id of a job' })
  jobId?: string;

  @MayBeAbsent()
  @IsString()
  @IsPlainText()
  @MaxLength(200, { message: 'a note has at most 200 characters' })
  note?: string;
}

/** An operation on what a job has a claim to. */
export class StockOpDto {
  @IsUUID('all', { message: 'give the operation an id of its own, so that it counts once however often it is sent' })
  op: string;
}

/** What a job has a claim to is used. */
export class StockUseDto extends StockOpDto {
  /** What is left of sheets that were cut into is entered as offcuts. */
  @MayBeAbsent()
  @IsBoolean({ message: 'true or false' })
  keepLeft?: boolean;
}

export interface LotView {
  readonly id: string;
  readonly kind: CatalogueKind;
  readonly lineId: string;
  readonly name: string;
  readonly form: Need['form'];
  readonly unit: string;
  readonly amount: number;
  readonly widthMm: number | null;
  readonly heightMm: number | null;
  readonly openedOn: string | null;
  readonly madeAt: string;
}

/** All of one thing that is there. */
export interface StockLineView {
  readonly kind: CatalogueKind;
  readonly lineId: string;
  readonly name: string;
  readonly form: Need['form'];
  readonly unit: string;
  readonly lots: number;
  readonly amount: number;
  /** The largest of its pieces: lengths are not added up; null where nothing is there. */
  readonly largest: number | null;
  /** What jobs have a claim to of it. */
  readonly claimed: number;
}

export interface StockEntryView {
  readonly seq: number;
  readonly what: StockWhat;
  readonly lotId: string | null;
  readonly name: string;
  readonly unit: string;
  readonly delta: number;
  readonly jobId: string | null;
  readonly jobName: string | null;
  readonly note: string;
  readonly at: string;
}

/** What a job is short of. */
export interface JobShort {
  readonly jobId: string;
  readonly name: string;
  readonly dueOn: string | null;
  readonly claimed: boolean;
  /** Whether what it takes has been worked out; that follows a save after a moment. */
  readonly known: boolean;
  readonly shorts: readonly Short[];
}

/** What an operation has come to: the lots it was about, and the jobs with a claim that are short after it. */
export interface StockDone {
  readonly lots: readonly LotView[];
  readonly short: readonly JobShort[];
}

/** What is to be bought for jobs, and what each is short of. */
export interface ShoppingView {
  readonly jobs: readonly JobShort[];
  readonly lines: readonly ShoppingLine[];
  readonly total: number;
}

/** The stock of one job: what it takes, whether it has a claim to it, and what is short. */
export interface JobStockView {
  readonly claimed: boolean;
  /** Whether `needs` are those of the design as it was last saved; if not, they follow in a moment. */
  readonly known: boolean;
  readonly needs: readonly Need[];
  readonly shorts: readonly Short[];
  readonly lines: readonly ShoppingLine[];
  /** Its parts on offcuts and sheets that lie in the shop, and on those to be bought. */
  readonly laid: readonly LaidSheet[];
}
