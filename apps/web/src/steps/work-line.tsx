import type { JobStatus, WorkStep } from '@vitrum/core';
import { NavLink } from 'react-router';
import { useDocument } from '../document/document-store';
import { useChosenIndex } from '../document/selection';
import { useOwn } from '../evaluation/own';
import { useEvaluation } from '../evaluation/evaluation-store';
import { useView } from '../view/view-store';
import { hasSeen, stepDetail, stepName, stepState, workSteps, type StepState } from './step-names';

const words: Readonly<Record<StepState['kind'], (count: number) => string>> = {
  untouched: () => 'not looked at yet',
  fine: () => 'fine',
  note: (count) => `${count} to know`,
  fix: (count) => `${count} to fix`,
  stop: (count) => `${count} that stop the build`,
};

const lamps: Readonly<Record<StepState['kind'], string>> = {
  untouched: 'border-line bg-paper',
  fine: 'border-lamp bg-[#ffd987] shadow-[0_0_10px_2px_rgba(240,180,60,0.45)]',
  note: 'border-lamp bg-[#ffd987] shadow-[0_0_10px_2px_rgba(240,180,60,0.45)]',
  fix: 'border-signal bg-sheet text-signal border-2',
  stop: 'border-signal bg-signal text-sheet border-2',
};

const Lamp = ({ state }: { readonly state: StepState }) => (
  <span
    aria-hidden
    className={`figure relative z-10 flex h-6 w-6 shrink-0 items-center justify-center rounded-full border text-xs font-bold ${lamps[state.kind]}`}
  >
    {state.kind === 'fix' || state.kind === 'stop' ? state.count : ''}
  </span>
);

interface StepLinkProps {
  readonly jobId: string;
  readonly step: WorkStep;
  readonly index: number;
  readonly status: JobStatus;
}

const noVisits: readonly WorkStep[] = [];

const StepLink = ({ jobId, step, index: place, status }: StepLinkProps) => {
  const evaluation = useEvaluation((state) => state.evaluation);
  const own = useOwn();
  const index = useChosenIndex();
  const build = useDocument(({ design }) => design?.assemblies[index]?.build);
  const name = stepName(step, build);
  const visited = useView((view) => view.visited[jobId] ?? noVisits);
  const known = evaluation !== null;
  const state = stepState(step, evaluation?.findings ?? [], known && hasSeen(step, visited, status));
  const inWords = known ? words[state.kind](state.count) : 'being worked out';
  return (
    <NavLink
      to={`/jobs/${jobId}/${step}`}
      title={`${name}: ${inWords} (key ${place + 1})`}
      className={({ isActive }) =>
        `relative flex min-h-[62px] items-center gap-3 border-l-4 py-1.5 pr-1 pl-4 max-lg:min-h-0 max-lg:flex-col max-lg:border-b-4 max-lg:border-l-0 max-lg:px-2 ${isActive ? 'border-ink bg-sheet' : 'border-transparent hover:bg-sheet'}`
      }
    >
      <Lamp state={state} />
      <span className="min-w-0">
        <span className="block leading-tight font-bold">{name}</span>
        <span className="block text-xs leading-tight text-soft max-lg:hidden">
          {evaluation === null || own === null ? '…' : stepDetail(step, evaluation, own)}
        </span>
        <span className="sr-only">{inWords}</span>
      </span>
    </NavLink>
  );
};

/** The work line: a strip whose LEDs light as steps come right. Steps can be visited in any order. */
export const WorkLine = ({ jobId, status }: { readonly jobId: string; readonly status: JobStatus }) => (
  <nav
    aria-label="Work line"
    className="no-print relative flex shrink-0 flex-col border-r border-line py-2 max-lg:flex-row max-lg:overflow-x-auto max-lg:border-r-0 max-lg:border-b lg:w-[166px]"
  >
    <span
      aria-hidden
      className="absolute top-4 bottom-4 left-[26px] w-3 border-x border-line bg-[repeating-linear-gradient(to_bottom,transparent_0_60px,var(--line)_60px_61px)] max-lg:hidden"
    />
    {workSteps.map(({ step }, index) => (
      <StepLink key={step} jobId={jobId} step={step} index={index} status={status} />
    ))}
  </nav>
);
