import { Injectable } from '@nestjs/common';
import { Busy } from '../common/busy.js';
import { ThreadPool } from '../common/thread-pool.js';

/** A thread beside the one that answers requests, in which fonts are unpacked. */
@Injectable()
export class FontPool extends ThreadPool<Uint8Array, Uint8Array | null> {
  constructor() {
    super('fonts/font-thread', 128);
  }

  /** Null where it is no readable font or takes too much memory; a 503 where it was not done in time. */
  async unpack(bytes: Uint8Array): Promise<Uint8Array | null> {
    try {
      return await this.run(bytes);
    } catch (error) {
      // That it waited says nothing of the font.
      if (error instanceof Busy) throw error;
      return null;
    }
  }
}
