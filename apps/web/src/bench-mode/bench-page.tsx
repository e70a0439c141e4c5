import { buildOf, stepKey, type BenchStanding, type Evaluation, type Step } from '@vitrum/core';
import { ChevronLeft, ChevronRight, ListChecks, TriangleAlert } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { tickStep, useBenchStanding, useWriter } from '../bench-log';
import { useDocument } from '../document/document-store';
import { StepDrawing } from '../drawings/step-drawing';
import { useEvaluation } from '../evaluation/evaluation-store';
import { SaveNote } from '../job/save-note';
import { useKeptOffline, type KeptOffline } from '../offline/use-kept-offline';
import type { Subject } from '../records/lesson-form';
import { LessonsHere } from '../records/lessons-here';
import { Button } from '../ui/button';
import { Tick } from '../ui/tick';
import { useView } from '../view/view-store';
import { duration, phaseName } from '../bench-log/work-words';
import { chosenStep } from './chosen-step';
import { DryingTimer } from './drying-timer';
import { LogNote, Refused } from './log-note';
import { StepNotes } from './step-notes';
import { useClock } from './timers';
import { stopClock, WorkClock } from './work-clock';

const show = (step: Step | undefined): void => {
  if (step !== undefined) useView.setState({ shownStep: step.id });
};

interface ListProps {
  readonly steps: readonly Step[];
  readonly chosen: number;
  readonly built: readonly string[];
  readonly onChoose: (step: Step) => void;
}

const StepList = ({ steps, chosen, built, onChoose }: ListProps) => (
  <ol>
    {steps.map((step, index) => (
      <li key={step.id} aria-current={index === chosen ? 'step' : undefined}>
        <button
          type="button"
          onClick={() => onChoose(step)}
          className={`flex min-h-11 w-full items-center gap-2 border-b border-line px-3 py-1 text-left leading-tight ${index === chosen ? 'bg-sheet font-bold' : ''}`}
        >
          <span
            aria-hidden
            className={`flex h-5 w-5 shrink-0 items-center justify-center rounded-full border text-xs ${built.includes(step.id) ? 'border-sound bg-sound text-sheet' : 'border-soft'}`}
          >
            {built.includes(step.id) ? '✓' : ''}
          </span>
          <span className={built.includes(step.id) ? 'text-soft' : ''}>
            {index + 1}. {step.title}
            {built.includes(step.id) && <span className="sr-only"> (done)</span>}
          </span>
        </button>
      </li>
    ))}
  </ol>
);

/** What a lesson at a step may be about: the step, the build, or what it is made of. */
const subjectsOf = ({ parts, assemblies }: Evaluation, { id, title, assembly }: Step): readonly Subject[] => {
  const own = assemblies[assembly];
  if (own === undefined) return [];
  const { strip } = own.materials;
  const stuffs = new Map(parts.cut.map(({ materialId, materialName }) => [materialId, materialName] as const));
  stuffs.set(strip.id, strip.name);
  return [
    { about: 'step', key: stepKey(own.build, id, own.id), label: `this step of every job: ${title}` },
    { about: 'build', key: own.build, label: `every job: ${buildOf(own).words.name.toLowerCase()}` },
    ...[...stuffs].map(([key, name]): Subject => ({ about: 'item', key, label: `wherever it is used: ${name}` })),
  ];
};

interface SheetProps {
  readonly jobId: string;
  readonly steps: readonly Step[];
  readonly index: number;
  readonly standing: BenchStanding;
}

/** One step, as large as it is read from the bench. */
const StepSheet = ({ jobId, steps, index, standing }: SheetProps) => {
  const evaluation = useEvaluation((state) => state.evaluation);
  const step = steps[index]!;
  const done = standing.done.includes(step.id);
  const own = evaluation?.assemblies[step.assembly];
  const atStep = own === undefined ? null : stepKey(own.build, step.id, own.id);
  const taken = standing.minutes.get(step.id);
  const tick = (on: boolean): void => {
    const { clock } = useClock.getState();
    if (on && clock?.jobId === jobId && clock.stepId === step.id) stopClock(clock);
    tickStep(step.id, on);
    // What is done makes room for what comes next; waits are begun first.
    show(on && step.waitMinutes === 0 ? (steps[index + 1] ?? step) : step);
  };
  return (
    <article className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto px-4 py-3 md:px-6">
      <header>
        <p className="text-[13px] text-soft">
          {phaseName(step)}, about {duration(step.minutes)}
          {step.waitMinutes > 0 && `, then ${duration(step.waitMinutes)} of waiting`}
          {taken !== undefined && `; ${duration(taken)} written down`}
        </p>
        <h1 className="text-2xl leading-tight font-bold">
          {index + 1}. {step.title}
        </h1>
      </header>
      {step.caution !== null && (
        <p className="flex gap-2 border-l-4 border-caution bg-sheet px-3 py-2">
          <TriangleAlert size={20} aria-hidden className="mt-0.5 shrink-0 text-caution" />
          {step.caution}
        </p>
      )}
      {own !== undefined && atStep !== null && <LessonsHere met={{ builds: [own.build], steps: [atStep] }} />}
      <div className="h-[clamp(200px,34vh,460px)] shrink-0 md:h-[clamp(220px,42vh,460px)] border border-line">
        {evaluation !== null && <StepDrawing key={step.id} evaluation={evaluation} step={step} />}
      </div>
      <p className="text-lg leading-snug">{step.detail}</p>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <Tick large on={done} onChange={tick}>
          Done
        </Tick>
        <DryingTimer key={step.id} step={step} begun={standing.waits.get(step.id)} />
        <WorkClock key={`work ${step.id}`} jobId={jobId} stepId={step.id} />
      </div>
      <StepNotes
        key={`notes ${step.id}`}
        jobId={jobId}
        stepId={step.id}
        standing={standing}
        subjects={evaluation === null ? [] : subjectsOf(evaluation, step)}
      />
    </article>
  );
};

