import type { JobListing } from '@vitrum/contract';
import { jobStatuses, moneyWords } from '@vitrum/core';
import { CircleAlert, CircleCheck, Ellipsis, OctagonX, Plus } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { fieldLook } from '../fields/field-row';
import { ErrorSheet } from '../pages/error-sheet';
import { PageHeader } from '../pages/page-header';
import {
  bookSums,
  careDue,
  careText,
  dueText,
  filterJobs,
  isLate,
  isOnItsWay,
  wantsCare,
  type JobFilter,
  type JobOrder,
  type JobShelf,
} from './filter-jobs';
import { JobSheet } from './job-sheet';
import { ShopFile } from './shop-file';
import { useAllJobs } from './use-all-jobs';
import { WallPicture } from '../ui/wall-picture';
import { LabelledChoice } from '../ui/labelled-choice';
import { Skeleton } from '../ui/skeleton';

const Standing = ({ job: { summary } }: { readonly job: JobListing }) => {
  if (summary === null) return <span className="text-soft">not looked at yet</span>;
  const { counts } = summary;
  if (summary.thumbnail === null)
    return (
      <span className="flex items-center gap-1 text-signal">
        <OctagonX size={14} aria-hidden /> cannot be built as it stands
      </span>
    );
  if (counts.stop > 0)
    return (
      <span className="flex items-center gap-1 text-signal">
        <OctagonX size={14} aria-hidden /> {counts.stop} stop{counts.stop === 1 ? 's' : ''} the build
      </span>
    );
  if (counts.fix > 0)
    return (
      <span className="flex items-center gap-1 text-signal">
        <CircleAlert size={14} aria-hidden /> {counts.fix} to fix
      </span>
    );
  return (
    <span className="flex items-center gap-1 text-sound">
      <CircleCheck size={14} aria-hidden /> nothing to mend
    </span>
  );
};

interface JobCardProps {
  readonly job: JobListing;
  readonly asOfMs: number;
  readonly onOpen: () => void;
}

const JobCard = ({ job, asOfMs, onOpen }: JobCardProps) => {
  const cost = job.summary?.figures.find(({ id }) => id === 'cost');
  const today = new Date();
  const late = isLate(job, today);
  const care = careDue(job);
  return (
    <li className="relative">
      <Link to={`/jobs/${job.id}`} className="group block border border-line bg-sheet hover:border-ink">
        <div className="flex h-40 items-center justify-center overflow-hidden bg-[#2c2a27]">
          {job.summary?.thumbnail ? (
            <WallPicture
              src={job.summary.thumbnail}
              lazy
              alt={`${job.name}, lit at dusk`}
              className="h-full w-full bg-[#0f0f0e]"
            />
          ) : (
            <span className="text-[#e9e2d2]">{isOnItsWay(job, asOfMs) ? 'lighting it …' : 'no picture'}</span>
          )}
        </div>
        <div className="grid grid-cols-[1fr_auto] gap-x-3 px-3 py-2">
          <h2 className="truncate font-bold">{job.name}</h2>
          <span className="text-right text-[13px] text-soft">{job.template ? 'to copy from' : job.status}</span>
          <span className="truncate text-[13px] text-soft">{job.customer || 'no customer'}</span>
          {job.status === 'delivered' ? (
            <span className={`text-right text-[13px] ${wantsCare(job, today) ? 'font-bold text-signal' : 'text-soft'}`}>
              {care === null ? '' : careText(care, today)}
            </span>
          ) : (
            <span className={`text-right text-[13px] ${late ? 'font-bold text-signal' : ''}`}>
              {dueText(job.dueOn, today)}
            </span>
          )}
          <span className="mt-1 text-[13px] font-semibold">
            <Standing job={job} />
          </span>
          <span className="figure mt-1 text-right text-[13px] text-soft">
            {job.quoted === null
              ? cost?.text
              : `${moneyWords(job.quoted.price, job.quoted.currency)} ${job.quoted.agreed ? 'agreed' : 'quoted'}`}
          </span>
          <span className="figure col-span-2 text-[13px] text-soft">{job.summary?.size}</span>
        </div>
      </Link>
      <button
        type="button"
        onClick={onOpen}
        aria-label={`${job.name}: day, customer, copy, put away`}
        className="absolute top-1.5 right-1.5 flex h-7 w-7 items-center justify-center rounded-[3px] border border-transparent bg-[#2c2a27] text-[#e9e2d2] hover:border-[#e9e2d2]"
      >
        <Ellipsis size={16} aria-hidden />
      </button>
    </li>
  );
};

const orders: readonly { readonly value: JobOrder; readonly label: string }[] = [
  { value: 'due', label: 'due date' },
  { value: 'name', label: 'name' },
  { value: 'changed', label: 'last change' },
  { value: 'wrong', label: 'what is wrong' },
  { value: 'value', label: 'value' },
];
const shelves: readonly { readonly value: JobShelf; readonly label: string }[] = [
  { value: 'book', label: 'the book' },
  { value: 'late', label: 'late' },
  { value: 'care', label: 'to look after' },
  { value: 'templates', label: 'to copy from' },
  { value: 'away', label: 'put away' },
];

