import { useQuery } from '@tanstack/react-query';
import { shelfFor, type Catalogue, type WorkStep } from '@vitrum/core';
import { useCallback, useEffect, useState, type ReactNode } from 'react';
import { Navigate, useParams } from 'react-router';
import { ApiError } from '../api/client';
import { useDocument, wouldLose } from '../document/document-store';
import { useEvaluation } from '../evaluation/evaluation-store';
import { runEvaluation } from '../evaluation/run-evaluation';
import { FindingsPanel } from '../findings/findings-panel';
import { HelpContext } from '../help/help-context';
import { useHelpHere } from '../help/use-help-here';
import { ErrorSheet } from '../pages/error-sheet';
import { NotFoundPage } from '../pages/not-found-page';
import { fetchTheRest, lazyPart } from '../ui/lazy-part';
import { SheetDialog } from '../ui/sheet-dialog';
import { useNarrow } from '../view/use-narrow';
import { enterStep, markVisited, useView } from '../view/view-store';
import { CatalogueContext } from './catalogue-context';
import { ConflictDialog } from './conflict-dialog';
import { FiguresTape } from '../figures/figures-tape';
import { JobFrame } from './job-frame';
import { catalogueQuery } from './job-query';
import { KeptEdits } from './kept-edits';
import { useOpenJob } from './use-open-job';
import { LastLit } from './last-lit';
import { JobHeader } from './job-header';
import { LitView } from '../lamp-room/lit-view';
import { Slice } from '../slice/slice';
import { StepPanel } from '../steps/step-panel';
import { after } from '../view/after';
import { firstStep, isWorkStep } from '../steps/step-names';
import { keys, useShortcuts } from './use-shortcuts';
import { WorkLine } from '../steps/work-line';

const over = { fallback: null } as const;
const under = { fallback: <div className="h-[262px] shrink-0 bg-sheet" /> } as const;

const BenchPage = lazyPart(() => import('../bench-mode/bench-page'), 'BenchPage');
const StepBelow = lazyPart(() => import('../bench-mode/step-below'), 'StepBelow', under);
const SearchSheet = lazyPart(() => import('../search/search-sheet'), 'SearchSheet', over);
const SheetLayout = lazyPart(() => import('../drawings/sheet-layout'), 'SheetLayout', under);
const WiringDiagram = lazyPart(() => import('../drawings/wiring-diagram'), 'WiringDiagram', under);
const HelpLayer = lazyPart(() => import('../help/help-layer'), 'HelpLayer', over);
const HintLayer = lazyPart(() => import('../ui/hint-layer'), 'HintLayer', over);
const Notices = lazyPart(() => import('../ui/notices'), 'Notices', over);
const TryoutsPage = lazyPart(() => import('../tryouts/tryouts-page'), 'TryoutsPage');

const KeysSheet = ({ onClose }: { readonly onClose: () => void }) => (
  <SheetDialog open onClose={onClose} title="Keys">
    <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-1.5">
      {keys.map(([key, does]) => (
        <div key={key} className="contents">
          <dt className="figure font-semibold">{key}</dt>
          <dd>{does}</dd>
        </div>
      ))}
    </dl>
  </SheetDialog>
);

/** What is drawn under the picture: what the step is about. */
const Below = ({ step }: { readonly step: WorkStep }) => {
  if (step === 'cut') return <SheetLayout />;
  if (step === 'power') return <WiringDiagram />;
  return step === 'build' ? <StepBelow /> : <Slice />;
};

/** What lies over the page now and then. */
const Layers = () => (
  <>
    <Notices />
    <HintLayer />
    <HelpLayer />
  </>
);

/** Runs work once nothing else is to be done; returns what calls it off. */
const whenIdle = (work: () => void): (() => void) => {
  if (typeof requestIdleCallback !== 'function') return after(1000, work);
  const handle = requestIdleCallback(work);
  return () => cancelIdleCallback(handle);
};

