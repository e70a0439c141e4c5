import { Injectable } from '@nestjs/common';
import { ThreadPool } from '../common/thread-pool.js';
import type { StockFound, StockTask } from './stock-thread.js';

/** A thread beside the one that answers requests, in which parts are laid on offcuts. */
@Injectable()
export class StockPool extends ThreadPool<StockTask, StockFound> {
  constructor() {
    super('stock/stock-thread', 256);
  }

  /** Throws a 503 when it is not done in time. */
  find(task: StockTask): Promise<StockFound> {
    return this.run(task);
  }
}
