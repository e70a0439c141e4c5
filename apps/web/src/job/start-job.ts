import { queryClient } from '../api/query-client';
import { draftStore, leftBehind } from '../document/journal';
import { evaluationLink } from '../evaluation/link';
import { workers } from '../workers/clients';
import { fetchJobPage } from './fetch-job-page';
import { catalogueQuery, jobQuery } from './job-query';

/** The job that was gone to last. */
let newest: string | null = null;

/**
 * Begins all that the page of a job waits for, side by side, before anything of it is drawn: its thread, its code, the
 * shelf, the job and its light. A job with edits that were not saved is lit once they are read.
 */
export const startJob = (jobId: string): void => {
  newest = jobId;
  fetchJobPage().catch(() => undefined);
  // Started, and let go at once: whoever shows the job holds it.
  workers.evaluation.hold()();
  const light = async (): Promise<void> => {
    const [catalogue, { head }, drafts] = await Promise.all([
      queryClient.fetchQuery(catalogueQuery),
      queryClient.fetchQuery(jobQuery(jobId)),
      leftBehind(draftStore, jobId),
    ]);
    // Another job may have been gone to meanwhile; its light is not put out by this one’s.
    if (newest !== jobId) return;
    evaluationLink.open(catalogue);
    if (drafts.length === 0) evaluationLink.evaluate(jobId, head.design);
  };
  // What fails here fails again, and is told, where it is shown.
  light().catch(() => undefined);
};