const leaveWarning = (event: BeforeUnloadEvent): void => {
  if (wouldLose(useDocument.getState())) event.preventDefault();
};

/** What of the shelf the design may choose from: what is offered, and what it has though that is no longer offered. */
const Shelf = ({ of: catalogue, children }: { readonly of: Catalogue; readonly children: ReactNode }) => {
  const shelf = useDocument(({ design }) => shelfFor(design ?? {}, catalogue));
  return <CatalogueContext value={shelf}>{children}</CatalogueContext>;
};

export const JobPage = () => {
  const { jobId = '', step } = useParams();
  const { job, error } = useOpenJob(jobId);
  const { data: catalogue, error: catalogueError } = useQuery(catalogueQuery);
  const open = useDocument((state) => state.jobId === jobId && state.design !== null);
  const [help, setHelp] = useState(false);
  const showHelp = useCallback(() => setHelp(true), []);
  const [finding, setFinding] = useState(false);
  const find = useCallback(() => setFinding(true), []);
  useShortcuts(jobId, { onHelp: showHelp, onFind: find });
  useEffect(() => (catalogue === undefined || !open ? undefined : runEvaluation(catalogue)), [catalogue, open, jobId]);
  const isLit = useEvaluation(({ evaluation }) => evaluation !== null);
  const helpHere = useHelpHere(isLit);
  const isNarrow = useNarrow();
  useEffect(() => (isLit ? whenIdle(() => void fetchTheRest()) : undefined), [isLit]);
  useEffect(() => {
    if (!isWorkStep(step)) return;
    markVisited(jobId, step);
    enterStep(step);
  }, [jobId, step]);
  useEffect(() => {
    useView.setState({ welcomed: true, shownFigure: null, shownFinding: null, shownStep: null, sliceXMm: null });
    window.addEventListener('beforeunload', leaveWarning);
    return () => window.removeEventListener('beforeunload', leaveWarning);
  }, []);
  useEffect(() => {
    document.title = job === undefined ? 'Vitrum' : `${job.name} · Vitrum`;
  }, [job]);

  if (error instanceof ApiError && error.status === 404)
    return <NotFoundPage what="There is no such job in the book." />;
  const failure = error ?? catalogueError;
  if (failure !== null && !open) return <ErrorSheet error={failure} />;
  if (catalogue === undefined || !open) return <LastLit jobId={jobId} />;
  if (step === 'bench')
    return (
      <Shelf of={catalogue}>
        <BenchPage jobId={jobId} />
        <ConflictDialog />
      </Shelf>
    );
  if (!isWorkStep(step) && step !== 'tryouts')
    return <Navigate to={`/jobs/${jobId}/${firstStep(job?.status, window.innerWidth)}`} replace />;
  return (
    <Shelf of={catalogue}>
      <HelpContext value={helpHere}>
        <JobFrame
          header={<JobHeader jobId={jobId} onHelp={showHelp} onFind={find} />}
          line={<WorkLine jobId={jobId} status={job?.status ?? 'quoted'} />}
          tape={<FiguresTape last={job?.summary ?? null} />}
        >
          {step === 'tryouts' ? (
            <TryoutsPage jobId={jobId} />
          ) : (
            <>
              <main className="no-print flex min-w-0 flex-1 flex-col max-lg:min-h-[560px]">
                <h1 className="sr-only">{job?.name}</h1>
                <LitView last={job?.summary ?? null} />
                {isNarrow && (
                  <div className="border-y border-line bg-paper px-4 pt-2">
                    <FindingsPanel />
                  </div>
                )}
                <Below step={step} />
              </main>
              <StepPanel step={step} />
            </>
          )}
        </JobFrame>
        {isLit && <Layers />}
        <ConflictDialog />
        <KeptEdits jobId={jobId} />
        {finding && <SearchSheet jobId={jobId} onClose={() => setFinding(false)} />}
        {help && <KeysSheet onClose={() => setHelp(false)} />}
      </HelpContext>
    </Shelf>
  );
};
