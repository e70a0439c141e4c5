import { useQuery } from '@tanstack/react-query';
import { designDifferences, differenceWords, type ComparedWay, type Design } from '@vitrum/core';
import { useEffect, useMemo, useState } from 'react';
import { getRevision } from '../api/jobs';
import { titleOf } from '../assemblies/title-of';
import { useDocument } from '../document/document-store';
import { useChosenIndex } from '../document/selection';
import { useOwn } from '../evaluation/own';
import { useEvaluation } from '../evaluation/evaluation-store';
import { compare } from '../tryouts/compare';
import { useCatalogue } from './catalogue-context';

/** Designs evaluated one after the other, on the thread of try-outs; null as long as one is under way. */
const useWays = (designs: readonly Design[], assembly: number): readonly (ComparedWay | null)[] => {
  const catalogue = useCatalogue();
  const [found, setFound] = useState<readonly ComparedWay[]>([]);
  const next = designs[found.length];
  useEffect(() => {
    if (next === undefined) return undefined;
    return compare(catalogue, next, assembly, [{ label: '', change: [] }], ([way], done) => {
      if (done && way !== undefined) setFound((so) => [...so, way]);
    });
  }, [catalogue, next, assembly]);
  return designs.map((_, at) => found[at] ?? null);
};

interface SideBySideProps {
  readonly number: number;
  readonly was: Design;
  readonly now: Design;
}

const cell = 'border-b border-line px-2 py-1 align-top';

const SideBySide = ({ number, was, now }: SideBySideProps) => {
  const catalogue = useCatalogue();
  const designs = useMemo(() => [was, now], [was, now]);
  const chosen = useOwn();
  const [before, after] = useWays(designs, useChosenIndex());
  const told = designDifferences(was, now).map((each) => differenceWords(each, now, catalogue));
  const figures = useEvaluation((state) => state.evaluation?.figures);
  const labelOf = (id: string): string => figures?.find((figure) => figure.id === id)?.label ?? id.replaceAll('-', ' ');
  const ids = [...new Set([...Object.keys(before?.figures ?? {}), ...Object.keys(after?.figures ?? {})])];
  const head = (
    <thead>
      <tr className="text-left text-[13px]">
        <th className={cell}>
          <span className="sr-only">What</span>
        </th>
        <th className={cell}>revision {number}</th>
        <th className={cell}>now</th>
      </tr>
    </thead>
  );
  return (
    <>
      <h3 className="mt-2 font-bold">What was changed</h3>
      {told.length === 0 ? (
        <p>Nothing: the design is as it was then.</p>
      ) : (
        <table className="w-full" aria-label="What was changed">
          {head}
          <tbody>
            {told.map(({ what, was: then, now: today }, at) => (
              <tr key={`${what} ${at}`}>
                <th scope="row" className={`${cell} text-left font-normal`}>
                  {what}
                </th>
                <td className={cell}>{then}</td>
                <td className={cell}>{today}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <h3 className="mt-3 font-bold">
        What it comes to{chosen !== null && chosen.label !== '' && `: ${titleOf(chosen)}, and the sign`}
      </h3>
      <p className="text-[13px] text-soft">
        Both on quick maps, so that they compare; figures of light may differ a little from those below the page.
      </p>
      {before === null || after === null ? (
        <p role="status">Working both out …</p>
      ) : (
        <table className="w-full" aria-label="What it comes to">
          {head}
          <tbody>
            {ids.map((id) => {
              const [then, today] = [before?.figures[id]?.text ?? '–', after?.figures[id]?.text ?? '–'];
              return (
                <tr key={id} className={then === today ? 'text-soft' : 'font-semibold'}>
                  <th scope="row" className={`${cell} text-left font-normal`}>
                    {labelOf(id)}
                  </th>
                  <td className={`${cell} figure`}>{then}</td>
                  <td className={`${cell} figure`}>{today}</td>
                </tr>
              );
            })}
            <tr>
              <th scope="row" className={`${cell} text-left font-normal`}>
                the gravest that is found
              </th>
              <td className={cell}>{before?.amiss?.what ?? 'nothing'}</td>
              <td className={cell}>{after?.amiss?.what ?? 'nothing'}</td>
            </tr>
          </tbody>
        </table>
      )}
    </>
  );
};

/** A revision beside the design as it is now: what was changed, in words and in figures. */
export const RevisionCompare = ({ jobId, number }: { readonly jobId: string; readonly number: number }) => {
  const now = useDocument((state) => state.design);
  const { data, error } = useQuery({
    queryKey: ['revision', jobId, number],
    queryFn: () => getRevision(jobId, number),
    staleTime: Infinity,
  });
  if (error !== null) return <p role="alert">{error.message}</p>;
  if (data === undefined || now === null) return <p role="status">Fetching it …</p>;
  return <SideBySide number={number} was={data.design} now={now} />;
};
