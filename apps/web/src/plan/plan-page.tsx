import { RotateCcw, Undo2 } from 'lucide-react';
import { useEffect, useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { PageHeader } from '../pages/page-header';
import { timesWords } from '../records/records-words';
import { Button } from '../ui/button';
import { Skeleton } from '../ui/skeleton';
import { Ways } from '../ui/ways';
import { useView } from '../view/view-store';
import { ChosenStep } from './chosen-step';
import { chartRows } from './chart-rows';
import { DayList } from './day-list';
import { FloorForm } from './floor-form';
import { LateList } from './late-list';
import { PlanChart } from './plan-chart';
import { notFirst, pinStep, planAnew, readPlan, undoPlan, usePlan } from './plan-store';
import { spanWords, timeWords } from './time-words';

const views = [
  { value: 'jobs', label: 'By job' },
  { value: 'people', label: 'By person' },
  { value: 'days', label: 'Day by day' },
  { value: 'hours', label: 'Hours' },
] as const;
type View = (typeof views)[number]['value'];

/** Work that is still worked out is asked for again so often. */
const askAgainMs = 2500;

const whyNot = {
  nobody: 'takes more people than work here together',
  'no-place': 'has no place in the shop',
  never: 'comes after what finds no time',
} as const;

/** What the plan comes to, what it cannot keep, and what has no time. */
const Standing = () => {
  const known = usePlan((state) => state.known);
  if (known === null) return null;
  const { plan, view } = known;
  const nameOf = (jobId: string): string => view.jobs.find(({ id }) => id === jobId)?.name ?? '';
  const titleOf = (jobId: string, stepId: string): string =>
    view.jobs.find(({ id }) => id === jobId)?.steps.find(({ id }) => id === stepId)?.title ?? stepId;
  const unknown = view.jobs.filter(({ known: isKnown }) => !isKnown).length;
  const jobs = new Set(plan.bars.map(({ jobId }) => jobId)).size;
  const hours = plan.bars.reduce((sum, { jobId, stepId, people }) => {
    const step = view.jobs.find(({ id }) => id === jobId)?.steps.find(({ id }) => id === stepId);
    return sum + ((step?.minutes ?? 0) * people.length) / 60;
  }, 0);
  return (
    <>
      {unknown < view.jobs.length && (
        <p className="mb-2">
          {plan.bars.length} steps of {jobs} {jobs === 1 ? 'job' : 'jobs'}, {Math.round(hours * 10) / 10} h of work; all
          done <b>{timeWords(plan.fromDay, plan.endsAt)}</b>
          <span className="text-soft">, at best {timeWords(plan.fromDay, plan.atLeast.endsAt)}</span>.{' '}
          {plan.lateMinutes > 0 && (
            <>
              <b className="text-signal">{spanWords(plan.lateMinutes)} late</b> in all
              <span className="text-soft">
                , at best {spanWords(plan.atLeast.lateMinutes)}{' '}
                <span className="text-soft">{timesWords(view.learnedPhases)}</span>
              </span>
              .
            </>
          )}
        </p>
      )}
      {unknown > 0 && (
        <p role="status" className="mb-2 text-[13px] text-soft">
          What {unknown} {unknown === 1 ? 'job takes' : 'jobs take'} is still being worked out …
        </p>
      )}
      {view.plan.paper.first.map((jobId) => (
        <p key={jobId} className="mb-2 flex items-center gap-2 text-[13px]">
          {nameOf(jobId)} goes before all others.
          <Button onClick={() => void notFirst(jobId)}>No longer</Button>
        </p>
      ))}
      {plan.brokenPins.map(({ pin, readyAt }) => (
        <p
          key={`${pin.jobId} ${pin.stepId}`}
          role="alert"
          className="mb-2 border-l-4 border-signal bg-sheet px-3 py-1.5"
        >
          “{titleOf(pin.jobId, pin.stepId)}” of {nameOf(pin.jobId)} cannot begin when it is pinned to,{' '}
          {pin.at.replace('T', ' ')}: what comes before it is ready {timeWords(plan.fromDay, readyAt)}. It is planned as
          soon as can be. <Button onClick={() => void pinStep(pin.jobId, pin.stepId, null)}>Take the pin away</Button>
        </p>
      ))}
      {plan.notLaid.length > 0 && (
        <ul role="alert" className="mb-2 border-l-4 border-signal bg-sheet px-3 py-1.5">
          {plan.notLaid.slice(0, 6).map(({ jobId, stepId, why }) => (
            <li key={`${jobId} ${stepId}`}>
              “{titleOf(jobId, stepId)}” of {nameOf(jobId)} {whyNot[why]}.
            </li>
          ))}
          {plan.notLaid.length > 6 && <li>And {plan.notLaid.length - 6} more.</li>}
        </ul>
      )}
    </>
  );
};

/** The chart of the plan, a row for each job or person. */
const Bars = ({ by }: { readonly by: 'jobs' | 'people' }) => {
  const known = usePlan((state) => state.known);
  const chosen = usePlan((state) => state.chosen);
  const theme = useView((view) => view.theme);
  const rows = useMemo(
    () =>
      known === null
        ? null
        : chartRows(
            {
              plan: known.plan,
              jobs: known.view.jobs,
              floor: known.view.floor.paper,
              late: known.late,
              pins: known.view.plan.paper.pins,
            },
            by,
          ),
    [known, by],
  );
  if (rows === null || known === null) return null;
  return (
    <PlanChart
      rows={rows}
      fromDay={known.plan.fromDay}
      chosen={chosen}
      theme={theme}
      onChoose={({ jobId, stepId }) => usePlan.setState({ chosen: { jobId, stepId } })}
      onPin={({ jobId, stepId }, at) => void pinStep(jobId, stepId, at)}
    />
  );
};

/** Every job at hand over people, places and hours. */
export const PlanPage = () => {
  const known = usePlan((state) => state.known);
  const busy = usePlan((state) => state.busy);
  const problem = usePlan((state) => state.problem);
  const undoable = usePlan((state) => state.before.length > 0);
  const [search, setSearch] = useSearchParams();
  const view: View = views.find(({ value }) => value === search.get('show'))?.value ?? 'jobs';
  useEffect(() => {
    document.title = 'Plan · Vitrum';
    void readPlan();
  }, []);
  const waits = known?.view.jobs.some((job) => !job.known) === true;
  useEffect(() => {
    if (!waits) return undefined;
    const timer = setTimeout(() => void readPlan(), askAgainMs);
    return () => clearTimeout(timer);
  }, [waits, known]);
  return (
    <>
      <PageHeader />
      <main className="mx-auto max-w-[1400px] px-5 py-5">
        <div className="mb-3 flex flex-wrap items-end justify-between gap-4">
          <h1 className="text-2xl font-bold">Plan</h1>
          <Ways label="Shown" value={view} options={views} onChoose={(next) => setSearch({ show: next })} />
          <div className="flex gap-2">
            <Button disabled={!undoable || busy} onClick={() => void undoPlan()}>
              <Undo2 size={15} aria-hidden /> Undo
            </Button>
            <Button look="strong" disabled={known === null || busy} onClick={() => void planAnew()}>
              <RotateCcw size={15} aria-hidden /> Plan anew
            </Button>
          </div>
        </div>
        {problem !== null && (
          <p role="alert" className="mb-3 border-l-4 border-signal bg-sheet px-3 py-1.5">
            {problem} {known === null && <Button onClick={() => void readPlan()}>Try again</Button>}
          </p>
        )}
        {known === null && problem === null && (
          <Skeleton says="Laying the work out …" shapes={Array.from({ length: 8 }, () => 'mb-2 h-6')} />
        )}
        {known !== null && known.view.jobs.length === 0 && (
          <p className="border border-line bg-sheet p-6">
            Jobs stand here once they are designed, cut, built or proved and something is left to do. Set a job’s status
            in the{' '}
            <Link to="/jobs" className="underline">
              job book
            </Link>
            .
          </p>
        )}
        {known !== null && known.view.jobs.length > 0 && (
          <>
            <Standing />
            {view === 'hours' && <FloorForm />}
            {view !== 'hours' && known.view.jobs.some((job) => job.known) && (
              <div className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_340px]">
                <div className="grid min-w-0 content-start gap-5">
                  {view === 'days' ? (
                    <DayList />
                  ) : (
                    <>
                      <Bars by={view} />
                      <DayList most={1} />
                    </>
                  )}
                </div>
                <div className="grid content-start gap-3">
                  <ChosenStep />
                  <LateList />
                </div>
              </div>
            )}
          </>
        )}
      </main>
    </>
  );
};
