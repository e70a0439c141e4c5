import type { Quote, QuoteFacts, QuoteTerms, WallLight } from '@vitrum/core';
import { mostShare } from '@vitrum/core';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { IsPlainText, MayBeAbsent } from './validators.js';

const aNumber = { allowNaN: false, allowInfinity: false } as const;
const longestLine = 200;

/** What the shop asks beside what it costs. */
export class QuoteTermsDto implements QuoteTerms {
  @IsNumber(aNumber, { message: 'a number' })
  @Min(0, { message: 'a rate is 0 or more' })
  @Max(10_000, { message: 'more than any shop asks for an hour' })
  ratePerHour: number;

  @IsNumber(aNumber, { message: 'a share' })
  @Min(0, { message: 'a share is from 0 to 0.9' })
  @Max(mostShare, { message: 'a share is from 0 to 0.9' })
  failedShare: number;

  @IsNumber(aNumber, { message: 'a share' })
  @Min(0, { message: 'a share is from 0 to 0.9' })
  @Max(mostShare, { message: 'a share is from 0 to 0.9' })
  marginShare: number;

  @IsNumber(aNumber, { message: 'a share' })
  @Min(0, { message: 'a share is from 0 to 0.9' })
  @Max(mostShare, { message: 'a share is from 0 to 0.9' })
  furtherOff: number;

  @IsNumber(aNumber, { message: 'a number' })
  @Min(0, { message: 'a tariff is 0 or more' })
  @Max(100, { message: 'more than any tariff' })
  tariffPerKwh: number;

  @IsInt({ message: 'a whole number of days' })
  @Min(1, { message: 'a quote holds for a day at least' })
  @Max(365, { message: 'a quote holds for a year at most' })
  validDays: number;

  @IsArray({ message: 'lines of what is included' })
  @ArrayMaxSize(20, { message: 'at most 20 lines' })
  @IsString({ each: true, message: 'lines of text' })
  @IsPlainText({ each: true, message: 'a line has characters in it that cannot be shown' })
  @MaxLength(longestLine, { each: true, message: `a line has at most ${longestLine} characters` })
  includes: string[];

  @IsString()
  @IsPlainText()
  @MaxLength(1000, { message: 'a note has at most 1000 characters' })
  note: string;
}

/** A quote to be made of a job as it is now. */
export class MakeQuoteDto extends QuoteTermsDto {
  @IsUUID('all', { message: 'the id of a job' })
  jobId: string;
}

/** What a customer says to a quote. */
export class AnswerQuoteDto {
  @IsIn(['yes', 'remark'], { message: 'yes, or remark' })
  what: 'yes' | 'remark';

  @IsString()
  @IsPlainText()
  @IsNotEmpty({ message: 'say who you are' })
  @MaxLength(120, { message: 'a name has at most 120 characters' })
  name: string;

  @MayBeAbsent()
  @IsString()
  @IsPlainText()
  @MaxLength(2000, { message: 'a remark has at most 2000 characters' })
  remark?: string;
}

export interface QuoteAnswerView {
  readonly what: 'yes' | 'remark';
  readonly name: string;
  readonly remark: string;
  readonly at: string;
}

/** How a quote stands. */
export type QuoteStanding = 'open' | 'agreed' | 'expired' | 'withdrawn';

/** A quote as the shop sees it. */
export interface QuoteView {
  readonly id: string;
  /** Whoever has it sees the quote, and may answer. */
  readonly token: string;
  readonly jobId: string;
  readonly revision: number;
  readonly facts: QuoteFacts;
  readonly terms: QuoteTerms;
  readonly quote: Quote;
  readonly madeAt: string;
  readonly validUntil: string;
  readonly standing: QuoteStanding;
  readonly answers: readonly QuoteAnswerView[];
}

/** What a quote is made from, and those that were made. */
export interface JobQuotesView {
  readonly name: string;
  readonly customer: string;
  readonly revision: number;
  readonly facts: QuoteFacts;
  /** How large the sign is over all, from the front (mm). */
  readonly front: { readonly width: number; readonly height: number };
  readonly quotes: readonly QuoteView[];
}

/** A quote as the customer sees it: nothing of what it costs the shop. */
export interface OfferView {
  readonly name: string;
  readonly customer: string;
  readonly size: string;
  readonly kg: number;
  readonly quantity: number;
  readonly currency: string;
  readonly first: number;
  readonly further: number;
  readonly order: number;
  readonly includes: readonly string[];
  readonly note: string;
  readonly runningPerYear: number;
  readonly watts: number;
  readonly hoursPerDay: number;
  readonly lifeYears: readonly [number, number];
  /** Which pictures there are of it on the customer’s own wall. */
  readonly onWall: readonly WallLight[];
  readonly madeAt: string;
  readonly validUntil: string;
  readonly standing: QuoteStanding;
  readonly answers: readonly QuoteAnswerView[];
}
