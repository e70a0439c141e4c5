import { Injectable, Logger } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { demoJobs, demoStock } from '@vitrum/core';
import { CatalogueService } from '../catalogue/catalogue.service.js';
import { noteItems } from '../catalogue/items-named.js';
import { DatabaseService } from '../database/database.module.js';
import { jobs } from '../database/schema.js';
import { storedForm } from '../intake/check-design.js';
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
  ) {}

  async seed(withJobs: boolean): Promise<void> {
    await this.catalogue.seed();
    await noteItems(this.database.db);
    if (!withJobs) return;
    const [any] = await this.database.db.select({ id: jobs.id }).from(jobs).limit(1);
    if (any !== undefined) return;
    const day = (fromNow: number): string => new Date(Date.now() + fromNow * dayMs).toISOString().slice(0, 10);
    for (const { design: plain, customer, status, dueInDays, measured = [], measuredDaysAgo = 0, built } of demoJobs) {
      const on = day(-measuredDaysAgo);
      const readings = measured.map((each) => ({ ...each, on }));
      const design =
        readings.length === 0 && built === undefined
          ? plain
          : { ...plain, proof: { readings, ...(built === undefined ? {} : { built }) } };
      await this.jobs.create(
        { name: design.name, customer, dueOn: day(dueInDays), design: storedForm(design) },
        status,
      );
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
}
