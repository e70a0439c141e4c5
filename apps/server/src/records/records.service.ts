import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import type { PhaseView, RecordsView, StripView } from '@vitrum/contract';
import {
  isOffered,
  learnedStrips,
  learnedTimes,
  type Catalogue,
  type JobReadings,
  type JobTimes,
  type LearnedTime,
  type StripFigure,
  type WorkPhase,
} from '@vitrum/core';
import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import { BenchService } from '../bench/bench.service.js';
import { CatalogueService } from '../catalogue/catalogue.service.js';
import { DatabaseService } from '../database/database.module.js';
import { benchEntries, catalogueItems, jobs } from '../database/schema.js';
import { SummariesService } from '../summaries/summaries.service.js';
import { LessonsService } from './lessons.service.js';

/** Jobs that are learned from: the newest that have something to teach. */
const mostJobs = 400;
/** What is accepted is what was shown, but for its last digits. */
const sameShare = 0.002;

const isSame = (a: number, b: number): boolean => Math.abs(a / b - 1) < sameShare;
const today = (): string => new Date().toISOString().slice(0, 10);
const rounded = (value: number): number => Math.round(value * 1000) / 1000;
const moved = (): ConflictException =>
  new ConflictException('What the records say has changed since; look at it again before it is accepted.');

const stillIn = sql`not exists (select 1 from bench_entries back where back.what = 'taken-back' and back.of = ${benchEntries.id} and back.job_id = ${benchEntries.jobId})`;

interface Taught {
  readonly times: readonly JobTimes[];
  readonly readings: readonly JobReadings[];
  readonly waiting: number;
}

/** What jobs have taught: computed beside measured, factors from both, and what of them the shop has accepted. */
@Injectable()
export class RecordsService {
  constructor(
    private readonly database: DatabaseService,
    private readonly bench: BenchService,
    private readonly catalogue: CatalogueService,
    private readonly summaries: SummariesService,
    private readonly lessons: LessonsService,
  ) {}

  async view(): Promise<RecordsView> {
    const [taught, catalogue, lessons] = await Promise.all([this.taught(), this.catalogue.read(), this.lessons.list()]);
    return {
      times: phaseViews(taught.times, catalogue),
      strips: stripViews(taught.readings, catalogue),
      lessons,
      waiting: taught.waiting,
    };
  }

  /** Reckons with what was learned of a phase from now on, or with typical times again; estimates are worked out anew. */
  async acceptTime(phase: WorkPhase, factor: number | null): Promise<RecordsView> {
    const key = sql`array['learnedTimes', ${phase}::text]`;
    if (factor === null) await this.changeRates(sql`${catalogueItems.data} #- ${key}`);
    else {
      const { times } = await this.taught();
      const own = phaseViews(times, await this.catalogue.read()).find((each) => each.phase === phase);
      if (own === undefined || !isSame(own.learned.factor, factor)) throw moved();
      const { low, high, count } = own.learned;
      const learned: LearnedTime = {
        factor: rounded(own.learned.factor),
        low: rounded(low),
        high: rounded(high),
        jobs: count,
        on: today(),
      };
      const entry = JSON.stringify({ [phase]: learned });
      await this.changeRates(
        sql`jsonb_set(${catalogueItems.data}, '{learnedTimes}', coalesce(${catalogueItems.data} -> 'learnedTimes', '{}') || ${entry}::jsonb)`,
      );
    }
    await this.summaries.again();
    return this.view();
  }

