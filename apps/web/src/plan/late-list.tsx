import type { WayOut } from '@vitrum/core';
import { Link } from 'react-router';
import { Button } from '../ui/button';
import { doneAndDue, howLate, wayName, wayWords, whyLate } from './late-words';
import { askWaysOut, takeWayOut, usePlan } from './plan-store';

interface WaysOutProps {
  readonly ways: readonly WayOut[];
  readonly fromDay: string;
  readonly nameOf: (jobId: string) => string;
  readonly busy: boolean;
}

const WaysOut = ({ ways, fromDay, nameOf, busy }: WaysOutProps) => (
  <ul className="mt-1 grid gap-1.5">
    {ways.map((way) => (
      <li key={way.kind} className="border border-line bg-paper px-2 py-1.5">
        <p className="font-semibold">{wayName(way)}</p>
        <p className="mb-1 text-[13px] text-soft">{wayWords(way, fromDay, nameOf)}</p>
        <Button disabled={busy} onClick={() => void takeWayOut(way)}>
          {way.kind === 'due-later' ? 'It is agreed' : 'Plan it so'}
        </Button>
      </li>
    ))}
  </ul>
);

/** What may be said when no job is late; jobs that are not worked out yet are not promised. */
const inTimeWords = (jobs: readonly { readonly dueOn: string | null; readonly known: boolean }[]): string => {
  if (!jobs.some(({ dueOn }) => dueOn !== null)) return 'No job has a due day.';
  return jobs.every(({ known }) => known)
    ? 'Every job is done by the day it is due.'
    : 'Of the jobs worked out so far, every one is done by the day it is due.';
};

/** Jobs that are late, why, and what can be done. */
export const LateList = () => {
  const known = usePlan((state) => state.known);
  const ways = usePlan((state) => state.ways);
  const busy = usePlan((state) => state.busy);
  if (known === null) return null;
  const { late, plan, view } = known;
  const nameOf = (jobId: string): string => view.jobs.find(({ id }) => id === jobId)?.name ?? 'another job';
  if (late.length === 0 && plan.notLaid.length > 0) return null;
  if (late.length === 0)
    return <p className="border-l-4 border-sound bg-sheet px-3 py-1.5">{inTimeWords(view.jobs)}</p>;
  return (
    <ul aria-label="Late jobs" className="grid gap-3">
      {late.map((each) => (
        <li key={each.jobId} className="border-l-4 border-signal bg-sheet px-3 py-1.5">
          <p className="flex justify-between gap-3 font-semibold">
            <Link to={`/jobs/${each.jobId}/build`} className="hover:underline">
              {nameOf(each.jobId)}
            </Link>
            <span className="text-signal">{howLate(each)}</span>
          </p>
          <p className="text-[13px]">{doneAndDue(each, plan.fromDay)}</p>
          <p className="mt-0.5 text-[13px] text-soft">{whyLate(each, plan.fromDay, nameOf)}</p>
          {ways[each.jobId] === undefined ? (
            <Button className="mt-1" disabled={busy} onClick={() => askWaysOut(each.jobId)}>
              What can be done?
            </Button>
          ) : (
            <WaysOut ways={ways[each.jobId]!} fromDay={plan.fromDay} nameOf={nameOf} busy={busy} />
          )}
        </li>
      ))}
    </ul>
  );
};
