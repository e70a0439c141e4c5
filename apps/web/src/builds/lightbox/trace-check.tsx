import type { BoxResults, TraceReport } from '@vitrum/core';
import { useDocument } from '../../document/document-store';
import { useEffect } from 'react';
import { tryoutsLink } from '../../tryouts/link';
import { useTryouts } from '../../tryouts/tryouts-store';
import { Button } from '../../ui/button';
import { useCatalogue } from '../../job/catalogue-context';

const percent = (share: number, digits = 1): string => `${(share * 100).toFixed(digits)} %`;

const Report = ({ report }: { readonly report: TraceReport }) => (
  <table className="figure mt-1 w-full text-[13px]" data-testid="trace-report">
    <thead>
      <tr className="border-b border-ink text-left font-sans text-xs text-soft">
        <th />
        <th className="text-right">traced</th>
        <th className="text-right">by patches</th>
      </tr>
    </thead>
    <tbody>
      {(
        [
          ['light out', `${report.outLm.toFixed(0)} lm`, `${report.patchesOutLm.toFixed(0)} lm`],
          ['reflected', percent(report.reflectedShare, 0), percent(report.patchesReflectedShare, 0)],
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

/** The light in the case traced photon by photon, against what the patches gave: the second opinion. */
export const TraceCheck = ({ own: { index } }: { readonly own: BoxResults }) => {
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
      <p className="text-xs text-soft">
        Follows single photons from the LEDs. Slower than patches, and it knows linings that are partly mirrors.
      </p>
      {tracing && (
        <p className="figure text-xs" role="status">
          {running.done.toLocaleString('en')} photons …
        </p>
      )}
      {fresh && trace.report !== null && <Report report={trace.report} />}
      {trace !== null && !fresh && <p className="text-xs text-soft">The design has changed since it was traced.</p>}
    </section>
  );
};
