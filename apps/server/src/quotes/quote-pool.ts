import { Injectable } from '@nestjs/common';
import { ThreadPool } from '../common/thread-pool.js';
import type { QuoteFound, QuoteTask } from './quote-thread.js';

/** A thread beside the one that answers, in which designs are looked at for quotes, and quotes put on paper. */
@Injectable()
export class QuotePool extends ThreadPool<QuoteTask, QuoteFound> {
  constructor() {
    super('quotes/quote-thread', 768);
  }

  find(task: QuoteTask): Promise<QuoteFound> {
    return this.run(task);
  }
}
