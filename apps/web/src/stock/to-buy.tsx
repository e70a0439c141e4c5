import type { ShoppingLine } from '@vitrum/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { getShopping } from '../api/stock';
import { Button } from '../ui/button';
import { Skeleton } from '../ui/skeleton';
import { amountWords, leadWords, pieceWords } from './amount-words';

export interface ShoppingTableProps {
  readonly lines: readonly ShoppingLine[];
  readonly currency: string;
  /** What jobs are called, where several are told. */
  readonly nameOf?: (jobId: string) => string;
  readonly onBought?: (line: ShoppingLine) => void;
}

/** What is to be bought, supplier by supplier: how much, in packs, for how much money, and when it is there. */
export const ShoppingTable = ({ lines, currency, nameOf, onBought }: ShoppingTableProps) => {
  const suppliers = [...new Set(lines.map(({ supplier }) => supplier))];
  return (
    <>
      {suppliers.map((supplier) => (
        <section key={supplier} aria-label={supplier || 'No supplier named'} className="mb-4">
          <h3 className="font-bold">{supplier || 'No supplier named'}</h3>
          <table className="w-full text-[13px]">
            <thead>
              <tr className="border-b border-ink text-left text-xs text-soft">
                <th className="py-1">what</th>
                <th className="pl-4 text-right">short of</th>
                <th className="pl-4 text-right">buy</th>
                <th className="pl-4 text-right">price</th>
                <th className="pl-4 whitespace-nowrap">comes in</th>
                {nameOf !== undefined && <th className="pl-4">for</th>}
                {onBought !== undefined && (
                  <th>
                    <span className="sr-only">to do</span>
                  </th>
                )}
              </tr>
            </thead>
            <tbody>
              {lines
                .filter((line) => line.supplier === supplier)
                .map((line) => (
                  <tr key={`${line.kind} ${line.lineId}`} className="border-b border-line">
                    <td className="py-1 font-semibold">
                      {line.name}
                      <span className="block text-xs font-normal text-soft">
                        {line.pricedOn === null ? '~ typical price' : `price of ${line.pricedOn}`}
                      </span>
                    </td>
                    <td className="figure pl-4 text-right whitespace-nowrap">{amountWords(line.amount, line.unit)}</td>
                    <td className="figure pl-4 text-right whitespace-nowrap">
                      {pieceWords(line.kind, line.pieces, line.unit)}
                      {line.packOf > 1
                        ? `, ${line.packs} ${line.packs === 1 ? 'pack' : 'packs'} of ${line.packOf}`
                        : ''}
                    </td>
                    <td className="figure pl-4 text-right whitespace-nowrap">
                      {currency}
                      {line.price.toFixed(2)}
                    </td>
                    <td className="figure pl-4 whitespace-nowrap">{leadWords(line.leadDays)}</td>
                    {nameOf !== undefined && <td className="pl-4">{line.jobIds.map(nameOf).join(', ')}</td>}
                    {onBought !== undefined && (
                      <td className="text-right">
                        <Button look="quiet" onClick={() => onBought(line)} aria-label={`${line.name} came in`}>
                          Came in …
                        </Button>
                      </td>
                    )}
                  </tr>
                ))}
            </tbody>
          </table>
        </section>
      ))}
    </>
  );
};

/** What is short for the jobs at hand, as one list. */
export const ToBuy = ({
  currency,
  onBought,
}: {
  readonly currency: string;
  readonly onBought: (line: ShoppingLine) => void;
}) => {
  const { data, error } = useQuery({
    queryKey: ['stock', 'shopping'],
    queryFn: getShopping,
    staleTime: 0,
    refetchInterval: ({ state }) => (state.data?.jobs.some(({ known }) => !known) === true ? 2000 : false),
  });
  if (error !== null) return <p role="alert">{error.message}</p>;
  if (data === undefined)
    return <Skeleton says="Laying parts on what is there …" shapes={Array.from({ length: 8 }, () => 'mb-2 h-6')} />;
  const names = new Map(data.jobs.map(({ jobId, name }) => [jobId, name]));
  const short = data.jobs.filter(({ shorts }) => shorts.length > 0);
  const unknown = data.jobs.filter(({ known }) => !known).length;
  const waiting =
    unknown === 0 ? null : (
      <p role="status" className="mb-2 text-[13px] text-soft">
        What {unknown === 1 ? 'one job takes is' : `${unknown} jobs take is`} still being worked out …
      </p>
    );
  if (data.lines.length === 0)
    return (
      waiting ?? (
        <p>
          Nothing is short: {data.jobs.length === 0 ? 'no job is at hand' : 'all jobs at hand have what they take'}.
        </p>
      )
    );
  return (
    <>
      {waiting}
      <p className="mb-3 max-w-3xl text-soft">
        What the jobs at hand (designed, cutting, building) take and is not there, beside what is kept for others:{' '}
        <strong className="figure text-ink">
          {currency}
          {data.total.toFixed(2)}
        </strong>
        . Pieces of a reel are not joined; parts go on offcuts first.
      </p>
      <ShoppingTable lines={data.lines} currency={currency} nameOf={(id) => names.get(id) ?? ''} onBought={onBought} />
      <section aria-label="Short by job">
        <h3 className="font-bold">Short by job</h3>
        <ul className="text-[13px]">
          {short.map(({ jobId, name, dueOn, claimed, shorts }) => (
            <li key={jobId}>
              <Link to={`/jobs/${jobId}/cut`} className="underline">
                {name}
              </Link>
              {dueOn === null ? '' : `, due ${dueOn}`}
              {claimed ? ', kept for it' : ''}: {shorts.length} {shorts.length === 1 ? 'thing' : 'things'}
            </li>
          ))}
        </ul>
      </section>
    </>
  );
};
