import { timeOf } from '@vitrum/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { fieldLook } from '../fields/field-row';
import { Button } from '../ui/button';
import { pinStep, usePlan } from './plan-store';
import { spanWords, timeWords } from './time-words';

const placeNames = { bench: 'bench', saw: 'saw and router', paint: 'paint corner', site: 'where it hangs' } as const;

const PinForm = ({ jobId, stepId, at }: { readonly jobId: string; readonly stepId: string; readonly at: string }) => {
  const busy = usePlan((state) => state.busy);
  const [draft, setDraft] = useState(at);
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (draft !== '') void pinStep(jobId, stepId, draft.slice(0, 16));
      }}
    >
      <label className="flex flex-col text-[13px]">
        Begin it at
        <input
          type="datetime-local"
          step={900}
          className={`${fieldLook} w-52`}
          value={draft}
          onChange={(event) => setDraft(event.target.value)}
        />
      </label>
      <Button type="submit" disabled={busy || draft === ''}>
        Pin it there
      </Button>
    </form>
  );
};

/** The step that is looked at: when, where, by whom, and its pin. */
export const ChosenStep = () => {
  const known = usePlan((state) => state.known);
  const chosen = usePlan((state) => state.chosen);
  const busy = usePlan((state) => state.busy);
  if (known === null || chosen === null)
    return (
      <p className="text-[13px] text-soft">Choose a step to see what it takes, or drag its bar to another time.</p>
    );
  const { plan, view } = known;
  const { jobId, stepId } = chosen;
  const job = view.jobs.find(({ id }) => id === jobId);
  const step = job?.steps.find(({ id }) => id === stepId);
  const bar = plan.bars.find((each) => each.jobId === jobId && each.stepId === stepId);
  if (job === undefined || step === undefined) return null;
  const people = bar?.people.map((id) => view.floor.paper.people.find((each) => each.id === id)?.name ?? id) ?? [];
  const pin = view.plan.paper.pins.find((each) => each.jobId === jobId && each.stepId === stepId);
  return (
    <section aria-label="Chosen step" className="border border-line bg-sheet px-3 py-2">
      <p className="font-bold">{step.title}</p>
      <p className="text-[13px]">
        <Link to={`/jobs/${jobId}/build`} className="underline">
          {job.name}
        </Link>
        : {spanWords(step.minutes)} at the {placeNames[step.place]}
        {step.people > 1 ? `, ${step.people} people` : ''}
        {step.waitMinutes > 0 ? `, then ${spanWords(step.waitMinutes)} of waiting` : ''}
        {step.whole ? '; not left over night' : ''}.
      </p>
      {bar === undefined ? (
        <p className="text-[13px] text-signal">It found no time in this plan.</p>
      ) : (
        <p className="text-[13px]">
          {timeWords(plan.fromDay, bar.start)} to {timeWords(plan.fromDay, bar.end)}, {people.join(' and ')}
        </p>
      )}
      {pin === undefined ? null : (
        <p className="mt-1 flex items-center gap-2 text-[13px]">
          Pinned to {pin.at.replace('T', ' ')}
          <Button disabled={busy} onClick={() => void pinStep(jobId, stepId, null)}>
            Take the pin away
          </Button>
        </p>
      )}
      {bar !== undefined && (
        <PinForm
          key={`${jobId} ${stepId} ${bar.start}`}
          jobId={jobId}
          stepId={stepId}
          at={timeOf(plan.fromDay, bar.start)}
        />
      )}
    </section>
  );
};