const Filters = ({
  filter,
  onChange,
}: {
  readonly filter: JobFilter;
  readonly onChange: (filter: JobFilter) => void;
}) => (
  <div className="flex flex-wrap items-end gap-3" role="search">
    <label className="flex flex-col text-[13px]">
      Find
      <input
        type="search"
        className={`${fieldLook} min-h-8 w-48`}
        value={filter.words}
        onChange={(event) => onChange({ ...filter, words: event.target.value })}
      />
    </label>
    <LabelledChoice
      label="Shown"
      className="w-32"
      value={filter.shelf}
      options={shelves}
      onChoose={(shelf) => onChange({ ...filter, shelf })}
    />
    <LabelledChoice
      label="Status"
      className="w-36"
      value={filter.status}
      options={[{ value: 'all' as const, label: 'all' }, ...jobStatuses.map((value) => ({ value, label: value }))]}
      onChoose={(status) => onChange({ ...filter, status })}
    />
    <LabelledChoice
      label="In order of"
      className="w-36"
      value={filter.order}
      options={orders}
      onChoose={(order) => onChange({ ...filter, order })}
    />
  </div>
);

interface SumsProps {
  readonly jobs: readonly JobListing[];
  readonly onShelf: (shelf: JobShelf) => void;
}

/** What the book comes to. */
const Sums = ({ jobs, onShelf }: SumsProps) => {
  const { open, late, care, agreed, quoted, atCost, currency } = bookSums(jobs, new Date());
  const parts = (
    [
      ['agreed', agreed],
      ['quoted', quoted],
      ['not quoted yet, at cost', atCost],
    ] as const
  ).filter(([, sum]) => sum.jobs > 0);
  return (
    <p className="mb-3 text-[13px]">
      {open} {open === 1 ? 'job is' : 'jobs are'} under way
      {late > 0 && (
        <>
          ,{' '}
          <button
            type="button"
            className="font-bold text-signal underline underline-offset-2"
            onClick={() => onShelf('late')}
          >
            {late} late
          </button>
        </>
      )}
      {parts.map(([words, { price }], place) => (
        <span key={words}>
          {place === 0 ? ': ' : ', '}
          <span className="figure">
            {currency}
            {Math.round(price).toLocaleString('en-GB')}
          </span>{' '}
          {words}
        </span>
      ))}
      .{' '}
      {care > 0 && (
        <button
          type="button"
          className="font-bold text-signal underline underline-offset-2"
          onClick={() => onShelf('care')}
        >
          {care} {care === 1 ? 'sign is' : 'signs are'} to be looked after
        </button>
      )}
    </p>
  );
};

/** All jobs, lit. */
export const JobBookPage = () => {
  const { data, rest, error, dataUpdatedAt } = useAllJobs();
  const [filter, setFilter] = useState<JobFilter>({ words: '', status: 'all', order: 'due', shelf: 'book' });
  const [opened, setOpened] = useState<string | null>(null);
  useEffect(() => {
    document.title = 'Job book · Vitrum';
  }, []);
  if (error !== null) return <ErrorSheet error={error} />;
  const today = new Date();
  const shown = filterJobs(data ?? [], filter, today);
  const job = data?.find(({ id }) => id === opened);
  return (
    <>
      <PageHeader />
      <main className="mx-auto max-w-6xl px-5 py-5">
        <div className="mb-4 flex flex-wrap items-end justify-between gap-4">
          <h1 className="text-2xl font-bold">Job book</h1>
          <Filters filter={filter} onChange={setFilter} />
          <Link
            to="/jobs/new"
            className="inline-flex min-h-8 items-center gap-1.5 rounded-[3px] border border-ink bg-ink px-3 font-semibold text-sheet hover:opacity-90"
          >
            <Plus size={16} aria-hidden /> New job
          </Link>
        </div>
        {data !== undefined && data.length > 0 && (
          <Sums jobs={data} onShelf={(shelf) => setFilter({ ...filter, shelf, status: 'all' })} />
        )}
        {data === undefined && (
          <Skeleton
            says="Opening the book …"
            shapes={Array.from({ length: 6 }, () => 'h-[260px]')}
            className="grid grid-cols-[repeat(auto-fill,minmax(290px,1fr))] gap-4"
          />
        )}
        {rest !== 'none' && data !== undefined && (
          <p role="status" className="mb-2 text-[13px] text-soft">
            {data.length} jobs are shown,{' '}
            {rest === 'coming' ? 'more are on their way …' : 'the others did not come; reload the page to see them.'}
          </p>
        )}
        {data?.length === 0 && (
          <p className="border border-line bg-sheet p-6">
            Jobs stand here, each as it will look lit.{' '}
            <Link to="/jobs/new" className="underline">
              Begin with the first
            </Link>
            : three questions, and it is lit.
          </p>
        )}
        {data !== undefined && data.length > 0 && shown.length === 0 && rest === 'none' && (
          <p>No job fits; clear the search, or choose another status or shelf.</p>
        )}
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(290px,1fr))] gap-4">
          {shown.map((job) => (
            <JobCard key={job.id} job={job} asOfMs={dataUpdatedAt} onOpen={() => setOpened(job.id)} />
          ))}
        </ul>
        <ShopFile />
        {job !== undefined && <JobSheet key={job.id} job={job} onClose={() => setOpened(null)} />}
      </main>
    </>
  );
};
