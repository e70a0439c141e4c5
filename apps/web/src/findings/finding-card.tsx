import type { Finding, Fix, Severity } from '@vitrum/core';
import { ArrowRight, CircleAlert, Info, OctagonX } from 'lucide-react';
import { changeDesign, undo, useDocument } from '../document/document-store';
import { LessonsHere } from '../records/lessons-here';
import { Button } from '../ui/button';
import { tell } from '../ui/notices-store';
import { useView } from '../view/view-store';

const severityWords: Readonly<Record<Severity, string>> = {
  stop: 'Stops the build',
  fix: 'Will disappoint',
  note: 'To know',
};
export const icons = { stop: OctagonX, fix: CircleAlert, note: Info } as const;
const bars: Readonly<Record<Severity, string>> = {
  stop: 'border-l-signal',
  fix: 'border-l-signal',
  note: 'border-l-soft',
};

const short = (value: number): string => String(Math.round(value * 100) / 100);
const priceText = (change: number, currency: string): string =>
  Math.abs(change) < 0.005 ? 'same price' : `${change > 0 ? '+' : '−'}${currency}${Math.abs(change).toFixed(2)}`;

/** Applies a remedy, and says so with a way back, as long as nothing else was changed since. */
const apply = (fix: Fix): void => {
  if (changeDesign(fix.change).length > 0) return;
  const steps = useDocument.getState().history.past.length;
  tell({
    words: `Applied: ${fix.label}`,
    undo: () => {
      if (useDocument.getState().history.past.length === steps) undo();
    },
  });
};

interface FixRowProps {
  readonly fix: Fix;
  readonly currency: string;
}

export const FixRow = ({ fix, currency }: FixRowProps) => (
  <li className="flex items-center justify-between gap-2 border-t border-dashed border-line py-1.5">
    <span className="min-w-0">
      <span className="block leading-tight">{fix.label}</span>
      <span className="figure flex flex-wrap items-center gap-x-1 text-xs text-soft">
        <span className="flex items-center gap-x-1 whitespace-nowrap">
          {short(fix.before)}
          <ArrowRight size={11} aria-label="to" />
          {short(fix.after)} {fix.unit}
        </span>
        <span className="whitespace-nowrap">· {priceText(fix.priceChange, currency)}</span>
        {!fix.settles && <em className="font-sans not-italic">(helps, not enough)</em>}
      </span>
    </span>
    <Button aria-label={`Apply: ${fix.label}`} onClick={() => apply(fix)}>
      Apply
    </Button>
  </li>
);

export const FindingCard = ({
  finding,
  label,
  working,
  currency,
}: {
  readonly finding: Finding;
  /** Of which assembly, where there are several. */
  readonly label: string;
  readonly working: boolean;
  readonly currency: string;
}) => {
  const Icon = icons[finding.severity];
  const show = (id: string | null) => () => useView.setState({ shownFinding: id });
  return (
    <article
      className={`mb-2 border border-l-4 border-line bg-sheet px-3 py-2 ${bars[finding.severity]}`}
      onMouseEnter={show(finding.id)}
      onMouseLeave={show(null)}
      onFocus={show(finding.id)}
      onBlur={show(null)}
      data-finding={finding.id}
    >
      <p
        className={`flex items-center gap-1 text-xs font-semibold ${finding.severity === 'note' ? 'text-soft' : 'text-signal'}`}
      >
        <Icon size={13} aria-hidden /> {severityWords[finding.severity]}
        {label !== '' && <span className="ml-auto text-ink">{label}</span>}
      </p>
      <h3 className="leading-tight font-bold">{finding.what}</h3>
      <p className="mb-1 text-[13px] text-soft">{finding.why}</p>
      {finding.fixes.length > 0 && (
        <ul>
          {finding.fixes.map((fix) => (
            <FixRow key={fix.id} fix={fix} currency={currency} />
          ))}
        </ul>
      )}
      {finding.whyNone !== null && (
        <p className="border-t border-dashed border-line py-1 text-xs text-soft">{finding.whyNone}</p>
      )}
      <LessonsHere met={{ builds: [], rules: [finding.rule] }} />
      {working && (
        <p className="border-t border-dashed border-line py-1 text-xs text-soft">working out what would help …</p>
      )}
    </article>
  );
};
