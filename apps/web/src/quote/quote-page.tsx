import type { JobQuotesView, QuoteStanding, QuoteView } from '@vitrum/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { quoteOf, usualTerms, type QuoteTerms } from '@vitrum/core';
import { Copy, FileDown } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { getQuotes, makeQuote, quotePaper, withdrawQuote } from '../api/quotes';
import { fieldLook } from '../fields/field-row';
import { ErrorSheet } from '../pages/error-sheet';
import { PageHeader } from '../pages/page-header';
import { Button, linkLook } from '../ui/button';
import { Skeleton } from '../ui/skeleton';
import { AnswerLines } from './answer-lines';
import { money, yearsWords } from './money';
import { OnWall } from './on-wall';

interface NumberRowProps {
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  readonly step: number;
  readonly most: number;
  readonly onChange: (value: number) => void;
}

const NumberRow = ({ label, unit, value, step, most, onChange }: NumberRowProps) => (
  <label className="flex items-center justify-between gap-3 py-1">
    {label}
    <span className="flex items-center gap-1.5">
      <input
        type="number"
        className={`${fieldLook} figure w-28 text-right`}
        min={0}
        max={most}
        step={step}
        value={Number.isFinite(value) ? value : ''}
        onChange={(event) => onChange(event.target.valueAsNumber)}
      />
      <span className="w-14 text-[13px] text-soft">{unit}</span>
    </span>
  </label>
);

/** A figure of the terms: how it is asked for, and of how much it is one as it is typed. */
interface TermField {
  readonly key: 'ratePerHour' | 'failedShare' | 'marginShare' | 'furtherOff' | 'tariffPerKwh' | 'validDays';
  readonly label: string;
  /** `¤` stands for the currency. */
  readonly unit: string;
  /** Typed over kept: a share is typed as per cent. */
  readonly typedPer: number;
  readonly step: number;
  readonly most: number;
}

const share = { unit: '%', typedPer: 100, step: 1, most: 90 } as const;
const termFields: readonly TermField[] = [
  { key: 'ratePerHour', label: 'An hour of work', unit: '¤/h', typedPer: 1, step: 1, most: 10_000 },
  { key: 'failedShare', label: 'Tries that fail', ...share },
  { key: 'marginShare', label: 'Margin, of the price', ...share },
  { key: 'furtherOff', label: 'Off for each further sign', ...share },
  { key: 'tariffPerKwh', label: 'Electricity', unit: '¤/kWh', typedPer: 1, step: 0.01, most: 100 },
  { key: 'validDays', label: 'It holds for', unit: 'days', typedPer: 1, step: 1, most: 365 },
];

/** To a thousandth, so that a share of 0.07 is typed as 7, not as 7.000000000000001. */
const typed = (value: number, { typedPer }: TermField): number => Math.round(value * typedPer * 1000) / 1000;

