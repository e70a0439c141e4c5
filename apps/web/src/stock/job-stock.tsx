import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { claimStock } from '../api/stock';
import { useCatalogue } from '../job/catalogue-context';
import { Button } from '../ui/button';
import { amountWords, leadWords, pieceWords } from './amount-words';
import { useLength } from '../view/use-length';
import { Tick } from '../ui/tick';
import { newId } from '../api/new-id';
import { useJobStock } from './job-stock-query';

/** What a job takes from stock: whether it is there, kept for it, and what is to be bought before it starts. */
export const JobStock = () => {
  const { jobId = '' } = useParams();
  const { rates } = useCatalogue();
  const show = useLength();
  const queries = useQueryClient();
  const { data, error } = useJobStock();
  const [keepLeft, setKeepLeft] = useState(true);
  const sent = useRef<{ readonly what: string; readonly op: string } | null>(null);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const left = (data?.laid ?? []).flatMap(({ lotId, name, leftMm }) =>
    lotId === null ? [] : leftMm.map(([wide, high]) => `${show(wide)} × ${show(high)} of ${name}`),
  );
  const act = (what: 'claim' | 'release' | 'use'): void => {
    setBusy(true);
    setProblem(null);
    // Sent again after a lost answer it is the same operation.
    const op = (sent.current ??= { what, op: newId() }).what === what ? sent.current.op : newId();
    sent.current = { what, op };
    claimStock(jobId, what, op, what === 'use' && keepLeft && left.length > 0)
      .then(() => {
        sent.current = null;
      })
      .then(() => queries.invalidateQueries({ queryKey: ['stock'] }))
      .catch((reason: unknown) => setProblem(reason instanceof Error ? reason.message : String(reason)))
      .finally(() => setBusy(false));
  };
  return (
    <section aria-label="Stock" className="mt-4 border-t border-line pt-3">
      <h3 className="flex items-baseline justify-between font-bold">
        From stock
        <Link to="/stock" className="text-[13px] font-normal underline">
          all stock
        </Link>
      </h3>
      {error !== null && (
        <p role="alert" className="text-[13px]">
          {error.message}
        </p>
      )}
      {data !== undefined && (
        <>
          <p className="my-1 text-[13px]">
            {data.needs.length === 0
              ? 'What this job takes is being worked out …'
              : data.shorts.length === 0
                ? data.claimed
                  ? 'All that this job takes is there, and kept for it.'
                  : 'All that this job takes is there and free.'
                : `${data.shorts.length} of ${data.needs.length} things that this job takes are short${data.claimed ? '; the rest is kept for it' : ''}.`}
          </p>
          {data.lines.length > 0 && (
            <ul aria-label="To buy for this job" className="mb-2 text-[13px]">
              {data.lines.map((line) => (
                <li key={`${line.kind} ${line.lineId}`} className="border-b border-line py-1">
                  <span className="flex justify-between gap-2">
                    <span className="font-semibold">{line.name}</span>
                    <span className="figure whitespace-nowrap">
                      {rates.currency}
                      {line.price.toFixed(2)}
                    </span>
                  </span>
                  <span className="text-soft">
                    short of {amountWords(line.amount, line.unit)}: buy {pieceWords(line.kind, line.pieces, line.unit)}
                    {line.packOf > 1 ? ` (${line.packs} × ${line.packOf})` : ''}
                    {line.supplier === '' ? '' : `, ${line.supplier}`}
                    {line.leadDays === null ? '' : `, ${leadWords(line.leadDays)}`}
                  </span>
                </li>
              ))}
            </ul>
          )}
          {data.claimed && left.length > 0 && (
            <Tick on={keepLeft} onChange={setKeepLeft}>
              what is left lies in the shop again: {left.join('; ')}
            </Tick>
          )}
          <div className="flex flex-wrap gap-2">
            {data.claimed ? (
              <>
                <Button disabled={busy} onClick={() => act('use')}>
                  It is used: take it from stock
                </Button>
                <Button look="quiet" disabled={busy} onClick={() => act('release')}>
                  Keep nothing for it
                </Button>
              </>
            ) : (
              <Button disabled={busy || data.needs.length === 0} onClick={() => act('claim')}>
                Keep it for this job
              </Button>
            )}
          </div>
        </>
      )}
      {problem !== null && (
        <p role="alert" className="text-[13px] font-semibold text-signal">
          {problem}
        </p>
      )}
    </section>
  );
};
