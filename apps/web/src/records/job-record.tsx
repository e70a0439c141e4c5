import { workPhases, type Evaluation } from '@vitrum/core';
import { useState, type FormEvent } from 'react';
import { useParams } from 'react-router';
import { useBenchStanding, writeDown } from '../bench-log';
import { duration, phaseName } from '../bench-log/work-words';
import { fieldLook } from '../fields/field-row';
import { NoteList } from './note-list';
import { Button } from '../ui/button';

const figures = 'figure py-1 pl-3 text-right whitespace-nowrap';

/** What a job took, beside what was computed for it: minutes by phase, and money. */
export const JobRecord = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const { jobId = '' } = useParams();
  const { minutes, done, told, spent } = useBenchStanding(jobId);
  const [words, setWords] = useState('');
  const [amount, setAmount] = useState('');
  const { buildList, cost, design } = evaluation;
  const { quantity } = design.brief;
  const timed = buildList.steps.filter(({ id }) => minutes.has(id));
  const rows = workPhases.flatMap((phase) => {
    const own = timed.filter((step) => step.phase === phase);
    if (own.length === 0) return [];
    const computed = own.reduce((sum, step) => sum + step.minutes * quantity, 0);
    const taken = own.reduce((sum, { id }) => sum + (minutes.get(id) ?? 0), 0);
    return [{ phase, computed, taken, open: own.filter(({ id }) => !done.includes(id)).length }];
  });
  const value = Number(amount.replace(',', '.'));
  const sound = words.trim() !== '' && Number.isFinite(value) && value !== 0;
  const add = (event: FormEvent): void => {
    event.preventDefault();
    if (!sound) return;
    writeDown({ what: 'spent', value, words: words.trim() });
    setWords('');
    setAmount('');
  };
  const money = (sum: number): string => `${cost.currency}${sum.toFixed(2)}`;
  return (
    <section aria-label="What it took" className="mt-3">
      <h3 className="font-bold">What it took</h3>
      <table className="w-full">
        <thead>
          <tr className="text-[13px] text-soft">
            <th className="text-left font-normal">of what was written down</th>
            <th className="pl-3 text-right font-normal">computed</th>
            <th className="pl-3 text-right font-normal">took</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ phase, computed, taken, open }) => (
            <tr key={phase} className="border-b border-line">
              <td className="py-1">
                {phaseName({ phase })}
                {open > 0 && (
                  <span className="block text-xs text-soft">
                    {open} {open === 1 ? 'step is' : 'steps are'} not done yet
                  </span>
                )}
              </td>
              <td className={figures}>{duration(computed)}</td>
              <td className={figures}>{duration(taken)}</td>
            </tr>
          ))}
          <tr className="border-b border-line">
            <td className="py-1">
              Material
              <span className="block text-xs text-soft">{quantity > 1 ? `for ${quantity} signs` : 'for the sign'}</span>
            </td>
            <td className={figures}>{money(cost.materials * quantity)}</td>
            <td className={figures}>{told.some(({ what }) => what === 'spent') ? money(spent) : '–'}</td>
          </tr>
        </tbody>
      </table>
      {rows.length === 0 && (
        <p className="text-[13px] text-soft">No time was written down yet; bench mode has a clock at each step.</p>
      )}
      <ul className="text-[13px]">
        {told
          .filter(({ what }) => what === 'spent')
          .map(({ id, words: what, value: sum, by }) => (
            <li key={id} className="flex items-center justify-between gap-2">
              <span>
                {what} <span className="text-soft">{by}</span>
              </span>
              <span className="flex items-center gap-1">
                <span className="figure">{money(sum ?? 0)}</span>
                <Button look="quiet" onClick={() => writeDown({ what: 'taken-back', of: id })}>
                  Take back
                </Button>
              </span>
            </li>
          ))}
      </ul>
      <NoteList
        jobId={jobId}
        entries={told.filter(({ stepId, what }) => stepId === null && what !== 'spent')}
        subjects={[]}
      />
      <form className="no-print mt-1 flex flex-wrap items-end gap-2" onSubmit={add}>
        <label className="grid flex-1 gap-0.5 text-[13px]">
          Money spent on
          <input
            className={`${fieldLook} w-full!`}
            maxLength={200}
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
        </label>
        <label className="grid gap-0.5 text-[13px]">
          {cost.currency}
          <input
            className={`${fieldLook} figure w-20! text-right`}
            inputMode="decimal"
            value={amount}
            onChange={(event) => setAmount(event.target.value)}
          />
        </label>
        <Button type="submit" disabled={!sound}>
          Add
        </Button>
      </form>
    </section>
  );
};
