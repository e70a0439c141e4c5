import {
  commissionSteps,
  expectedIn,
  judgeReading,
  readingWords,
  type CommissionStep,
  type Evaluation,
} from '@vitrum/core';
import { useId, useMemo, useState, type FormEvent } from 'react';
import { fieldLook } from '../fields/field-row';
import { Button } from '../ui/button';
import type { BenchLink } from './bench-store';
import { keepReading, readingOf, strikeReading, useRoom } from './readings';

const expectedText = (step: CommissionStep, roomC: number | null): string => {
  const { low, high, unit } = expectedIn(step, roomC ?? undefined);
  const digits = unit === '°C' || unit === 'cd/m²' ? 0 : 2;
  return `${low.toFixed(digits)}–${high.toFixed(digits)} ${unit}`;
};

interface StepProps {
  readonly evaluation: Evaluation;
  readonly step: CommissionStep;
  readonly link: BenchLink;
}

/** A reading that was kept, beside what was computed. */
const Kept = ({ evaluation, step }: Omit<StepProps, 'link'>) => {
  const kept = readingOf(evaluation.design, step);
  if (kept === null) return null;
  const verdict = judgeReading(step, kept);
  return (
    <p className="flex justify-between gap-2 text-[13px]">
      <span className={verdict === 'fine' ? '' : 'font-semibold text-signal'}>
        <span className="figure">
          {kept.value} {step.expected.unit}
        </span>
        , measured {kept.on}
        {kept.roomC !== undefined && ` at ${kept.roomC} °C`}: {readingWords(step, kept.value, verdict)}
      </span>
      <button
        type="button"
        className="no-print underline"
        aria-label={`Strike out the reading of ${step.title}`}
        onClick={() => strikeReading(step)}
      >
        strike
      </button>
    </p>
  );
};

const Entry = ({ evaluation, step, link }: StepProps) => {
  const id = useId();
  const [text, setText] = useState('');
  const value = Number.parseFloat(text.replace(',', '.'));
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    if (!Number.isFinite(value)) return;
    keepReading(step, value);
    setText('');
  };
  return (
    <form onSubmit={submit} className="no-print flex items-end justify-between gap-2">
      <label htmlFor={id} className="text-[13px] whitespace-nowrap">
        It reads ({step.expected.unit})
        <input
          id={id}
          aria-label={`Reading of ${step.title}`}
          inputMode="decimal"
          className={`${fieldLook} ml-2 !w-16 text-right`}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <span className="flex gap-1">
        <Button onClick={() => link.set(evaluation, step.setting)}>Show</Button>
        <Button type="submit" disabled={!Number.isFinite(value)}>
          Keep
        </Button>
      </span>
    </form>
  );
};

/** How warm it is where things are measured; what is lit is so much warmer than that. */
const Room = () => {
  const id = useId();
  const [text, setText] = useState(() => String(useRoom.getState().roomC ?? ''));
  const value = Number.parseFloat(text.replace(',', '.'));
  const isWrong = text.trim() !== '' && !(value >= -40 && value <= 60);
  return (
    <label htmlFor={id} className="no-print my-1 flex flex-wrap items-center justify-between gap-2 text-[13px]">
      <span>
        Air round the sign now
        {isWrong && <span className="block text-signal">between −40 and 60 °C</span>}
      </span>
      <span>
        <input
          id={id}
          inputMode="decimal"
          aria-invalid={isWrong}
          className={`${fieldLook} !w-20 text-right`}
          value={text}
          onChange={(event) => {
            const next = event.target.value;
            const typed = Number.parseFloat(next.replace(',', '.'));
            setText(next);
            useRoom.setState({ roomC: typed >= -40 && typed <= 60 ? typed : null });
          }}
        />{' '}
        °C
      </span>
    </label>
  );
};

const stages: Readonly<Record<CommissionStep['stage'], string>> = {
  supply: 'Supply',
  segments: 'Each segment',
  colours: 'Each colour',
  full: 'Full light',
  soak: 'Soak',
};

/** Putting a new sign to work step by step: what to do, what to expect, and what the real bench read. */
export const Commissioning = ({ evaluation, link }: { readonly evaluation: Evaluation; readonly link: BenchLink }) => {
  const steps = useMemo(() => commissionSteps(evaluation), [evaluation]);
  const roomC = useRoom((state) => state.roomC);
  const done = steps.filter((step) => readingOf(evaluation.design, step) !== null);
  const off = done.filter((step) => judgeReading(step, readingOf(evaluation.design, step)!) !== 'fine');
  return (
    <section aria-label="Commissioning">
      <h3 className="mt-3 font-bold">Put it to work</h3>
      <p className="text-[13px] text-soft">
        {done.length} of {steps.length} measured
        {off.length > 0 && `, ${off.length} not as computed`}. Expected ranges are computed; readings stay with the job.
      </p>
      <Room />
      <ol>
        {steps.map((step, index) => (
          <li key={step.key} className="border-b border-line py-1.5">
            <p className="flex justify-between gap-2">
              <span className="font-semibold">
                {(index === 0 || steps[index - 1]!.stage !== step.stage) && (
                  <span className="block text-xs font-normal text-soft">{stages[step.stage]}</span>
                )}
                {step.title}
              </span>
              <span className="figure self-end whitespace-nowrap">{expectedText(step, roomC)}</span>
            </p>
            <p className="text-xs text-soft">{step.how}</p>
            <Kept evaluation={evaluation} step={step} />
            <Entry evaluation={evaluation} step={step} link={link} />
          </li>
        ))}
      </ol>
    </section>
  );
};
