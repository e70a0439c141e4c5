import { Injectable } from '@nestjs/common';
import { ThreadPool } from '../common/thread-pool.js';
import type { SummedUp } from './summary-of.js';
import type { SummaryTask } from './summary-thread.js';

/** A thread beside the one that answers requests, in which designs are evaluated. */
@Injectable()
export class SummaryPool extends ThreadPool<SummaryTask, SummedUp> {
  constructor() {
    super('summaries/summary-thread', 768);
  }

  /** Throws when a design takes too long or too much memory. */
  summarise(task: SummaryTask, signal?: AbortSignal): Promise<SummedUp> {
    return this.run(task, signal);
  }
}
