import type { Bar } from '@vitrum/core';
import { Pin } from 'lucide-react';
import { clockWords, dayOf, dayWords, spanWords } from './time-words';
import { usePlan } from './plan-store';

/** Bars by the day on which they begin, in order. */
const byDay = (bars: readonly Bar[], fromDay: string): readonly (readonly [day: string, bars: readonly Bar[]])[] => {
  const days = new Map<string, Bar[]>();
  for (const bar of [...bars].sort((a, b) => a.start - b.start)) {
    const day = dayOf(fromDay, bar.start);
    days.set(day, [...(days.get(day) ?? []), bar]);
  }
  return [...days];
};

/** Days drawn at once; the rest is asked for. */
const shownDays = 10;

/** The plan day by day: when, what, for which job, by whom. */
export const DayList = ({ most = shownDays }: { readonly most?: number }) => {
  const known = usePlan((state) => state.known);
  const chosen = usePlan((state) => state.chosen);
  if (known === null) return null;
  const { plan, view } = known;
  const jobOf = new Map(view.jobs.map((job) => [job.id, job] as const));
  const nameOf = new Map(view.floor.paper.people.map(({ id, name }) => [id, name] as const));
  const days = byDay(plan.bars, plan.fromDay);
  return (
    <div className="grid gap-4">
      {days.slice(0, most).map(([day, bars]) => (
        <section key={day} aria-label={dayWords(day)}>
          <h2 className="border-b border-ink py-1 font-bold">{dayWords(day)}</h2>
          <ul>
            {bars.map((bar) => {
              const job = jobOf.get(bar.jobId);
              const step = job?.steps.find(({ id }) => id === bar.stepId);
              const isChosen = chosen?.jobId === bar.jobId && chosen.stepId === bar.stepId;
              const pinned = view.plan.paper.pins.some(
                ({ jobId, stepId }) => jobId === bar.jobId && stepId === bar.stepId,
              );
              return (
                <li key={`${bar.jobId} ${bar.stepId}`}>
                  <button
                    type="button"
                    aria-pressed={isChosen}
                    onClick={() => usePlan.setState({ chosen: { jobId: bar.jobId, stepId: bar.stepId } })}
                    className={`grid w-full grid-cols-[104px_minmax(0,1fr)_minmax(0,180px)_120px] items-baseline gap-3 border-b border-line px-1 py-1 text-left hover:bg-sheet ${isChosen ? 'border-l-4 border-l-ink bg-sheet' : ''}`}
                  >
                    <span className="figure whitespace-nowrap">
                      {clockWords(bar.start)}–{clockWords(bar.end)}
                      {dayOf(plan.fromDay, bar.end) === day ? '' : '+'}
                    </span>
                    <span className="truncate">
                      {pinned && <Pin size={12} aria-label="pinned" className="mr-1 inline" />}
                      {step?.title}
                      {bar.until > bar.end && (
                        <span className="text-soft">, then {spanWords(bar.until - bar.end)} of waiting</span>
                      )}
                    </span>
                    <span className="truncate text-[13px] text-soft">{job?.name}</span>
                    <span className="truncate text-[13px] text-soft">
                      {bar.people.map((id) => nameOf.get(id) ?? id).join(' and ')}
                    </span>
                  </button>
                </li>
              );
            })}
          </ul>
        </section>
      ))}
      {most === shownDays && days.length > most && (
        <p className="text-[13px] text-soft">
          {days.length - most} more days of work follow; the bars show all of them.
        </p>
      )}
    </div>
  );
};
