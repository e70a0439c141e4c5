import { afterAll, describe, expect, it } from '@jest/globals';
import { demoDesigns, shippedCatalogue } from '@vitrum/core';
import type { QuoteFound, QuoteTask } from '../quotes/quote-thread.js';
import { Busy } from './busy.js';
import { ThreadPool } from './thread-pool.js';

class Pool extends ThreadPool<QuoteTask, QuoteFound> {
  constructor(deadlineMs?: number) {
    super('quotes/quote-thread', 768, deadlineMs);
  }

  ask(signal?: AbortSignal): Promise<QuoteFound> {
    const task = { kind: 'look', pictures: false, wall: null, catalogue: shippedCatalogue } as const;
    return this.run({ ...task, design: JSON.stringify(demoDesigns.dispensary) }, signal);
  }
}

describe('a thread beside the one that answers', () => {
  const hasty = new Pool(1);
  const patient = new Pool();
  afterAll(() => Promise.all([hasty, patient].map((pool) => pool.onModuleDestroy())));

  it('says that it is busy where work is not done in time, so that it is asked again', async () => {
    const refused = await hasty.ask().catch((error: unknown) => error);
    expect(refused).toBeInstanceOf(Busy);
    expect((refused as Busy).getStatus()).toBe(503);
    expect((refused as Busy).message).toContain('Try again in a moment');
  });

  it('does work that is given its time; what is called off by who asked is no fault of the server', async () => {
    expect((await patient.ask())?.kind).toBe('looked');
    const off = await patient.ask(AbortSignal.abort()).catch((error: unknown) => error);
    expect(off).not.toBeInstanceOf(Busy);
    expect((off as Error).name).toBe('AbortError');
  });
});
