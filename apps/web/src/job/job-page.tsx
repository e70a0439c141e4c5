import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';
import { Navigate, useParams } from 'react-router';
import { saveDesign } from '../api/jobs';
import { ApiError } from '../api/client';
import { startAutosave } from '../document/autosave';
import { selectAssembly } from '../document/selection';
import { openDocument, useDocument } from '../document/document-store';
import { readDraft } from '../document/drafts';
import { aboutJob, useEvaluation } from '../evaluation/evaluation-store';
import { runEvaluation } from '../evaluation/run-evaluation';
import { ErrorSheet } from '../pages/error-sheet';
import { NotFoundPage } from '../pages/not-found-page';
import { fetchTheRest, lazyPart } from '../ui/lazy-part';
import { SheetDialog } from '../ui/sheet-dialog';
import { enterStep, markVisited, useView } from '../view/view-store';
import { CatalogueContext } from './catalogue-context';
import { ConflictDialog } from './conflict-dialog';
import { FiguresTape } from '../figures/figures-tape';
import { JobFrame } from './job-frame';
import { catalogueQuery, jobQuery } from './job-query';
import { LastLit } from './last-lit';
import { JobHeader } from './job-header';
import { LitView } from '../lamp-room/lit-view';
import { SheetLayout } from '../drawings/sheet-layout';
import { Slice } from '../slice/slice';
import { StepPanel } from '../steps/step-panel';
import { isWorkStep } from '../steps/step-names';
import { keys, useShortcuts } from './use-shortcuts';
import { WiringDiagram } from '../drawings/wiring-diagram';
import { WorkLine } from '../steps/work-line';

const TryoutsPage = lazyPart(() => import('../tryouts/tryouts-page'), 'TryoutsPage');

const after = (ms: number, work: () => void): (() => void) => {
  const timer = setTimeout(work, ms);
  return () => clearTimeout(timer);
};

/** Opens the job in the document store, with what an earlier visit could not save, and saves from then on. */
const useOpenJob = (jobId: string) => {
  const { data: job, error } = useQuery(jobQuery(jobId));
  useEffect(() => {
    if (job === undefined) return undefined;
    const draft = readDraft(localStorage, jobId);
    selectAssembly(null);
    aboutJob(jobId);
    openDocument(jobId, job.head, draft?.design ?? null, draft?.basedOn ?? job.head.hash);
    return startAutosave({ storage: localStorage, save: saveDesign, after });
  }, [job, jobId]);
  return { job, error };
};

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

/** Runs work once nothing else is to be done; returns what calls it off. */
const whenIdle = (work: () => void): (() => void) => {
  if (typeof requestIdleCallback !== 'function') return after(1000, work);
  const handle = requestIdleCallback(work);
  return () => cancelIdleCallback(handle);
};

const leaveWarning = (event: BeforeUnloadEvent): void => {
  if (useDocument.getState().save.kind === 'refused') event.preventDefault();
};

export const JobPage = () => {
  const { jobId = '', step } = useParams();
  const { job, error } = useOpenJob(jobId);
  const { data: catalogue, error: catalogueError } = useQuery(catalogueQuery);
  const open = useDocument((state) => state.jobId === jobId && state.design !== null);
  const [help, setHelp] = useState(false);
  const showHelp = useCallback(() => setHelp(true), []);
  useShortcuts(jobId, showHelp);
  useEffect(() => (catalogue === undefined || !open ? undefined : runEvaluation(catalogue)), [catalogue, open, jobId]);
  const isLit = useEvaluation(({ evaluation }) => evaluation !== null);
  useEffect(() => (isLit ? whenIdle(() => void fetchTheRest()) : undefined), [isLit]);
  useEffect(() => {
    if (!isWorkStep(step)) return;
    markVisited(jobId, step);
    enterStep(step);
  }, [jobId, step]);
  useEffect(() => {
    useView.setState({ welcomed: true, shownFigure: null, shownFinding: null, sliceXMm: null });
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
  if (!isWorkStep(step) && step !== 'tryouts') return <Navigate to={`/jobs/${jobId}/face`} replace />;
  return (
    <CatalogueContext value={catalogue}>
      <JobFrame
        header={<JobHeader jobId={jobId} onHelp={showHelp} />}
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
              {step === 'cut' ? <SheetLayout /> : step === 'power' ? <WiringDiagram /> : <Slice />}
            </main>
            <StepPanel step={step} />
          </>
        )}
      </JobFrame>
      <ConflictDialog />
      {help && <KeysSheet onClose={() => setHelp(false)} />}
    </CatalogueContext>
  );
};
