import type { DesignSummary } from '@vitrum/contract';
import type { Figure, Finding, TapeFigure } from '@vitrum/core';
import { useMemo } from 'react';
import { useEvaluation } from '../evaluation/evaluation-store';
import { useOwn } from '../evaluation/own';
import { LastFigures } from '../job/last-lit';
import { lazyPart } from '../ui/lazy-part';
import { SheetDialog } from '../ui/sheet-dialog';
import { useView } from '../view/view-store';

/** The chart library is fetched when a chart is first opened. */
const ContrastChart = lazyPart(() => import('./contrast-chart'), 'ContrastChart', {
  onlyWhenShown: true,
  fallback: <p className="h-64">Drawing …</p>,
});

const kindMark: Readonly<Record<Figure['kind'], string>> = { computed: '=', typical: '~', measured: '•' };

/** Whether a finding speaks about a figure: such figures stand out. */
const isWrong = ({ rules = [], assembly }: TapeFigure, findings: readonly Finding[] | undefined): boolean =>
  findings?.some(
    (finding) =>
      finding.severity !== 'note' &&
      rules.includes(finding.rule) &&
      (assembly === null || finding.assembly === null || finding.assembly === assembly),
  ) ?? false;

const FigureSheet = ({ figure }: { readonly figure: Figure }) => (
  <SheetDialog
    open
    onClose={() => useView.setState({ shownFigure: null })}
    title={`${figure.label}: ${figure.text}`}
    wide={figure.id === 'dots-vanish'}
  >
    <p className="mb-3">{figure.how}</p>
    {figure.id === 'dots-vanish' && <ContrastChart />}
    <table className="w-full border-collapse">
      <caption className="sr-only">What it is computed from</caption>
      <thead>
        <tr className="border-b border-ink text-left text-xs text-soft">
          <th className="py-1 font-semibold">from</th>
          <th className="py-1 text-right font-semibold">value</th>
          <th className="py-1 pl-4 font-semibold">kind</th>
        </tr>
      </thead>
      <tbody>
        {figure.inputs.map((input) => (
          <tr key={input.label} className="border-b border-line">
            <td className="py-1">{input.label}</td>
            <td className="figure py-1 text-right">{input.value}</td>
            <td className="py-1 pl-4 text-soft">
              <span aria-hidden className="figure mr-1">
                {kindMark[input.kind]}
              </span>
              {input.kind}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  </SheetDialog>
);

/** The handful of figures that decide; each explains itself when asked. */
export const FiguresTape = ({ last }: { readonly last: DesignSummary | null }) => {
  const all = useEvaluation((state) => state.evaluation?.figures);
  const chosen = useOwn()?.index ?? 0;
  // Of several assemblies, those of the chosen one and of the sign.
  const figures = useMemo(() => all?.filter(({ assembly }) => assembly === null || assembly === chosen), [all, chosen]);
  const findings = useEvaluation((state) => state.evaluation?.findings);
  const shown = useView((view) => view.shownFigure);
  const open = figures?.find(({ id }) => id === shown);
  if (figures === undefined) return <LastFigures summary={last} />;
  return (
    <section
      aria-label="Figures"
      className="no-print relative flex min-h-[64px] shrink-0 overflow-x-auto border-t border-line bg-sheet"
    >
      {figures.map((figure) => {
        const wrong = isWrong(figure, findings);
        return (
          <button
            key={figure.id}
            type="button"
            onClick={() => useView.setState({ shownFigure: figure.id })}
            aria-description="How it was worked out"
            className="flex min-w-[124px] flex-1 flex-col justify-start border-r border-line px-3 py-1.5 text-left last:border-r-0 hover:bg-paper"
          >
            <span
              className={`figure block text-[16px] leading-tight font-semibold whitespace-nowrap ${wrong ? 'text-signal' : ''}`}
            >
              {figure.text}
            </span>
            <span className="block text-xs leading-[1.2] text-soft">
              <span aria-hidden className="figure">
                {kindMark[figure.kind]}{' '}
              </span>
              {figure.label}
              <span className="sr-only">
                {' '}
                ({figure.kind}
                {wrong ? ', needs attention' : ''})
              </span>
            </span>
          </button>
        );
      })}
      {open !== undefined && <FigureSheet figure={open} />}
    </section>
  );
};
