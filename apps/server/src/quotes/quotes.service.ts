import { randomBytes } from 'node:crypto';
import { ConflictException, GoneException, Injectable, NotFoundException } from '@nestjs/common';
import type { AnswerQuoteDto, JobQuotesView, OfferView, QuoteView } from '@vitrum/contract';
import { dayAfter, quoteOf, shopName, type QuoteTerms } from '@vitrum/core';
import { and, asc, desc, eq, getTableColumns, inArray, sql } from 'drizzle-orm';
import { CatalogueService } from '../catalogue/catalogue.service.js';
import { DatabaseService } from '../database/database.module.js';
import { jobs, quoteAnswers, quotes, revisions } from '../database/schema.js';
import { WallsService } from '../walls/walls.service.js';
import { QuotePool } from './quote-pool.js';
import type { Wall } from './quote-thread.js';
import { offerView, quoteView, standingOf, type AnswerRow, type QuoteRow } from './quote-views.js';

const { day: _day, night: _night, wallDay, wallNight, ...columns } = getTableColumns(quotes);
const besidesPictures = {
  ...columns,
  hasWallDay: sql<boolean>`${wallDay} is not null`,
  hasWallNight: sql<boolean>`${wallNight} is not null`,
};
/** Of the many that a job may come to, those that are looked at. */
const mostQuotes = 50;
/** A customer has something to say, not a book to write. */
const mostAnswers = 30;

/** A picture of a quote: the sign alone, or on the customer’s wall. */
export type QuotePicture = 'day' | 'night' | 'wallDay' | 'wallNight';

interface Head {
  readonly name: string;
  readonly customer: string;
  readonly revision: number;
  readonly design: string;
}

/** Quotes: made from a job as it is, shown to whoever has the link, answered with a yes or a remark. */
@Injectable()
export class QuotesService {
  constructor(
    private readonly database: DatabaseService,
    private readonly catalogue: CatalogueService,
    private readonly pool: QuotePool,
    private readonly walls: WallsService,
  ) {}

  /** What a quote of this job would be made from, and those that were made. */
  async ofJob(jobId: string): Promise<JobQuotesView> {
    const head = await this.head(jobId);
    const [{ facts, front }, rows] = await Promise.all([
      this.look(head, null),
      this.database.steady((db) =>
        db
          .select(besidesPictures)
          .from(quotes)
          .where(eq(quotes.jobId, jobId))
          .orderBy(desc(quotes.madeAt))
          .limit(mostQuotes),
      ),
    ]);
    const answers = await this.answersOf(rows.map(({ id }) => id));
    return {
      name: head.name,
      customer: head.customer,
      revision: head.revision,
      facts,
      front,
      quotes: rows.map((row) => quoteView(row, answers.get(row.id) ?? [])),
    };
  }

  async make(jobId: string, terms: QuoteTerms): Promise<QuoteView> {
    const head = await this.head(jobId);
    const { facts, day, night, wallDay, wallNight } = await this.look(head, { wall: await this.walls.wall(jobId) });
    const [row] = await this.database.db
      .insert(quotes)
      .values({
        token: randomBytes(18).toString('base64url'),
        jobId,
        revision: head.revision,
        facts,
        terms,
        day: Buffer.from(day),
        night: Buffer.from(night),
        wallDay: wallDay === null ? null : Buffer.from(wallDay),
        wallNight: wallNight === null ? null : Buffer.from(wallNight),
        validUntil: dayAfter(new Date().toISOString().slice(0, 10), terms.validDays),
      })
      .returning(besidesPictures);
    return quoteView(row!, []);
  }

  /** Takes a quote back; one that was agreed on is no longer the shop’s alone. */
  async withdraw(id: string): Promise<QuoteView> {
    const row = await this.row(eq(quotes.id, id));
    const answers = (await this.answersOf([id])).get(id) ?? [];
    if (standingOf(row, answers) === 'agreed')
      throw new ConflictException('The customer has said yes to this quote; talk to them before anything else.');
    await this.database.steady((db) => db.update(quotes).set({ withdrawn: true }).where(eq(quotes.id, id)));
    return quoteView({ ...row, withdrawn: true }, answers);
  }

  async pdf(id: string): Promise<Uint8Array> {
    const [row] = await this.database.steady((db) =>
      db
        .select({ ...getTableColumns(quotes), customer: jobs.customer })
        .from(quotes)
        .innerJoin(jobs, eq(jobs.id, quotes.jobId))
        .where(eq(quotes.id, id)),
    );
    if (row === undefined) throw noSuchQuote();
    const found = await this.pool.find({
      kind: 'paper',
      sheet: {
        facts: row.facts,
        terms: row.terms,
        quote: quoteOf(row.facts, row.terms),
        shop: shopName,
        customer: row.customer,
        madeOn: row.madeAt.toISOString().slice(0, 10),
        validUntil: row.validUntil,
        day: row.day,
        night: row.night,
        onWall: [row.wallDay, row.wallNight].filter((picture) => picture !== null),
      },
    });
    if (found?.kind !== 'paper') throw new Error('no paper came of a quote');
    return found.pdf;
  }

