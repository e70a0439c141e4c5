import type { PhaseView, RecordsView, StripView } from '@vitrum/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { acceptStrip, acceptTime, getRecords, retireLesson } from '../api/records';
import { duration, phaseName } from '../bench-log/work-words';
import { catalogueQuery } from '../job/job-query';
import { ErrorSheet } from '../pages/error-sheet';
import { PageHeader } from '../pages/page-header';
import { Button } from '../ui/button';
import { Skeleton } from '../ui/skeleton';
import { lessonsQuery } from './lessons-here';
import { aboutWords, factorWords, perMetre, readingWords } from './records-words';

const askAgainMs = 2500;
const key = ['records'] as const;

/** Does something to the records, shows them as they then are, and lets all that is reckoned from them be asked for anew. */
type Act = (work: () => Promise<RecordsView>) => void;

const head = 'border-b border-ink px-2 py-1 text-left text-[13px] font-semibold';
const cell = 'border-b border-line px-2 py-1 align-top';
const figures = `${cell} figure text-right whitespace-nowrap`;

/** The heads of a table, the last over what is to do; figures stand to the right. */
const Heads = ({ names }: { readonly names: readonly (readonly [name: string, isFigure?: boolean])[] }) => (
  <thead>
    <tr>
      {names.map(([name, isFigure = false]) => (
        <th key={name} className={`${head} ${isFigure ? 'text-right!' : ''}`}>
          {name}
        </th>
      ))}
      <th className={head}>
        <span className="sr-only">What to do</span>
      </th>
    </tr>
  </thead>
);

interface PhaseRowProps {
  readonly phase: PhaseView;
  readonly act: Act;
}

const PhaseRow = ({ phase: { phase, jobs, learned, accepted, offered }, act }: PhaseRowProps) => {
  const typical = jobs.reduce((sum, { typicalMinutes }) => sum + typicalMinutes, 0);
  const taken = jobs.reduce((sum, { takenMinutes }) => sum + takenMinutes, 0);
  return (
    <tr>
      <th scope="row" className={`${cell} text-left`}>
        {phaseName({ phase })}
        <span className="block text-[13px] font-normal text-soft">
          {jobs.map(({ jobId, name }, at) => (
            <span key={jobId}>
              {at > 0 && ', '}
              <Link to={`/jobs/${jobId}/build`} className="hover:underline">
                {name}
              </Link>
            </span>
          ))}
        </span>
      </th>
      <td className={figures}>{duration(typical)}</td>
      <td className={figures}>{duration(taken)}</td>
      <td className={cell}>
        × {factorWords(learned)}
        <span className="block text-[13px] text-soft">
          {learned.count === 1 ? 'one job; wait for another' : `${learned.count} jobs`}
        </span>
      </td>
      <td className={cell}>
        {accepted === null ? 'typical' : `× ${accepted.factor.toFixed(2)}, since ${accepted.on}`}
      </td>
      <td className={`${cell} text-right`}>
        {offered && (
          <Button look="strong" onClick={() => act(() => acceptTime(phase, learned.factor))}>
            Reckon with × {learned.factor.toFixed(2)}
          </Button>
        )}{' '}
        {accepted !== null && <Button onClick={() => act(() => acceptTime(phase, null))}>Typical again</Button>}
      </td>
    </tr>
  );
};

interface StripRowProps {
  readonly strip: StripView;
  readonly act: Act;
}

const StripRow = ({ strip, act }: StripRowProps) => (
  <tr>
    <th scope="row" className={`${cell} text-left`}>
      {strip.name}, {strip.figure === 'wattsPerM' ? 'what it takes' : 'what it gives'}
      <span className="block text-[13px] font-normal text-soft">
        {strip.readings
          .slice(0, 6)
          .map(
            ({ name, title, unit, predicted, measured }) =>
              `${name}, ${title.toLowerCase()}: ${readingWords(measured, unit)} for ${readingWords(predicted, unit)}`,
          )
          .join('; ')}
        {strip.readings.length > 6 && `; and ${strip.readings.length - 6} more`}
      </span>
    </th>
    <td className={cell}>
      × {factorWords(strip.learned)}
      <span className="block text-[13px] text-soft">
        {strip.learned.count === 1 ? 'one reading; wait for another' : `${strip.learned.count} readings`}
      </span>
    </td>
    <td className={figures}>
      {perMetre(strip.figure, strip.now)}
      {strip.measuredOn !== null && <span className="block text-[13px] text-soft">measured {strip.measuredOn}</span>}
    </td>
    <td className={`${cell} text-right`}>
      {strip.offered && (
        <Button look="strong" onClick={() => act(() => acceptStrip(strip))}>
          Reckon with {perMetre(strip.figure, strip.then)}
        </Button>
      )}
    </td>
  </tr>
);

