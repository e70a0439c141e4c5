import type { JobListing, UpdateJobDto } from '@vitrum/contract';
import { useQueryClient } from '@tanstack/react-query';
import { careOf, jobStatuses } from '@vitrum/core';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { copyJob, updateJob } from '../api/jobs';
import { fieldLook } from '../fields/field-row';
import { Button, linkLook } from '../ui/button';
import { LabelledChoice } from '../ui/labelled-choice';
import { SheetDialog } from '../ui/sheet-dialog';
import { dayOf } from '../view/day-of';

interface CareProps {
  readonly job: JobListing;
  readonly busy: boolean;
  readonly change: (what: UpdateJobDto) => void;
}

/** When a sign was handed over, and what is to be done to it since. */
const Care = ({ job: { handedOverOn, cared, summary }, busy, change }: CareProps) => {
  const today = dayOf(new Date());
  if (handedOverOn === null) return null;
  return (
    <section aria-label="Care" className="mt-5 border-t border-line pt-3">
      <h3 className="font-bold">Care</h3>
      <label className="flex items-center gap-2 text-[13px]">
        Handed over on
        <input
          type="date"
          className={fieldLook}
          max={today}
          defaultValue={handedOverOn}
          onBlur={({ target: { value } }) => {
            if (value !== '' && value !== handedOverOn) change({ handedOverOn: value });
          }}
        />
      </label>
      {summary?.care === undefined && (
        <p className="text-[13px] text-soft">What is to be done is worked out when its design is next saved.</p>
      )}
      <ul>
        {careOf(summary?.care ?? [], handedOverOn, cared).map(({ everyMonths, what, on, last }) => (
          <li key={everyMonths} className="flex items-start justify-between gap-3 border-b border-line py-1.5">
            <span className="text-[13px]">
              <b className={on <= today ? 'text-signal' : ''}>
                {on <= today ? 'Due since' : 'Due on'} {on}
              </b>
              , every {everyMonths} months{last === null ? '' : `, last on ${last}`}
              <span className="block">{what}</span>
            </span>
            <Button
              className="shrink-0"
              disabled={busy || last === today}
              aria-label={`Done today: ${what}`}
              onClick={() => change({ cared: { everyMonths, on: today } })}
            >
              Done today
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
};

interface JobSheetProps {
  readonly job: JobListing;
  readonly onClose: () => void;
}

/** What a job has beside its design, and what becomes of the job as a whole. */
export const JobSheet = ({ job, onClose }: JobSheetProps) => {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [name, setName] = useState(job.name);
  const [customer, setCustomer] = useState(job.customer);
  const [dueOn, setDueOn] = useState(job.dueOn ?? '');
  const [status, setStatus] = useState(job.status);
  const [copyName, setCopyName] = useState(`${job.name}, again`);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const doing = async (work: () => Promise<unknown>): Promise<void> => {
    setBusy(true);
    setProblem(null);
    try {
      await work();
      await queries.invalidateQueries({ queryKey: ['jobs'] });
      onClose();
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
      setBusy(false);
    }
  };
  const change = (what: UpdateJobDto): void => void doing(() => updateJob(job.id, what));
  return (
    <SheetDialog open onClose={onClose} title={job.name}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          change({ name: name.trim(), customer: customer.trim(), dueOn: dueOn === '' ? null : dueOn, status });
        }}
      >
        <label className="flex flex-col text-[13px]">
          Name
          <input className={`${fieldLook} w-full`} value={name} onChange={(event) => setName(event.target.value)} />
        </label>
        <label className="flex flex-col text-[13px]">
          Customer
          <input
            className={`${fieldLook} w-full`}
            value={customer}
            onChange={(event) => setCustomer(event.target.value)}
          />
        </label>
        <div className="flex flex-wrap items-end gap-3">
          <label className="flex flex-col text-[13px]">
            Due on
            <input type="date" className={fieldLook} value={dueOn} onChange={(event) => setDueOn(event.target.value)} />
          </label>
          <LabelledChoice
            label="How far it is"
            className="w-36"
            value={status}
            options={jobStatuses.map((value) => ({ value, label: value }))}
            onChoose={setStatus}
          />
          <Button type="submit" look="strong" disabled={busy || name.trim() === ''}>
            Keep
          </Button>
        </div>
      </form>
      <Care job={job} busy={busy} change={change} />
      <form
        className="mt-5 flex flex-wrap items-end gap-3 border-t border-line pt-3"
        onSubmit={(event) => {
          event.preventDefault();
          void doing(async () => {
            const made = await copyJob(job.id, copyName.trim());
            await navigate(`/jobs/${made.id}`);
          });
        }}
      >
        <label className="flex flex-1 flex-col text-[13px]">
          Name of a copy: the same design, nothing ticked or measured
          <input
            className={`${fieldLook} w-full`}
            value={copyName}
            onChange={(event) => setCopyName(event.target.value)}
          />
        </label>
        <Button type="submit" disabled={busy || copyName.trim() === ''}>
          Copy it
        </Button>
      </form>
      <div className="mt-5 flex flex-wrap items-center gap-3 border-t border-line pt-3">
        <Link to={`/quotes/${job.id}`} className={linkLook}>
          Quote it
        </Link>
        <Button disabled={busy} onClick={() => change({ template: !job.template })}>
          {job.template ? 'No longer to copy from' : 'Keep it to copy from'}
        </Button>
        <Button disabled={busy} onClick={() => change({ archived: !job.archived })}>
          {job.archived ? 'Take it out again' : 'Put it away'}
        </Button>
      </div>
      {problem !== null && (
        <p role="alert" className="mt-3 text-[13px] font-semibold text-signal">
          {problem}
        </p>
      )}
    </SheetDialog>
  );
};
