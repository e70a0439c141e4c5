import type { Need } from '@vitrum/core';
import { and, eq, ne, sql } from 'drizzle-orm';
import type { Transaction } from '../database/database.module.js';
import { stockClaims } from '../database/schema.js';

/** What a job takes may change with its design: a claim that it has goes with that, and keeps its turn. */
export const claimAgain = async (
  transaction: Pick<Transaction, 'update'>,
  jobId: string,
  needs: readonly Need[],
): Promise<void> => {
  await transaction
    .update(stockClaims)
    .set({ needs })
    .where(and(eq(stockClaims.jobId, jobId), ne(sql`${stockClaims.needs}::text`, JSON.stringify(needs))));
};
