import type { TraceReport } from '@vitrum/core';
import { useDocument } from '../document/document-store';
import { useEffect } from 'react';
import { tryoutsLink } from './link';
import { useTryouts } from './tryouts-store';
import { Button } from '../ui/button';
import { useCatalogue } from '../job/catalogue-context';

const percent = (share: number, digits = 1): string => `${(share * 100).toFixed(digits)} %`;

const lumens = (lm: number): string => `${lm.toFixed(lm < 100 ? 1 : 0)} lm`;

const Report = ({ report, quickly }: { readonly report: TraceReport; readonly quickly: string }) => (
  <table className="figure mt-1 w-full text-[13px]" data-testid="trace-report">
    <thead>
      <tr className="border-b border-ink text-left font-sans text-xs text-soft">
        <th />
        <th className="text-right">traced</th>
        <th className="text-right">{quickly}</th>
      </tr>
    </thead>
    <tbody>
      {(
        [
          ['light out', lumens(report.outLm), lumens(report.quickOutLm)],
          ...report.shares.map(({ what, traced, quick }) => [what, percent(traced), percent(quick)] as const),
          ['error of the light out', `± ${percent(report.outErrorShare, 2)}`, ''],
          ['photons', report.photons.toLocaleString('en'), ''],
        ] as const
      ).map(([label, traced, patches]) => (
        <tr key={label} className="border-b border-line">
          <th scope="row" className="py-0.5 text-left font-sans font-normal">
            {label}
          </th>
          <td className="text-right">{traced}</td>
          <td className="text-right">{patches}</td>
        </tr>
      ))}
    </tbody>
  </table>
);

interface TraceCheckProps {
  readonly own: { readonly index: number };
  /** What it says of itself, and how the quick way is called. */
  readonly about: string;
  readonly quickly: string;
}

/** Light traced photon by photon, against what the quick way gave: the second opinion. */
export const TraceCheck = ({ own: { index }, about, quickly }: TraceCheckProps) => {
  const link = tryoutsLink;
  const catalogue = useCatalogue();
  useEffect(() => tryoutsLink.open(catalogue), [catalogue]);
  const running = useTryouts((state) => state.running);
  const trace = useTryouts((state) => state.trace);
  const design = useDocument((state) => state.design);
  const tracing = running?.kind === 'trace';
  const fresh = trace !== null && trace.design === design && trace.assembly === index;
  return (
    <section aria-label="Traced light" className="mt-3">
      <div className="flex items-center justify-between gap-2">
        <h3 className="font-bold">Second opinion</h3>
        {tracing ? (
          <Button onClick={link.cancel}>Stop</Button>
        ) : (
          <Button disabled={design === null} onClick={() => design !== null && link.trace(design, index)}>
            Trace photons
          </Button>
        )}
      </div>
      <p className="text-xs text-soft">{about}</p>
      {tracing && (
        <p className="figure text-xs" role="status">
          {running.done.toLocaleString('en')} photons …
        </p>
      )}
      {fresh && trace.report !== null && <Report report={trace.report} quickly={quickly} />}
      {trace !== null && !fresh && <p className="text-xs text-soft">The design has changed since it was traced.</p>}
    </section>
  );
};
