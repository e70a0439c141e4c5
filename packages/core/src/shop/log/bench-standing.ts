import type { LogEntry, LogWhat } from './entry.js';

/** How a job stands by its bench log. */
export interface BenchStanding {
  /** Ids of the steps that are done. */
  readonly done: readonly string[];
  /** Minutes written down, by step; several people’s are added. */
  readonly minutes: ReadonlyMap<string, number>;
  /** When the wait of a step began (ISO 8601), for those that run. */
  readonly waits: ReadonlyMap<string, string>;
  /** What counts, the oldest first: what was taken back, and the ticks and waits, are left out. */
  readonly told: readonly LogEntry[];
  readonly spent: number;
}

const switches: ReadonlySet<LogWhat> = new Set(['done', 'not-done', 'wait-begun', 'wait-over', 'taken-back']);

/** In the order in which things happened, whoever’s entries came in first; the id decides between entries of one moment. */
const inTime = (entries: readonly LogEntry[]): readonly LogEntry[] =>
  [...entries].sort((a, b) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1));

/** Steps that are done: those that were (`before` the log began), as the last tick of each leaves them. */
export const doneByLog = (
  entries: readonly Pick<LogEntry, 'what' | 'stepId'>[],
  before: readonly string[],
): readonly string[] => {
  const done = new Set(before);
  for (const { what, stepId } of entries) {
    if (what === 'done' && stepId !== null) done.add(stepId);
    if (what === 'not-done' && stepId !== null) done.delete(stepId);
  }
  return [...done];
};

/** What a job’s entries come to, in whichever order they arrived: the last word on each step counts. */
export const benchStandingOf = (entries: readonly LogEntry[], before: readonly string[]): BenchStanding => {
  const ordered = inTime(entries);
  const takenBack = new Set(ordered.flatMap(({ what, of }) => (what === 'taken-back' && of !== null ? [of] : [])));
  const told = ordered.filter(({ id, what }) => !switches.has(what) && !takenBack.has(id));
  const minutes = new Map<string, number>();
  for (const { what, stepId, value } of told)
    if (what === 'time' && stepId !== null) minutes.set(stepId, (minutes.get(stepId) ?? 0) + (value ?? 0));
  const waits = new Map<string, string>();
  for (const { what, stepId, at } of ordered) {
    if (what === 'wait-begun' && stepId !== null) waits.set(stepId, at);
    if (what === 'wait-over' && stepId !== null) waits.delete(stepId);
  }
  return {
    done: doneByLog(ordered, before),
    minutes,
    waits,
    told,
    spent: told.reduce((sum, { what, value }) => (what === 'spent' ? sum + (value ?? 0) : sum), 0),
  };
};
