import type { Finding, Problem } from '@vitrum/core';
import { ChevronDown, ChevronUp, CircleCheck } from 'lucide-react';
import { useEvaluation } from '../evaluation/evaluation-store';
import { useReadFindings, type ReadFinding } from '../evaluation/read-findings';
import { useParts } from '../view/use-parts';
import { useView } from '../view/view-store';
import { FindingCard, FixRow, icons } from './finding-card';
import { countWords, worstOf } from './worst';

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

const Refused = ({ problems, crash }: { readonly problems: readonly Problem[]; readonly crash: string | null }) => (
  <>
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
  </>
);

/** The worst of the findings with its best remedy, one click away. */
const Worst = ({
  read: { finding: worst, isTried },
  currency,
}: {
  readonly read: ReadFinding;
  readonly currency: string;
}) => {
  const [best] = worst.fixes;
  const show = (id: string | null) => () => useView.setState({ shownFinding: id });
  return (
    <div
      data-finding={worst.id}
      onMouseEnter={show(worst.id)}
      onMouseLeave={show(null)}
      onFocus={show(worst.id)}
      onBlur={show(null)}
    >
      <p className="leading-tight font-semibold">{worst.what}</p>
      <p className="mb-1 text-xs leading-tight text-soft">{worst.why}</p>
      {best !== undefined && (
        <ul>
          <FixRow fix={best} currency={currency} />
        </ul>
      )}
      {best === undefined && worst.whyNone !== null && <p className="text-xs text-soft">{worst.whyNone}</p>}
      {!isTried && <p className="text-xs text-soft">working out what would help …</p>}
    </div>
  );
};

/** Sound when nothing is found, soft when there is something to know, and a signal when something wants mending. */
const barOf = (findings: readonly Finding[]): string => {
  if (findings.length === 0) return 'border-l-sound';
  return worstOf(findings) === null ? 'border-l-soft' : 'border-l-signal';
};

interface BandProps {
  readonly findings: readonly Finding[];
  /** Those that are shown. */
  readonly read: readonly ReadFinding[];
  readonly currency: string;
}

/** How many stop and how many disappoint, on every step, and the worst with its best remedy. */
const Band = ({ findings, read, currency }: BandProps) => {
  const isOpen = useView((view) => view.findingsOpen);
  const worst = worstOf(findings);
  const readWorst = read.find(({ finding }) => finding.id === worst?.id);
  const Icon = worst === null ? CircleCheck : icons[worst.severity];
  const Chevron = isOpen ? ChevronUp : ChevronDown;
  return (
    <div className={`border border-l-4 border-line bg-sheet px-3 py-2 ${barOf(findings)}`}>
      <div className="flex items-center justify-between gap-2">
        <p className={`flex items-center gap-1.5 text-[13px] font-bold ${worst === null ? '' : 'text-signal'}`}>
          <Icon size={14} aria-hidden className="shrink-0" /> {countWords(findings)}
        </p>
        {findings.length > 0 && (
          <button
            type="button"
            aria-expanded={isOpen}
            onClick={() => useView.setState({ findingsOpen: !isOpen })}
            className="flex shrink-0 items-center gap-0.5 text-[13px] whitespace-nowrap underline underline-offset-2"
          >
            {isOpen ? 'Fewer' : findings.length === 1 ? 'Read it' : `All ${findings.length}`}
            <Chevron size={14} aria-hidden />
          </button>
        )}
      </div>
      {!isOpen && readWorst !== undefined && <Worst read={readWorst} currency={currency} />}
    </div>
  );
};

const all = (findings: readonly Finding[]): readonly Finding[] => findings;

const worstAlone = (findings: readonly Finding[]): readonly Finding[] => {
  const worst = worstOf(findings);
  return worst === null ? [] : [worst];
};

/** What stops, what disappoints, what to know, at the head of every step; what is shown with its remedies tried on this very design. */
export const FindingsPanel = () => {
  const { evaluation, problems, crash } = useParts(useEvaluation, 'evaluation', 'problems', 'crash');
  const isOpen = useView((view) => view.findingsOpen);
  const isKnown = evaluation !== null && problems.length === 0;
  const showsAll = isOpen || !isKnown;
  const read = useReadFindings(showsAll ? all : worstAlone);
  const findings = evaluation?.findings ?? [];
  const currency = evaluation?.cost.currency ?? '';
  return (
    <section aria-label="Findings" className="mb-3">
      <div aria-live="polite" className="sr-only">
        {toldAloud(isKnown, findings.length)}
      </div>
      <Refused problems={problems} crash={crash} />
      {evaluation === null && crash === null && problems.length === 0 && (
        <p className="text-[13px] text-soft">Findings come with the light …</p>
      )}
      {isKnown && <Band findings={findings} read={read} currency={currency} />}
      {evaluation !== null && showsAll && (
        <div className="mt-2">
          {read.map(({ finding, isTried }) => (
            <FindingCard
              key={finding.id}
              finding={finding}
              label={finding.assembly === null ? '' : (evaluation.assemblies[finding.assembly]?.label ?? '')}
              working={isKnown && !isTried}
              currency={currency}
            />
          ))}
        </div>
      )}
      {evaluation !== null && <UnknownFields fields={evaluation.unknownFields} />}
    </section>
  );
};
