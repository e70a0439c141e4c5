import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { saveDesign } from '../api/jobs';
import { queryClient } from '../api/query-client';
import { startAutosave, type Autosave } from '../document/autosave';
import { openDocument, useDocument } from '../document/document-store';
import { draftStore, journal, leftBehind, letGo, notSaved, signIn, thisPage, type Draft } from '../document/journal';
import { selectAssembly } from '../document/selection';
import { aboutJob } from '../evaluation/evaluation-store';
import { after } from '../view/after';
import { jobQuery } from './job-query';
import { useKeptEdits } from './kept-edits-store';

const savedLater = (jobId: string): void => void queryClient.invalidateQueries(jobQuery(jobId));

/**
 * Opens the job in the document store, with the newest of what earlier pages could not save, and saves from then on. What
 * others of them left is offered.
 */
export const useOpenJob = (jobId: string) => {
  const { data: job, error } = useQuery(jobQuery(jobId));
  useEffect(signIn, []);
  useEffect(() => {
    if (job === undefined) return undefined;
    let ended = false;
    let autosave: Autosave | null = null;
    const leave = (): void => autosave?.leave();
    const leaveIfHidden = (): void => {
      if (document.visibilityState === 'hidden') leave();
    };
    const open = async (): Promise<void> => {
      const left = await leftBehind(draftStore, jobId);
      if (ended) return;
      const [mine, ...others] = notSaved(left, job.head);
      selectAssembly(null);
      aboutJob(jobId);
      openDocument(jobId, job.head, mine?.design ?? null, mine?.basedOn ?? job.head.hash);
      useKeptEdits.setState({ jobId, drafts: others });
      autosave = startAutosave({ journal, save: saveDesign, after, savedLater });
      // Only once this page keeps the edits itself.
      await journal.idle();
      if (mine !== undefined && useDocument.getState().keeping !== 'kept') return;
      const offered = new Set(others.map(({ page }) => page));
      const isTaken = ({ page }: Draft): boolean =>
        !offered.has(page) &&
        // Of this page only what the server has, and only while nothing newer was written over it.
        (page !== thisPage || (mine === undefined && useDocument.getState().save.kind === 'saved'));
      for (const draft of left.filter(isTaken)) letGo(draftStore, draft);
    };
    open().catch(() => undefined);
    document.addEventListener('visibilitychange', leaveIfHidden);
    window.addEventListener('pagehide', leave);
    return () => {
      ended = true;
      autosave?.stop();
      document.removeEventListener('visibilitychange', leaveIfHidden);
      window.removeEventListener('pagehide', leave);
    };
  }, [job, jobId]);
  return { job, error };
};