  /** Gives a strip the figure that its readings tell. */
  async acceptStrip(stripId: string, figure: StripFigure, value: number): Promise<RecordsView> {
    const { readings } = await this.taught();
    const own = stripViews(readings, await this.catalogue.read()).find(
      (each) => each.stripId === stripId && each.figure === figure,
    );
    if (own === undefined) throw new NotFoundException('No reading of this strip is kept with any job.');
    if (!isSame(own.then, value)) throw moved();
    const { low, high, count } = own.learned;
    await this.catalogue.measure('strips', stripId, {
      figures: { [figure]: rounded(own.then) },
      on: today(),
      how: `${figure === 'wattsPerM' ? 'current' : 'luminance'} of signs that were built`,
      readings: count,
      errorShare: Math.min(1, rounded(Math.log(high / low) / 2)),
    });
    await this.summaries.again();
    return this.view();
  }

  private async changeRates(data: ReturnType<typeof sql>): Promise<void> {
    await this.database.steady((db) =>
      db
        .update(catalogueItems)
        .set({ data, version: sql`${catalogueItems.version} + 1` })
        .where(eq(catalogueItems.kind, 'rates')),
    );
  }

  private async taught(): Promise<Taught> {
    const rows = await this.database.steady((db) =>
      db
        .select({
          id: jobs.id,
          name: jobs.name,
          work: jobs.work,
          revision: jobs.headRevision,
          summaryOf: jobs.summaryOf,
        })
        .from(jobs)
        .where(
          and(
            eq(jobs.template, false),
            sql`(exists (select 1 from bench_entries e where e.job_id = ${jobs.id} and e.what = 'time') or json_array_length(coalesce(${jobs.work} -> 'readings', '[]')) > 0)`,
          ),
        )
        .orderBy(desc(jobs.createdAt))
        .limit(mostJobs),
    );
    this.summaries.look(rows);
    const ids = rows.map(({ id }) => id);
    const [minutes, done] = await Promise.all([
      ids.length === 0
        ? []
        : this.database.steady((db) =>
            db
              .select({
                jobId: benchEntries.jobId,
                stepId: benchEntries.stepId,
                minutes: sql<number>`sum(${benchEntries.value})`.mapWith(Number),
              })
              .from(benchEntries)
              .where(and(inArray(benchEntries.jobId, ids), eq(benchEntries.what, 'time'), stillIn))
              .groupBy(benchEntries.jobId, benchEntries.stepId),
          ),
      this.bench.doneOf(new Map(rows.map(({ id, work }) => [id, work?.done ?? []] as const))),
    ]);
    const taken = new Map<string, Map<string, number>>();
    for (const { jobId, stepId, minutes: sum } of minutes)
      if (stepId !== null) taken.set(jobId, (taken.get(jobId) ?? new Map<string, number>()).set(stepId, sum));
    let waiting = 0;
    for (const { id, work, revision } of rows)
      if (work?.typical === undefined) {
        waiting += 1;
        this.summaries.wantOnce(id, revision);
      }
    return {
      times: rows.map(({ id, name, work }) => ({
        jobId: id,
        name,
        steps: work?.steps ?? [],
        typical: work?.typical ?? {},
        done: done.get(id) ?? [],
        taken: taken.get(id) ?? new Map(),
      })),
      readings: rows.map(({ id, name, work }) => ({ jobId: id, name, lines: work?.readings ?? [] })),
      waiting,
    };
  }
}

const phaseViews = (times: readonly JobTimes[], { rates }: Catalogue): readonly PhaseView[] =>
  learnedTimes(times).map((each) => {
    const accepted = rates.learnedTimes?.[each.phase] ?? null;
    return { ...each, accepted, offered: isOffered(each.learned, accepted?.factor ?? 1) };
  });

const stripViews = (readings: readonly JobReadings[], { strips }: Catalogue): readonly StripView[] =>
  learnedStrips(readings).flatMap((each): readonly StripView[] => {
    const strip = strips.find(({ id }) => id === each.stripId);
    if (strip === undefined) return [];
    return [
      {
        ...each,
        name: strip.name,
        now: strip[each.figure],
        then: strip[each.figure] * each.learned.factor,
        measuredOn: strip.measured?.on ?? null,
        offered: isOffered(each.learned, 1),
      },
    ];
  });