/** Who writes at this device. */
const Writer = ({ className }: { readonly className: string }) => {
  const name = useWriter((state) => state.name);
  return (
    <label className={`items-center gap-1.5 text-[13px] ${className}`}>
      Written by
      <input
        className="w-32 rounded-[3px] border border-line bg-sheet px-2 py-1"
        maxLength={60}
        placeholder="your name"
        value={name}
        onChange={(event) => useWriter.setState({ name: event.target.value })}
      />
    </label>
  );
};

const offlineWords: Readonly<Record<KeptOffline, string>> = {
  keeping: 'Being kept for when the network is away …',
  kept: 'Opens without the network, too.',
  forbidden:
    'Keep this page open where there is no network: the browser opens it anew without one only from an https address.',
  'not-kept': 'Keep this page open where there is no network: this browser could not keep it.',
};

/** Bench mode: one step of the build at a time, large; works on with the network away. */
export const BenchPage = ({ jobId }: { readonly jobId: string }) => {
  const name = useDocument((state) => state.design?.name) ?? '';
  const steps = useEvaluation((state) => state.evaluation?.buildList.steps);
  const shown = useView((state) => state.shownStep);
  const standing = useBenchStanding(jobId);
  const built = standing.done;
  const savedHash = useDocument((state) => state.basedOn);
  const offline = useKeptOffline(jobId, savedHash);
  const [listed, setListed] = useState(false);
  useEffect(() => {
    document.title = `Bench · ${name} · Vitrum`;
  }, [name]);
  const index = steps === undefined ? 0 : chosenStep(steps, built, shown);
  const doneCount = steps?.filter(({ id }) => built.includes(id)).length ?? 0;
  return (
    <div className="flex h-dvh flex-col">
      <header className="flex min-h-12 shrink-0 items-center gap-2 border-b border-line px-3">
        <Link
          to={`/jobs/${jobId}/build`}
          className="flex min-h-11 items-center gap-1 text-[13px] underline-offset-2 hover:underline"
        >
          <ChevronLeft size={18} aria-hidden /> Job
        </Link>
        <strong className="min-w-0 flex-1 truncate">{name}</strong>
        <LogNote />
        <SaveNote />
        <Writer className="hidden sm:flex" />
        <Button className="min-h-9 md:hidden" aria-expanded={listed} onClick={() => setListed(!listed)}>
          <ListChecks size={16} aria-hidden /> {doneCount} of {steps?.length ?? 0}
        </Button>
      </header>
      <Refused />
      {steps === undefined ? (
        <p role="status" className="p-4">
          Laying the steps out …
        </p>
      ) : (
        <main className="flex min-h-0 flex-1">
          <nav
            aria-label="Steps"
            className={`shrink-0 overflow-y-auto border-r border-line md:block md:w-72 ${listed ? 'w-full' : 'hidden'}`}
          >
            <p className="px-3 py-2 text-[13px] text-soft">
              {doneCount} of {steps.length} done
            </p>
            <Writer className="flex px-3 pb-2 sm:hidden" />
            <StepList
              steps={steps}
              chosen={index}
              built={built}
              onChoose={(step) => {
                show(step);
                setListed(false);
              }}
            />
            <p className="px-3 py-2 text-[13px] text-soft">{offlineWords[offline]}</p>
          </nav>
          {!listed && (
            <div className="flex min-w-0 flex-1 flex-col">
              <StepSheet jobId={jobId} steps={steps} index={index} standing={standing} />
              <footer className="flex shrink-0 justify-between border-t border-line p-2">
                <Button className="min-h-11 px-4" disabled={index === 0} onClick={() => show(steps[index - 1])}>
                  <ChevronLeft size={18} aria-hidden /> Before
                </Button>
                <Button
                  className="min-h-11 px-4"
                  disabled={index === steps.length - 1}
                  onClick={() => show(steps[index + 1])}
                >
                  Next <ChevronRight size={18} aria-hidden />
                </Button>
              </footer>
            </div>
          )}
        </main>
      )}
    </div>
  );
};
