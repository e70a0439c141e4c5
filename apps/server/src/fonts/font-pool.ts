import { Injectable } from '@nestjs/common';
import { ThreadPool } from '../common/thread-pool.js';

/** A thread beside the one that answers requests, in which fonts are unpacked. */
@Injectable()
export class FontPool extends ThreadPool<Uint8Array, Uint8Array | null> {
  constructor() {
    super('fonts/font-thread', 128);
  }

  /** Null where it is no readable font, takes too long or too much memory. */
  async unpack(bytes: Uint8Array): Promise<Uint8Array | null> {
    try {
      return await this.run(bytes);
    } catch {
      return null;
    }
  }
}