const Price = ({ view, terms }: { readonly view: JobQuotesView; readonly terms: QuoteTerms }) => {
  const { facts } = view;
  const quote = quoteOf(facts, terms);
  const rows: readonly (readonly [string, string])[] = [
    ['Material of one', money(quote.materials, facts.currency)],
    [`Work, ${facts.hours.toFixed(1)} h`, money(quote.labour, facts.currency)],
    ['Failed tries', money(quote.risk, facts.currency)],
    ['Margin', money(quote.margin, facts.currency)],
    [facts.quantity > 1 ? 'The first' : 'One sign', money(quote.first, facts.currency)],
    ...(facts.quantity > 1
      ? [[`Each of ${facts.quantity - 1} more`, money(quote.further, facts.currency)] as const]
      : []),
  ];
  return (
    <section aria-label="Price" className="border border-line bg-sheet px-3 py-2">
      <dl className="grid grid-cols-[1fr_auto]">
        {rows.map(([label, value]) => (
          <div key={label} className="contents">
            <dt className="border-b border-line py-1">{label}</dt>
            <dd className="figure border-b border-line py-1 pl-4 text-right">{value}</dd>
          </div>
        ))}
        <dt className="py-1.5 text-lg font-bold">The order</dt>
        <dd className="figure py-1.5 text-right text-lg font-bold">{money(quote.order, facts.currency)}</dd>
      </dl>
      <p className="text-[13px] text-soft">Material and hours as the design computes them.</p>
      {quote.outside !== null && (
        <p className="text-[13px]">
          Another shop asks {money(quote.outside.order, facts.currency)}:{' '}
          {quote.outside.differs >= 0
            ? `${money(quote.outside.differs, facts.currency)} more than this.`
            : `${money(-quote.outside.differs, facts.currency)} less than this.`}
        </p>
      )}
      <p className="text-[13px] text-soft">
        To run: {facts.watts.toFixed(1)} W as set, {facts.hoursPerDay} h a day,{' '}
        {money(quote.runningPerYear, facts.currency)} a year. The strip gives 70 % of its light after{' '}
        {yearsWords(quote.life.years)} at {Math.round(facts.stripC[0])} to {Math.round(facts.stripC[1])} °C (typical).
      </p>
    </section>
  );
};

const standings: Readonly<Record<QuoteStanding, string>> = {
  open: 'open',
  agreed: 'agreed',
  expired: 'expired',
  withdrawn: 'taken back',
};

