import type { LotView, StockDone } from '@vitrum/contract';
import { useQuery } from '@tanstack/react-query';
import type { CatalogueKind } from '@vitrum/core';
import { Plus } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import { fieldLook } from '../fields/field-row';
import { catalogueQuery } from '../job/job-query';
import { ErrorSheet } from '../pages/error-sheet';
import { PageHeader } from '../pages/page-header';
import { Button } from '../ui/button';
import { Ways } from '../ui/ways';
import { amountWords } from './amount-words';
import { BoughtDialog } from './bought-dialog';
import { Ledger } from './ledger';
import { LotDialog } from './lot-dialog';
import { There } from './there';
import { ToBuy } from './to-buy';

const views = [
  { value: 'there', label: 'There' },
  { value: 'to-buy', label: 'To buy' },
  { value: 'ledger', label: 'Ledger' },
] as const;
type View = (typeof views)[number]['value'];

/** Jobs that an entry has left short of what was kept for them. */
const ShortNow = ({ done }: { readonly done: StockDone }) => (
  <div role="alert" className="mb-3 border-l-4 border-signal bg-sheet px-3 py-1.5">
    <p className="font-semibold text-signal">
      {done.short.length === 1 ? 'A job is' : `${done.short.length} jobs are`} short now of what was kept for{' '}
      {done.short.length === 1 ? 'it' : 'them'}
    </p>
    <ul className="text-[13px]">
      {done.short.map(({ jobId, name, shorts }) => (
        <li key={jobId}>
          {name}: {shorts.map((each) => `${each.name}, ${amountWords(each.amount, each.unit)}`).join('; ')}
        </li>
      ))}
    </ul>
  </div>
);

/** What lies in the shop, what is to be bought, and all that became of it. */
export const StockPage = () => {
  const { data: catalogue, error } = useQuery(catalogueQuery);
  const [search, setSearch] = useSearchParams();
  const view: View = views.find(({ value }) => value === search.get('show'))?.value ?? 'there';
  const [words, setWords] = useState('');
  const [buying, setBuying] = useState<
    { readonly kind: CatalogueKind; readonly itemId: string; readonly pieces: number } | 'anything' | null
  >(null);
  const [lot, setLot] = useState<LotView | null>(null);
  const [done, setDone] = useState<StockDone | null>(null);
  useEffect(() => {
    document.title = 'Stock · Vitrum';
  }, []);
  if (error !== null && catalogue === undefined) return <ErrorSheet error={error} />;
  const entered = (what: StockDone): void => {
    setBuying(null);
    setLot(null);
    setDone(what);
  };
  return (
    <>
      <PageHeader />
      <main className="mx-auto max-w-6xl px-5 py-5">
        <div className="mb-3 flex flex-wrap items-end justify-between gap-4">
          <h1 className="text-2xl font-bold">Stock</h1>
          <Ways label="Shown" value={view} options={views} onChoose={(next) => setSearch({ show: next })} />
          {view === 'there' && (
            <label className="flex flex-col text-[13px]">
              Find
              <input
                type="search"
                className={`${fieldLook} min-h-8 w-56`}
                value={words}
                onChange={(event) => setWords(event.target.value)}
              />
            </label>
          )}
          <Button look="strong" onClick={() => setBuying('anything')}>
            <Plus size={16} aria-hidden /> Something comes in
          </Button>
        </div>
        {done !== null && done.short.length > 0 && <ShortNow done={done} />}
        {done !== null && done.lots.length > 0 && (
          <p role="status" className="mb-3 border-l-4 border-sound bg-sheet px-3 py-1.5">
            {done.lots[0]!.name}: {done.lots.map(({ amount, unit }) => amountWords(amount, unit)).join(' and ')} there
            by the ledger.
          </p>
        )}
        {view === 'there' && <There words={words} onLot={setLot} />}
        {view === 'to-buy' && (
          <ToBuy
            currency={catalogue?.rates.currency ?? ''}
            onBought={({ kind, itemId, packs, packOf }) => setBuying({ kind, itemId, pieces: packs * packOf })}
          />
        )}
        {view === 'ledger' && <Ledger />}
        {buying !== null && catalogue !== undefined && (
          <BoughtDialog
            catalogue={catalogue}
            of={buying === 'anything' ? null : buying}
            onClose={() => setBuying(null)}
            onDone={entered}
          />
        )}
        {lot !== null && <LotDialog lot={lot} onClose={() => setLot(null)} onDone={entered} />}
      </main>
    </>
  );
};
