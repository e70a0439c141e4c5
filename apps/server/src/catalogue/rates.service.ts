import { ConflictException, Injectable } from '@nestjs/common';
import type { RatesDto, RatesView } from '@vitrum/contract';
import { and, eq, sql } from 'drizzle-orm';
import { DatabaseService } from '../database/database.module.js';
import { catalogueItems } from '../database/schema.js';
import { SummariesService } from '../summaries/summaries.service.js';
import { CatalogueService } from './catalogue.service.js';

const ownRow = and(eq(catalogueItems.kind, 'rates'), eq(catalogueItems.id, 'rates'));

/** What the shop reckons with. What it has learned of its times lies beside that and stays. */
@Injectable()
export class RatesService {
  constructor(
    private readonly database: DatabaseService,
    private readonly catalogue: CatalogueService,
    private readonly summaries: SummariesService,
  ) {}

  async view(): Promise<RatesView> {
    const [{ rates }, [row]] = await Promise.all([
      this.catalogue.read(),
      this.database.steady((db) => db.select({ version: catalogueItems.version }).from(catalogueItems).where(ownRow)),
    ]);
    return { rates, version: row?.version ?? 0 };
  }

  /** Changes the rates from the version that was looked at; what jobs cost is worked out anew. */
  async change(
    { currency, labourPerHour, energyPerKwh, kerfMm, wasteShare, machineColours }: RatesDto,
    version: number,
  ): Promise<RatesView> {
    const data = JSON.stringify({ currency, labourPerHour, energyPerKwh, kerfMm, wasteShare, machineColours });
    const changed = await this.database.steady((db) =>
      db
        .update(catalogueItems)
        .set({ data: sql`${catalogueItems.data} || ${data}::jsonb`, version: sql`${catalogueItems.version} + 1` })
        .where(and(ownRow, eq(catalogueItems.version, version)))
        .returning({ id: catalogueItems.id }),
    );
    const view = await this.view();
    if (changed.length === 0)
      throw new ConflictException({
        message: 'The settings were changed elsewhere in the meantime; look at them once more, then change them.',
        ...view,
      });
    await this.summaries.again();
    return view;
  }
}