const Made = ({ quote, onChange }: { readonly quote: QuoteView; readonly onChange: () => void }) => {
  const [copied, setCopied] = useState(false);
  const link = `${window.location.origin}/offer/${quote.token}`;
  const field = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const copy = async (): Promise<void> => {
    try {
      await navigator.clipboard.writeText(link);
      setCopied(true);
    } catch {
      // Where the page may not write there, the link is marked, to be copied by hand.
      field.current?.select();
    }
  };
  const withdraw = async (): Promise<void> => {
    setProblem(null);
    try {
      await withdrawQuote(quote.id);
      onChange();
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <li className="border border-line bg-sheet px-3 py-2">
      <p className="flex flex-wrap items-baseline justify-between gap-3">
        <b className="figure">{money(quote.quote.order, quote.facts.currency)}</b>
        <span className="text-[13px] text-soft">
          {quote.madeAt.slice(0, 10)}, revision {quote.revision}, holds until {quote.validUntil}
        </span>
        <span className={quote.standing === 'agreed' ? 'font-bold text-sound' : 'font-semibold'}>
          {standings[quote.standing]}
        </span>
      </p>
      {quote.standing !== 'withdrawn' && (
        <p className="mt-1 flex flex-wrap items-center gap-2">
          <input
            ref={field}
            readOnly
            aria-label="Link for the customer"
            className={`${fieldLook} min-w-0 flex-1`}
            value={link}
          />
          <Button onClick={() => void copy()}>
            <Copy size={14} aria-hidden /> {copied ? 'Copied' : 'Copy the link'}
          </Button>
          <a href={quotePaper(quote.id)} download className={linkLook}>
            <FileDown size={14} aria-hidden /> On paper
          </a>
          {quote.standing === 'open' && (
            <Button look="quiet" onClick={() => void withdraw()}>
              Take it back
            </Button>
          )}
        </p>
      )}
      <AnswerLines answers={quote.answers} />
      {problem !== null && (
        <p role="alert" className="text-[13px] font-semibold text-signal">
          {problem}
        </p>
      )}
    </li>
  );
};

const Form = ({ jobId, view }: { readonly jobId: string; readonly view: JobQuotesView }) => {
  const queries = useQueryClient();
  const [terms, setTerms] = useState<QuoteTerms>(() => {
    const [last] = view.quotes;
    const usual = usualTerms(view.facts);
    // What was asked last time is asked again, but for what comes with the design.
    return last === undefined ? usual : { ...last.terms, includes: usual.includes };
  });
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const change = (what: Partial<QuoteTerms>): void => setTerms({ ...terms, ...what });
  const again = (): void => void queries.invalidateQueries({ queryKey: ['quotes', jobId] });
  const sound = Object.values(terms).every((each) => typeof each !== 'number' || (Number.isFinite(each) && each >= 0));
  const make = async (): Promise<void> => {
    setBusy(true);
    setProblem(null);
    try {
      await makeQuote(jobId, { ...terms, includes: terms.includes.map((each) => each.trim()).filter(Boolean) });
      again();
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    } finally {
      setBusy(false);
    }
  };
  const { currency } = view.facts;
  return (
    <div className="grid gap-6 lg:grid-cols-2">
      <form
        aria-label="Terms"
        onSubmit={(event) => {
          event.preventDefault();
          void make();
        }}
      >
        <p className="mb-1 text-[13px] text-soft">
          Usual values to begin with; what you ask is kept for the next quote of this job.
        </p>
        {termFields
          .filter(({ key }) => key !== 'furtherOff' || view.facts.quantity > 1)
          .map((field) => (
            <NumberRow
              key={field.key}
              label={field.label}
              unit={field.unit.replace('¤', currency)}
              step={field.step}
              most={field.most}
              value={typed(terms[field.key], field)}
              onChange={(value) => change({ [field.key]: value / field.typedPer })}
            />
          ))}
        <label className="mt-2 flex flex-col text-[13px]">
          Included, a line each
          <textarea
            className={`${fieldLook} min-h-32 w-full`}
            value={terms.includes.join('\n')}
            onChange={(event) => change({ includes: event.target.value.split('\n') })}
          />
        </label>
        <label className="mt-2 flex flex-col text-[13px]">
          A word to the customer
          <textarea
            className={`${fieldLook} min-h-16 w-full`}
            maxLength={1000}
            value={terms.note}
            onChange={(event) => change({ note: event.target.value })}
          />
        </label>
        <p className="mt-3">
          <Button type="submit" look="strong" disabled={busy || !sound}>
            Make the quote
          </Button>
          {problem !== null && (
            <span role="alert" className="ml-3 text-[13px] font-semibold text-signal">
              {problem}
            </span>
          )}
        </p>
      </form>
      <div className="grid content-start gap-4">
        {sound && <Price view={view} terms={terms} />}
        {view.quotes.length > 0 && (
          <ul aria-label="Quotes made" className="grid gap-3">
            {view.quotes.map((quote) => (
              <Made key={quote.id} quote={quote} onChange={again} />
            ))}
          </ul>
        )}
      </div>
    </div>
  );
};

/** What a job is offered for, and what the customer says. */
export const QuotePage = () => {
  const { jobId = '' } = useParams();
  const { data, error } = useQuery({ queryKey: ['quotes', jobId], queryFn: () => getQuotes(jobId), staleTime: 0 });
  useEffect(() => {
    document.title = `Quote · ${data?.name ?? ''} · Vitrum`;
  }, [data?.name]);
  if (error !== null) return <ErrorSheet error={error} />;
  return (
    <>
      <PageHeader />
      <main className="mx-auto max-w-6xl px-5 py-5">
        <h1 className="text-2xl font-bold">Quote: {data?.name ?? '…'}</h1>
        <p className="mb-4 text-[13px] text-soft">
          {data !== undefined && (
            <>
              {data.customer || 'No customer named'}; {data.facts.quantity} × {data.facts.size},{' '}
              {data.facts.kg.toFixed(1)} kg.{' '}
            </>
          )}
          <Link to={`/jobs/${jobId}`} className="underline">
            To the job
          </Link>
        </p>
        {data === undefined ? (
          <Skeleton says="Adding it up …" shapes={Array.from({ length: 6 }, () => 'mb-2 h-7')} />
        ) : (
          <>
            <Form key={jobId} jobId={jobId} view={data} />
            <OnWall key={`wall ${jobId}`} jobId={jobId} view={data} />
          </>
        )}
      </main>
    </>
  );
};
