import type { Finding, Fix, Severity } from '@vitrum/core';
import { ArrowRight, CircleAlert, Info, OctagonX } from 'lucide-react';
import { changeDesign } from '../document/document-store';
import { useEvaluation } from '../evaluation/evaluation-store';
import { Button } from '../ui/button';
import { useView } from '../view/view-store';
import { useParts } from '../view/use-parts';

const severityWords: Readonly<Record<Severity, string>> = {
  stop: 'Stops the build',
  fix: 'Will disappoint',
  note: 'To know',
};
const icons = { stop: OctagonX, fix: CircleAlert, note: Info } as const;
const bars: Readonly<Record<Severity, string>> = {
  stop: 'border-l-signal',
  fix: 'border-l-signal',
  note: 'border-l-soft',
};

const short = (value: number): string => String(Math.round(value * 100) / 100);
const priceText = (change: number, currency: string): string =>
  Math.abs(change) < 0.005 ? 'same price' : `${change > 0 ? '+' : '−'}${currency}${Math.abs(change).toFixed(2)}`;

interface FixRowProps {
  readonly fix: Fix;
  readonly currency: string;
}

const FixRow = ({ fix, currency }: FixRowProps) => (
  <li className="flex items-center justify-between gap-2 border-t border-dashed border-line py-1.5">
    <span className="min-w-0">
      <span className="block leading-tight">{fix.label}</span>
      <span className="figure flex flex-wrap items-center gap-x-1 text-xs text-soft">
        {short(fix.before)}
        <ArrowRight size={11} aria-label="to" />
        {short(fix.after)} {fix.unit} · {priceText(fix.priceChange, currency)}
        {!fix.settles && <em className="font-sans not-italic">(helps, not enough)</em>}
      </span>
    </span>
    <Button aria-label={`Apply: ${fix.label}`} onClick={() => void changeDesign(fix.change)}>
      Apply
    </Button>
  </li>
);

const FindingCard = ({
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
      {working && (
        <p className="border-t border-dashed border-line py-1 text-xs text-soft">working out what would help …</p>
      )}
    </article>
  );
};

/** What is read out when the findings change; nothing while none can be told. */
const toldAloud = (known: boolean, count: number): string => {
  if (!known) return '';
  return count === 0 ? 'Nothing to mend' : `${count} findings`;
};

const UnknownFields = ({ fields }: { readonly fields: readonly string[] }) =>
  fields.length === 0 ? null : (
    <article className="mb-2 border border-l-4 border-line border-l-soft bg-sheet px-3 py-2">
      <h3 className="leading-tight font-bold">
        {fields.length === 1
          ? 'A field that Vitrum does not know'
          : `${fields.length} fields that Vitrum does not know`}
      </h3>
      <p className="text-[13px] text-soft">Misspelt, or of a newer version: kept as they came, and without effect.</p>
      <p className="figure text-xs break-all">{fields.join(', ')}</p>
    </article>
  );

/** What stops, what disappoints, what to know; each with its remedies tried on this very design. */
export const FindingsPanel = () => {
  const {
    evaluation,
    findings: tried,
    problems,
    crash,
  } = useParts(useEvaluation, 'evaluation', 'findings', 'problems', 'crash');
  const findings = tried ?? evaluation?.findings ?? [];
  const currency = evaluation?.cost.currency ?? '';
  return (
    <section aria-label="Findings" className="pt-3">
      <h2 className="mb-1.5 text-[15px] font-bold">Findings</h2>
      <div aria-live="polite" className="sr-only">
        {toldAloud(evaluation !== null && problems.length === 0, findings.length)}
      </div>
      {crash !== null && (
        <p role="alert" className="mb-2 border border-l-4 border-line border-l-signal bg-sheet px-3 py-2 text-signal">
          The evaluation failed: {crash}. Your design is kept; undo the last change, or reload.
        </p>
      )}
      {problems.map((problem) => (
        <p
          key={problem.path + problem.message}
          role="alert"
          className="mb-2 border border-l-4 border-line border-l-signal bg-sheet px-3 py-2"
        >
          <strong className="block text-signal">This cannot be built as it stands</strong>
          {problem.message}
          <span className="figure block text-xs text-soft">{problem.path}</span>
        </p>
      ))}
      {findings.map((finding) => (
        <FindingCard
          key={finding.id}
          finding={finding}
          label={finding.assembly === null ? '' : (evaluation?.assemblies[finding.assembly]?.label ?? '')}
          working={tried === null}
          currency={currency}
        />
      ))}
      {evaluation === null && crash === null && problems.length === 0 && (
        <p className="text-[13px] text-soft">They come with the light …</p>
      )}
      {evaluation !== null && <UnknownFields fields={evaluation.unknownFields} />}
      {evaluation !== null && findings.length === 0 && problems.length === 0 && (
        <p className="border border-l-4 border-line border-l-sound bg-sheet px-3 py-2">
          Nothing to mend. On to the cutting.
        </p>
      )}
    </section>
  );
};