const Lessons = ({ lessons }: Pick<RecordsView, 'lessons'>) => {
  const client = useQueryClient();
  const [problem, setProblem] = useState<string | null>(null);
  const away = async (id: string): Promise<void> => {
    try {
      await retireLesson(id);
      await Promise.all([
        client.invalidateQueries({ queryKey: key }),
        client.invalidateQueries({ queryKey: lessonsQuery.queryKey }),
      ]);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <section aria-label="Lessons">
      <h2 className="mb-1 text-lg font-bold">Lessons</h2>
      {problem !== null && <p role="alert">{problem}</p>}
      {lessons.length === 0 && (
        <p className="border border-line bg-sheet p-4">
          None yet. Note what went wrong in bench mode, and keep it as a lesson: it comes up again where it applies.
        </p>
      )}
      <ul>
        {lessons.map((lesson) => (
          <li key={lesson.id} className="flex items-start justify-between gap-4 border-b border-line py-1.5">
            <span>
              {lesson.words}
              <span className="block text-[13px] text-soft">
                {aboutWords(lesson)}; {lesson.by === '' ? '' : `${lesson.by}, `}
                {lesson.madeAt.slice(0, 10)}
                {lesson.jobId !== null && (
                  <>
                    ,{' '}
                    <Link to={`/jobs/${lesson.jobId}/build`} className="underline">
                      its job
                    </Link>
                  </>
                )}
              </span>
            </span>
            <Button onClick={() => void away(lesson.id)}>Put away</Button>
          </li>
        ))}
      </ul>
    </section>
  );
};

/** What the shop’s jobs have taught: times, strip, lessons. Nothing moves an estimate before it is accepted here. */
export const RecordsPage = () => {
  const client = useQueryClient();
  const { data, error } = useQuery({
    queryKey: key,
    queryFn: getRecords,
    staleTime: 0,
    refetchInterval: ({ state }) => ((state.data?.waiting ?? 0) > 0 ? askAgainMs : false),
  });
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    document.title = 'Records · Vitrum';
  }, []);
  const act: Act = (work) => {
    setProblem(null);
    work().then(
      async (view) => {
        client.setQueryData(key, view);
        await client.invalidateQueries({ queryKey: catalogueQuery.queryKey });
      },
      (refused: unknown) => {
        setProblem(refused instanceof Error ? refused.message : String(refused));
        void client.invalidateQueries({ queryKey: key });
      },
    );
  };
  if (error !== null && data === undefined) return <ErrorSheet error={error} />;
  return (
    <>
      <PageHeader />
      <main className="mx-auto grid grid-cols-[minmax(0,1fr)] max-w-[1152px] gap-6 px-5 py-5">
        <header>
          <h1 className="text-2xl font-bold">Records</h1>
          <p className="text-soft">
            What jobs took, beside what was computed for them. Estimates go by it once you accept it, not before.
            Between the two figures the factor lies four times in five, by the jobs so far.
          </p>
        </header>
        {problem !== null && (
          <p role="alert" className="border-l-4 border-signal bg-sheet px-3 py-1.5">
            {problem}
          </p>
        )}
        {data === undefined ? (
          <Skeleton says="Looking the jobs over …" shapes={Array.from({ length: 6 }, () => 'mb-2 h-8')} />
        ) : (
          <>
            <section aria-label="Times" className="min-w-0 overflow-x-auto">
              <h2 className="mb-1 text-lg font-bold">Times</h2>
              {data.times.length === 0 ? (
                <p className="border border-line bg-sheet p-4">
                  Nothing was timed yet. Start the clock at a step in bench mode, or type how long it took, and tick it.
                </p>
              ) : (
                <table className="w-full">
                  <Heads
                    names={[
                      ['Work'],
                      ['Typical', true],
                      ['Took', true],
                      ['So times are to be taken'],
                      ['Now reckoned with'],
                    ]}
                  />
                  <tbody>
                    {data.times.map((phase) => (
                      <PhaseRow key={phase.phase} phase={phase} act={act} />
                    ))}
                  </tbody>
                </table>
              )}
              {data.waiting > 0 && (
                <p role="status" className="mt-1 text-[13px] text-soft">
                  What {data.waiting} {data.waiting === 1 ? 'job' : 'jobs'} should have taken is still being worked out
                  …
                </p>
              )}
            </section>
            <section aria-label="Strip" className="min-w-0 overflow-x-auto">
              <h2 className="mb-1 text-lg font-bold">Strip</h2>
              {data.strips.length === 0 ? (
                <p className="border border-line bg-sheet p-4">
                  No current and no luminance was measured yet. Type what the meters read at “Prove” of a job.
                </p>
              ) : (
                <table className="w-full">
                  <Heads names={[['Strip'], ['Measured over computed'], ['Now reckoned with', true]]} />
                  <tbody>
                    {data.strips.map((strip) => (
                      <StripRow key={`${strip.figure} ${strip.stripId}`} strip={strip} act={act} />
                    ))}
                  </tbody>
                </table>
              )}
            </section>
            <Lessons lessons={data.lessons} />
          </>
        )}
      </main>
    </>
  );
};
