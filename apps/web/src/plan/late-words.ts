import { type LateJob, type WayOut } from '@vitrum/core';
import { dayWords, spanWords, timeWords } from './time-words';

type NameOf = (jobId: string) => string;

/** Why a job is late, in a sentence or two. */
export const whyLate = (late: LateJob, fromDay: string, nameOf: NameOf): string => {
  const { aloneAt, dueAt, workMinutes, waitMinutes, waitsFor } = late;
  const own = `${spanWords(workMinutes)} of work are left${waitMinutes > 0 ? `, ${spanWords(waitMinutes)} of drying, curing and soaking hold it up` : ''}`;
  if (aloneAt > dueAt) return `Even alone in the shop it would be done ${timeWords(fromDay, aloneAt)}: ${own}.`;
  const before = waitsFor
    .slice(0, 3)
    .map(({ jobId, minutes }) => `${spanWords(minutes)} for ${nameOf(jobId)}`)
    .join(', ');
  return before === ''
    ? `Alone it would be done ${timeWords(fromDay, aloneAt)}; ${own}, and other jobs take hands and places in between.`
    : `It waits ${before}. ${own[0]!.toUpperCase()}${own.slice(1)}; alone it would be done ${timeWords(fromDay, aloneAt)}.`;
};

/** What a way out is called. */
export const wayName = ({ kind, dueOn, task }: WayOut): string => {
  const last = [...task.floor.extra]
    .map(({ on }) => on)
    .sort()
    .at(-1);
  const until = last === undefined ? '' : ` until ${dayWords(last)}`;
  switch (kind) {
    case 'first':
      return 'Let it go before all others';
    case 'longer-days':
      return `Work two hours longer a day${until}`;
    case 'saturdays':
      return `Work on Saturdays from 8 to 13${until}`;
    case 'helper':
      return 'Take on a helper until it is done';
    case 'due-later':
      return `Agree on ${dueOn === null ? 'a later day' : dayWords(dueOn)} with the customer`;
  }
};

/** What comes of it: when the job is done, and who pays for it. */
export const wayWords = (way: WayOut, fromDay: string, nameOf: NameOf): string => {
  if (way.kind === 'due-later') return 'The plan stays as it is.';
  const done = `Done ${timeWords(fromDay, way.doneAt)}, ${way.lateMinutes === 0 ? 'in time' : `${spanWords(way.lateMinutes)} late`}`;
  const others =
    way.others.length === 0
      ? 'nobody else is later for it'
      : `later for it: ${way.others.map(({ jobId, moreMinutes }) => `${nameOf(jobId)} by ${spanWords(moreMinutes)}`).join(', ')}`;
  return `${done}; ${others}.`;
};

/** “2 days late”, “3.5 h late”. */
export const howLate = ({ doneAt, dueAt }: LateJob): string => `${spanWords(doneAt - dueAt)} late`;

/** “done Thu 10 Dec 09:30, due Tue 8 Dec”. */
export const doneAndDue = ({ doneAt, dueOn }: LateJob, fromDay: string): string =>
  `done ${timeWords(fromDay, doneAt)}, due ${dayWords(dueOn)}`;
