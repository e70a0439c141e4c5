import type { LotView, StockLineView } from '@vitrum/contract';
import { useQuery } from '@tanstack/react-query';
import { wordsOf } from '@vitrum/core';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { getLots, getStock } from '../api/stock';
import { Button } from '../ui/button';
import { fitsWords } from '../ui/fits-words';
import { Skeleton } from '../ui/skeleton';
import { amountWords } from './amount-words';

const Lots = ({ line, onLot }: { readonly line: StockLineView; readonly onLot: (lot: LotView) => void }) => {
  const { data } = useQuery({
    queryKey: ['stock', 'lots', line.kind, line.lineId],
    queryFn: () => getLots(line.kind, line.lineId),
    staleTime: 0,
  });
  return (
    <ul className="py-1 pl-6 text-[13px]">
      {(data ?? []).map((lot) => (
        <li key={lot.id} className="flex items-center gap-4 border-b border-line py-0.5">
          <span className="figure w-32 text-right">{amountWords(lot.amount, lot.unit)}</span>
          <span className="figure w-44">
            {lot.widthMm === null || lot.heightMm === null ? '' : `${lot.widthMm} × ${lot.heightMm} mm`}
          </span>
          <span className="flex-1 text-soft">
            {lot.openedOn === null ? '' : `opened ${lot.openedOn}; `}since {lot.madeAt.slice(0, 10)}
          </span>
          <Button
            look="quiet"
            onClick={() => onLot(lot)}
            aria-label={`Enter for ${amountWords(lot.amount, lot.unit)} of ${lot.name}`}
          >
            Enter …
          </Button>
        </li>
      ))}
    </ul>
  );
};

/** What is there of a thing; of lengths the longest piece, for they are not joined. */
const thereWords = ({ form, amount, largest, unit }: StockLineView): string =>
  form === 'lengths' && largest !== null ? `longest ${amountWords(largest, unit)}` : amountWords(amount, unit);

interface LineRowProps {
  readonly line: StockLineView;
  readonly onLot: (lot: LotView) => void;
}

const LineRow = ({ line, onLot }: LineRowProps) => {
  const [open, setOpen] = useState(false);
  // Whether lengths and parts find room is told job by job: pieces are not added up.
  const free = line.form === 'amount' ? line.amount - line.claimed : null;
  const Mark = open ? ChevronDown : ChevronRight;
  return (
    <>
      <tr className="border-b border-line">
        <td className="py-1 font-semibold">
          <button
            type="button"
            aria-expanded={open}
            className="flex items-center gap-1 text-left hover:underline"
            onClick={() => setOpen((now) => !now)}
          >
            <Mark size={14} aria-hidden /> {line.name}
          </button>
        </td>
        <td className="text-[13px] text-soft">{wordsOf(line.kind).title}</td>
        <td className="figure text-right">{line.lots}</td>
        <td className="figure text-right">{thereWords(line)}</td>
        <td className="figure text-right">{line.claimed === 0 ? '–' : amountWords(line.claimed, line.unit)}</td>
        <td className={`figure text-right ${free !== null && free < 0 ? 'font-bold text-signal' : ''}`}>
          {free === null
            ? 'by piece'
            : free < 0
              ? `${amountWords(-free, line.unit)} short`
              : amountWords(free, line.unit)}
        </td>
      </tr>
      {open && (
        <tr>
          <td colSpan={6}>
            <Lots line={line} onLot={onLot} />
          </td>
        </tr>
      )}
    </>
  );
};

/** What is there, what jobs have a claim to, and what is free. */
export const There = ({ words, onLot }: { readonly words: string; readonly onLot: (lot: LotView) => void }) => {
  const { data, error } = useQuery({ queryKey: ['stock', 'lines'], queryFn: getStock, staleTime: 0 });
  if (error !== null) return <p role="alert">{error.message}</p>;
  if (data === undefined) return <Skeleton says="Counting …" shapes={Array.from({ length: 8 }, () => 'mb-2 h-6')} />;
  const shown = data.filter(({ name, kind }) => fitsWords(`${name} ${wordsOf(kind).title}`, words));
  if (data.length === 0)
    return (
      <p className="border border-line bg-sheet p-6">
        Reels, sheets, offcuts and tins stand here once something has come in. Enter what lies in the shop, or what a
        job’s list to buy has brought.
      </p>
    );
  return (
    <table className="w-full">
      <thead>
        <tr className="border-b border-ink text-left text-xs text-soft">
          <th className="py-1">what</th>
          <th>list</th>
          <th className="text-right">lots</th>
          <th className="text-right">there</th>
          <th className="text-right">kept for jobs</th>
          <th className="text-right">free</th>
        </tr>
      </thead>
      <tbody>
        {shown.map((line) => (
          <LineRow key={`${line.kind} ${line.lineId}`} line={line} onLot={onLot} />
        ))}
      </tbody>
    </table>
  );
};