  /** What whoever has the link is shown; gone where the shop took it back. */
  async offer(token: string): Promise<OfferView> {
    const row = await this.row(eq(quotes.token, token));
    const answers = (await this.answersOf([row.id])).get(row.id) ?? [];
    if (standingOf(row, answers) === 'withdrawn') throw withdrawn();
    return offerView(row, await this.customerOf(row.jobId), answers);
  }

  async picture(token: string, of: QuotePicture): Promise<Buffer> {
    const [row] = await this.database.steady((db) =>
      db.select({ picture: quotes[of], withdrawn: quotes.withdrawn }).from(quotes).where(eq(quotes.token, token)),
    );
    if (row === undefined) throw noSuchQuote();
    if (row.withdrawn) throw withdrawn();
    if (row.picture === null) throw new NotFoundException('There is no such picture of this quote.');
    return row.picture;
  }

  /** A yes, or a remark. A yes makes of a quoted job one to be built; said twice, it counts once. */
  async answer(token: string, { what, name, remark = '' }: AnswerQuoteDto): Promise<OfferView> {
    const row = await this.row(eq(quotes.token, token));
    await this.database.transaction(async (transaction) => {
      // One answer at a time, so that a yes and a withdrawal do not cross.
      const [held] = await transaction.select(besidesPictures).from(quotes).where(eq(quotes.id, row.id)).for('update');
      const given = await transaction.select().from(quoteAnswers).where(eq(quoteAnswers.quoteId, row.id));
      const standing = standingOf(held!, given);
      if (standing === 'withdrawn') throw withdrawn();
      if (what === 'yes' && standing === 'agreed') return;
      if (standing === 'expired')
        throw new GoneException(`This quote held until ${held!.validUntil}; ask the shop for a new one.`);
      if (given.length >= mostAnswers)
        throw new ConflictException('That is a great deal to say; please call the shop.');
      await transaction.insert(quoteAnswers).values({ quoteId: row.id, what, name, remark });
      if (what === 'yes')
        await transaction
          .update(jobs)
          .set({ status: 'designed', updatedAt: sql`now()` })
          .where(and(eq(jobs.id, row.jobId), eq(jobs.status, 'quoted')));
    });
    return this.offer(token);
  }

  private async look(
    { design }: Head,
    pictures: { readonly wall: Wall | null } | null,
  ): Promise<Extract<Awaited<ReturnType<QuotePool['find']>>, { readonly kind: 'looked' }>> {
    const found = await this.pool.find({
      kind: 'look',
      design,
      catalogue: await this.catalogue.read(),
      pictures: pictures !== null,
      wall: pictures?.wall ?? null,
    });
    if (found?.kind !== 'looked')
      throw new ConflictException('This design cannot be built as it stands; mend what stops it before it is quoted.');
    return found;
  }

  private async head(jobId: string): Promise<Head> {
    const [head] = await this.database.steady((db) =>
      db
        .select({
          name: jobs.name,
          customer: jobs.customer,
          revision: revisions.number,
          design: sql<string>`${revisions.design}::text`,
        })
        .from(jobs)
        .innerJoin(revisions, and(eq(revisions.jobId, jobs.id), eq(revisions.number, jobs.headRevision)))
        .where(eq(jobs.id, jobId)),
    );
    if (head === undefined) throw new NotFoundException('There is no such job in the book.');
    return head;
  }

  private async row(where: ReturnType<typeof eq>): Promise<QuoteRow> {
    const [row] = await this.database.steady((db) => db.select(besidesPictures).from(quotes).where(where));
    if (row === undefined) throw noSuchQuote();
    return row;
  }

  private async customerOf(jobId: string): Promise<string> {
    const [row] = await this.database.steady((db) =>
      db.select({ customer: jobs.customer }).from(jobs).where(eq(jobs.id, jobId)),
    );
    return row?.customer ?? '';
  }

  private async answersOf(ids: readonly string[]): Promise<ReadonlyMap<string, readonly AnswerRow[]>> {
    if (ids.length === 0) return new Map();
    const rows = await this.database.steady((db) =>
      db
        .select()
        .from(quoteAnswers)
        .where(inArray(quoteAnswers.quoteId, [...ids]))
        .orderBy(asc(quoteAnswers.seq)),
    );
    return new Map(ids.map((id) => [id, rows.filter(({ quoteId }) => quoteId === id)] as const));
  }
}

const noSuchQuote = (): NotFoundException => new NotFoundException('There is no such quote.');
const withdrawn = (): GoneException => new GoneException('The shop has taken this quote back; ask it for a new one.');
