/** Who draws saves every second or so: what is drawn at is summed up when it has rested so long … */
const restMs = 6000;
/** … and once in so long where it never rests. */
const longestRestMs = 30_000;

interface Waiting {
  readonly revision: number;
  readonly due: number;
  readonly latest: number;
}

/** A revision of a job, taken from the line, or how long until one may be (ms). */
export type Taken = { readonly next: readonly [jobId: string, revision: number] } | { readonly waitMs: number };

/** Revisions that wait to be summed up, the newest of each job. Times in milliseconds, as of one clock. */
export class WaitingLine {
  private readonly waiting = new Map<string, Waiting>();

  get isEmpty(): boolean {
    return this.waiting.size === 0;
  }

  /** Puts a revision in that was just saved, in place of an older one of its job. */
  rest(jobId: string, revision: number, now: number): void {
    const latest = this.waiting.get(jobId)?.latest ?? now + longestRestMs;
    this.waiting.set(jobId, { revision, due: Math.min(now + restMs, latest), latest });
  }

  /** Puts a revision in that need not rest; where somebody waits for its job, it keeps its place before others. */
  soon(jobId: string, revision: number, now: number): void {
    const due = Math.min(now, this.waiting.get(jobId)?.due ?? now);
    this.waiting.set(jobId, { revision, due, latest: due });
  }

  /** Puts a revision in that somebody looks at and waits for: before all that is only to be made up for. */
  first(jobId: string, revision: number): void {
    this.waiting.set(jobId, { revision, due: 0, latest: 0 });
  }

  /** What rests of a job rests no longer, for somebody looks at it; whether there was anything. */
  look(jobId: string): boolean {
    const waiting = this.waiting.get(jobId);
    if (waiting !== undefined) this.first(jobId, waiting.revision);
    return waiting !== undefined;
  }

  /** Nothing rests any longer. */
  hasten(now: number): void {
    for (const [jobId, { revision }] of this.waiting) this.soon(jobId, revision, now);
  }

  clear(): void {
    this.waiting.clear();
  }

  /** Takes the one that is due first; null where none waits. */
  take(now: number): Taken | null {
    let first: readonly [string, Waiting] | null = null;
    for (const each of this.waiting) if (first === null || each[1].due < first[1].due) first = each;
    if (first === null) return null;
    const [jobId, { revision, due }] = first;
    if (due > now) return { waitMs: due - now };
    this.waiting.delete(jobId);
    return { next: [jobId, revision] };
  }
}
