import { fileURLToPath } from 'node:url';
import { HttpException, Injectable, OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import { badRequest } from '../common/problems.js';
import { Busy } from '../common/busy.js';
import type { Taken } from './check-design.js';
import type { IntakeTask } from './intake-thread.js';
import type { WireKind, WireRequests } from './wire-requests.js';

/** From the sources and from what is built of them alike: a thread runs what is built. */
const thread = fileURLToPath(new URL('../../dist/intake/intake-thread.js', import.meta.url));

const deadlineMs = 10_000;
const mostMemoryMb = 512;
/** Bodies up to here are read in a few milliseconds whatever is in them; they do not queue behind larger ones. */
const smallBytes = 48_000;

const lane = (mostWaiting: number): Piscina<IntakeTask, Taken<WireRequests[WireKind]>> =>
  new Piscina({
    filename: thread,
    minThreads: 1,
    maxThreads: 1,
    maxQueue: mostWaiting,
    resourceLimits: { maxOldGenerationSizeMb: mostMemoryMb },
  });

/** Reads and checks what comes over the wire in threads beside the one that answers: small bodies in one, large in another. */
@Injectable()
export class IntakePool implements OnModuleDestroy {
  private readonly lanes = new Map<'small' | 'large', ReturnType<typeof lane>>();

  private laneFor({ length }: Uint8Array): ReturnType<typeof lane> {
    const name = length <= smallBytes ? 'small' : 'large';
    const found = this.lanes.get(name) ?? lane(name === 'small' ? 512 : 16);
    this.lanes.set(name, found);
    return found;
  }

  /** Throws a 400 that names every wrong field, a 422 for what takes too long or too much, a 503 when too many wait. */
  async take<Kind extends WireKind>(kind: Kind, bytes: Uint8Array): Promise<WireRequests[Kind]> {
    const pool = this.laneFor(bytes);
    if (pool.queueSize >= pool.options.maxQueue) throw new Busy();
    const taken = (await pool
      .run({ kind, bytes }, { signal: AbortSignal.timeout(deadlineMs) })
      .catch((error: unknown) => {
        throw new HttpException(
          {
            message: 'This takes too long or too much room to be read; a design is far simpler.',
            cause: String(error),
          },
          422,
        );
      })) as Taken<WireRequests[Kind]>;
    if (!taken.ok) throw badRequest(taken.problems);
    return taken.value;
  }

  async onModuleDestroy(): Promise<void> {
    await Promise.all([...this.lanes.values()].map((pool) => pool.destroy()));
  }
}
