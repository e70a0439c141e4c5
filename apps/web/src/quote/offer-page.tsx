import type { OfferView } from '@vitrum/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { shopName } from '@vitrum/core';
import { useEffect, useState } from 'react';
import { useParams } from 'react-router';
import { answerOffer, getOffer, offerPicture } from '../api/quotes';
import { ApiError } from '../api/client';
import { fieldLook } from '../fields/field-row';
import { Button } from '../ui/button';
import { AnswerLines } from './answer-lines';
import { money, yearsWords } from './money';

const AnswerForm = ({ token, offer }: { readonly token: string; readonly offer: OfferView }) => {
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const [remark, setRemark] = useState('');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const say = async (what: 'yes' | 'remark'): Promise<void> => {
    setBusy(true);
    setProblem(null);
    try {
      queries.setQueryData(
        ['offer', token],
        await answerOffer(token, { what, name: name.trim(), remark: remark.trim() }),
      );
      setRemark('');
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    } finally {
      setBusy(false);
    }
  };
  if (offer.standing === 'agreed')
    return (
      <p role="status" className="border-l-4 border-sound bg-sheet px-3 py-2 font-semibold">
        Agreed. The shop sets to work.
      </p>
    );
  if (offer.standing === 'expired')
    return (
      <p role="status" className="border-l-4 border-signal bg-sheet px-3 py-2">
        This quote held until {offer.validUntil}; ask the shop for a new one.
      </p>
    );
  const named = name.trim() !== '';
  return (
    <form
      aria-label="Your answer"
      className="grid gap-3 border border-line bg-sheet px-4 py-3"
      onSubmit={(event) => {
        event.preventDefault();
        void say(remark.trim() === '' ? 'yes' : 'remark');
      }}
    >
      <label className="flex flex-col text-[13px]">
        Your name
        <input
          className={`${fieldLook} w-full`}
          autoComplete="name"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <label className="flex flex-col text-[13px]">
        A remark, if you have one
        <textarea
          className={`${fieldLook} min-h-16 w-full`}
          maxLength={2000}
          value={remark}
          onChange={(event) => setRemark(event.target.value)}
        />
      </label>
      <p className="flex flex-wrap gap-3">
        <Button look="strong" className="min-h-11 px-4" disabled={busy || !named} onClick={() => void say('yes')}>
          Yes, make it for {money(offer.order, offer.currency)}
        </Button>
        <Button
          className="min-h-11 px-4"
          disabled={busy || !named || remark.trim() === ''}
          onClick={() => void say('remark')}
        >
          Send the remark
        </Button>
      </p>
      {!named && <p className="text-[13px] text-soft">Say who you are, and both can be sent.</p>}
      {problem !== null && (
        <p role="alert" className="text-[13px] font-semibold text-signal">
          {problem}
        </p>
      )}
    </form>
  );
};

/** A quote as its customer sees it: that and nothing else. */
export const OfferPage = () => {
  const { token = '' } = useParams();
  const { data: offer, error } = useQuery({
    queryKey: ['offer', token],
    queryFn: () => getOffer(token),
    staleTime: 0,
    retry: (count, failed) => !(failed instanceof ApiError) && count < 3,
  });
  useEffect(() => {
    document.title = offer === undefined ? 'Quote' : `Quote: ${offer.name}`;
  }, [offer]);
  if (error !== null)
    return (
      <main className="mx-auto max-w-xl px-5 py-16">
        <h1 className="text-2xl font-bold">This quote is not there</h1>
        <p role="alert">{error.message}</p>
      </main>
    );
  if (offer === undefined)
    return (
      <p role="status" className="p-8">
        Opening …
      </p>
    );
  const rows: readonly (readonly [string, string])[] = [
    ['Size over all', offer.size],
    ['Weight', `${offer.kg.toFixed(1)} kg`],
    ['Quantity', `${offer.quantity}`],
    ...(offer.quantity > 1
      ? ([
          ['The first', money(offer.first, offer.currency)],
          ['Each after it', money(offer.further, offer.currency)],
        ] as const)
      : []),
    [
      'Electricity a year',
      `${money(offer.runningPerYear, offer.currency)}, at ${offer.hoursPerDay} h a day and ${offer.watts.toFixed(1)} W`,
    ],
    ['Until it gives 70 % of its light', `${yearsWords(offer.lifeYears)}, typical`],
  ];
  return (
    <main className="mx-auto max-w-4xl px-5 py-8">
      <p className="font-semibold">{shopName}</p>
      <h1 className="text-3xl font-bold">{offer.name}</h1>
      <p className="mb-4 text-soft">
        {offer.customer === '' ? 'Quote' : `Quote for ${offer.customer}`}, {offer.madeAt.slice(0, 10)}; holds until{' '}
        {offer.validUntil}.
      </p>
      <div className="mb-5 grid gap-4 sm:grid-cols-2">
        {(['day', 'night'] as const).map((of) => (
          <figure key={of}>
            <img
              src={offerPicture(token, of)}
              alt={`${offer.name} ${of === 'day' ? 'by day' : 'lit by night'}`}
              className="w-full bg-[#0f0f0e]"
            />
            <figcaption className="text-[13px] text-soft">
              {of === 'day' ? 'By day' : 'Lit, by night'}; computed from the design
            </figcaption>
          </figure>
        ))}
      </div>
      {offer.onWall.length > 0 && (
        <div className={`mb-5 grid gap-4 ${offer.onWall.length > 1 ? 'sm:grid-cols-2' : ''}`}>
          {offer.onWall.map((by) => (
            <figure key={by}>
              <img
                src={offerPicture(token, `wall-${by}`)}
                alt={`${offer.name} on your wall ${by === 'day' ? 'by day' : 'by night'}`}
                className="w-full bg-[#0f0f0e]"
              />
              <figcaption className="text-[13px] text-soft">
                On your wall, {by === 'day' ? 'by day' : 'by night'}; computed, laid flat into your photograph
              </figcaption>
            </figure>
          ))}
        </div>
      )}
      <div className="grid gap-6 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <section>
          <dl className="grid grid-cols-[auto_1fr] gap-x-4">
            {rows.map(([label, value]) => (
              <div key={label} className="contents">
                <dt className="border-b border-line py-1 text-soft">{label}</dt>
                <dd className="border-b border-line py-1 text-right">{value}</dd>
              </div>
            ))}
            <dt className="py-2 text-lg font-bold">Price</dt>
            <dd className="figure py-2 text-right text-lg font-bold">{money(offer.order, offer.currency)}</dd>
          </dl>
          <h2 className="mt-3 font-bold">Included</h2>
          <ul className="list-disc pl-5">
            {offer.includes.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
          {offer.note !== '' && <p className="mt-3 whitespace-pre-line">{offer.note}</p>}
        </section>
        <section className="grid content-start gap-3">
          <AnswerForm token={token} offer={offer} />
          <AnswerLines answers={offer.answers} />
        </section>
      </div>
      <p className="mt-6 text-[13px] text-soft">
        Mains wiring, and hanging over heads or in public, are for licensed people by local codes.
      </p>
    </main>
  );
};
