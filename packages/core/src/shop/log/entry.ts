/** What may be written down of a job at the bench. */
export const logWhats = [
  'done',
  'not-done',
  'time',
  'wait-begun',
  'wait-over',
  'wrong',
  'photo',
  'spent',
  'taken-back',
] as const;
export type LogWhat = (typeof logWhats)[number];

/** A line of a job’s bench log. Lines are added and never changed: what was wrong is taken back by another. */
export interface LogEntry {
  /** Named by whoever writes it, so that sent twice it counts once. */
  readonly id: string;
  /** The step of the build; null where it is about the job as a whole. */
  readonly stepId: string | null;
  readonly what: LogWhat;
  readonly by: string;
  /** When, by the clock of whoever wrote it (ISO 8601, UTC). */
  readonly at: string;
  /** Minutes of one person’s work, or money spent; null for what has no amount. */
  readonly value: number | null;
  readonly words: string;
  /** The entry that is taken back. */
  readonly of: string | null;
}

const aStep: ReadonlySet<LogWhat> = new Set(['done', 'not-done', 'time', 'wait-begun', 'wait-over']);
const aDayOfMinutes = 1440;
const mostMoney = 1e6;

/** What is amiss with an entry, in a sentence; null where it is sound. */
export const entryProblem = ({ what, stepId, value, words, of }: LogEntry): string | null => {
  if (aStep.has(what) && stepId === null) return 'say which step it is about';
  if (what === 'time' && (value === null || value <= 0 || value > aDayOfMinutes))
    return 'time is more than 0 and at most 1440 minutes; write longer work down by the day';
  if (what === 'spent' && (value === null || value === 0 || Math.abs(value) > mostMoney))
    return 'say how much was spent; what came back is less than 0';
  if ((what === 'wrong' || what === 'spent') && words.trim() === '') return 'say in a few words what it was';
  if (what === 'taken-back' && of === null) return 'say which entry is taken back';
  return null;
};
