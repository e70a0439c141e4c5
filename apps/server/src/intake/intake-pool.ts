import { fileURLToPath } from 'node:url';
import { HttpException, Injectable, OnModuleDestroy } from '@nestjs/common';
import type { Design } from '@vitrum/core';
import { Piscina } from 'piscina';
import { badRequest } from '../common/problems.js';
import { Busy } from '../common/busy.js';
import { designFromStore } from '../jobs/stored-design.js';
import type { Taken } from './check-design.js';
import type { IntakeTask } from './intake-thread.js';
import type { WireKind, WireRequests } from './wire-requests.js';

/** From the sources and from what is built of them alike: a thread runs what is built. */
const thread = fileURLToPath(new URL('../../dist/intake/intake-thread.js', import.meta.url));

/** With the start of a thread on a busy machine, which takes most of it. */
const deadlineMs = 20_000;
const mostMemoryMb = 512;
/** Bodies up to here are read in a few milliseconds whatever is in them; they do not queue behind larger ones. */
const smallBytes = 48_000;

/** Whoever would wait longer than a second or two is told to come again. */
const mostSmallWaiting = 512;
const mostLargeWaiting = 2;

const lane = (mostWaiting: number): Piscina<IntakeTask, Taken<WireRequests[WireKind]> | string> =>
  new Piscina({
    filename: thread,
    minThreads: 1,
    maxThreads: 1,
    maxQueue: mostWaiting,
    resourceLimits: { maxOldGenerationSizeMb: mostMemoryMb },
  });

/** Bounded bodies are read soon: what was not read in time waited for a busy machine, and is welcome again. */
const failure = (error: unknown): never => {
  if ((error as { name?: unknown } | null)?.name === 'AbortError') throw new Busy();
  throw new HttpException({ message: 'This takes too much room to be read; a design is far simpler.' }, 422, {
    cause: error,
  });
};

/** Reads and checks what comes over the wire in threads beside the one that answers: small bodies in one, large in another. */
@Injectable()
export class IntakePool implements OnModuleDestroy {
  private readonly lanes = new Map<'small' | 'large', ReturnType<typeof lane>>();

  /** Starts the threads, so that the first who save do not wait for that. */
  warm(): void {
    for (const name of ['small', 'large'] as const) this.lane(name);
  }

  private lane(name: 'small' | 'large'): ReturnType<typeof lane> {
    const found = this.lanes.get(name) ?? lane(name === 'small' ? mostSmallWaiting : mostLargeWaiting);
    this.lanes.set(name, found);
    return found;
  }

  private static laneOf(bytes: number): 'small' | 'large' {
    return bytes <= smallBytes ? 'small' : 'large';
  }

  /** Whether a body of so many bytes would have to wait too long. */
  isFullFor(bytes: number): boolean {
    const pool = this.lanes.get(IntakePool.laneOf(bytes));
    return pool !== undefined && pool.queueSize >= pool.options.maxQueue;
  }

  /** Throws a 400 that names every wrong field, a 422 for what takes too much room, a 503 when too many wait. */
  async take<Kind extends WireKind>(kind: Kind, bytes: Uint8Array): Promise<WireRequests[Kind]> {
    const pool = this.lane(IntakePool.laneOf(bytes.length));
    if (this.isFullFor(bytes.length)) throw new Busy();
    const taken = (await pool
      .run({ kind, bytes }, { signal: AbortSignal.timeout(deadlineMs) })
      .catch(failure)) as Taken<WireRequests[Kind]>;
    if (!taken.ok) throw badRequest(taken.problems);
    return taken.value;
  }

  /** A stored design brought to this version; large ones in a thread, where nobody waits for them but who asked. */
  async fromStore(text: string): Promise<Design> {
    if (text.length <= smallBytes) return designFromStore(JSON.parse(text));
    const pool = this.lane('large');
    if (this.isFullFor(text.length)) throw new Busy();
    const read = await pool.run({ kind: 'stored', text }, { signal: AbortSignal.timeout(deadlineMs) }).catch(failure);
    return JSON.parse(read as string) as Design;
  }

  async onModuleDestroy(): Promise<void> {
    await Promise.all([...this.lanes.values()].map((pool) => pool.destroy()));
  }
}
