import { Injectable, Logger } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { demoJobs, demoStock, stepKey, usualFloor, type DemoJob, type Design, type LogEntry } from '@vitrum/core';
import { BenchService } from '../bench/bench.service.js';
import { CatalogueService } from '../catalogue/catalogue.service.js';
import { noteItems } from '../catalogue/items-named.js';
import { DatabaseService } from '../database/database.module.js';
import { jobs } from '../database/schema.js';
import { storedForm } from '../intake/check-design.js';
import { LessonsService } from '../records/lessons.service.js';
import { StockService } from '../stock/stock.service.js';
import { JobsService } from '../jobs/jobs.service.js';

const dayMs = 86_400_000;

/** Fills an empty shop with the demo jobs. */
@Injectable()
export class SeedService {
  private readonly logger = new Logger('seed');

  constructor(
    private readonly database: DatabaseService,
    private readonly catalogue: CatalogueService,
    private readonly jobs: JobsService,
    private readonly stock: StockService,
    private readonly bench: BenchService,
    private readonly lessons: LessonsService,
  ) {}

  async seed(withJobs: boolean): Promise<void> {
    await this.catalogue.seed();
    await noteItems(this.database.db);
    if (!withJobs) return;
    const [any] = await this.database.db.select({ id: jobs.id }).from(jobs).limit(1);
    if (any !== undefined) return;
    const day = (fromNow: number): string => new Date(Date.now() + fromNow * dayMs).toISOString().slice(0, 10);
    for (const {
      design: plain,
      customer,
      status,
      dueInDays,
      measured = [],
      measuredDaysAgo = 0,
      built,
      handedOverDaysAgo,
      ...told
    } of demoJobs) {
      const on = day(-measuredDaysAgo);
      const readings = measured.map((each) => ({ ...each, on }));
      const design =
        readings.length === 0 && built === undefined
          ? plain
          : { ...plain, proof: { readings, ...(built === undefined ? {} : { built }) } };
      const { id } = await this.jobs.create(
        { name: design.name, customer, dueOn: day(dueInDays), design: storedForm(design) },
        status,
      );
      if (handedOverDaysAgo !== undefined) await this.jobs.update(id, { handedOverOn: day(-handedOverDaysAgo) });
      await this.tell(id, design, told);
    }
    for (const { kind, itemId, amount, pieces, sheetMm, openedDaysAgo } of demoStock)
      await this.stock.enter({
        op: randomUUID(),
        what: 'bought',
        kind,
        itemId,
        note: 'as the shop began its ledger',
        ...(amount === undefined ? {} : { amount }),
        ...(pieces === undefined ? {} : { pieces }),
        ...(sheetMm === undefined ? {} : { widthMm: sheetMm[0], heightMm: sheetMm[1] }),
        ...(openedDaysAgo === undefined ? {} : { openedOn: day(-openedDaysAgo) }),
      });
    this.logger.log(`the demo shop has been set up with ${demoJobs.length} jobs`);
  }

  /** What was written down of a job at the bench. */
  private async tell(
    jobId: string,
    { assemblies }: Design,
    { timed = {}, mishap }: Pick<DemoJob, 'timed' | 'mishap'>,
  ): Promise<void> {
    const [by] = usualFloor.people.map(({ name }) => name) as [string];
    const entry = (what: 'time' | 'wrong', stepId: string, value: number | null, words: string): LogEntry => ({
      id: randomUUID(),
      stepId,
      what,
      by,
      at: new Date(Date.now() - dayMs).toISOString(),
      value,
      words,
      of: null,
    });
    const entries = Object.entries(timed).map(([stepId, minutes]) => entry('time', stepId, minutes, ''));
    if (mishap !== undefined) entries.push(entry('wrong', mishap.stepId, null, mishap.words));
    if (entries.length > 0) await this.bench.add(jobId, entries);
    if (mishap === undefined) return;
    for (const key of new Set(assemblies.map(({ id, build }) => stepKey(build, mishap.stepId, id))))
      await this.lessons.keep({ id: randomUUID(), about: 'step', key, words: mishap.lesson, by, jobId });
  }
}
