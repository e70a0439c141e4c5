import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useEffect } from 'react';
import { useParams } from 'react-router';
import { workers } from '../workers/clients';
import { catalogueQuery } from './job-query';
import { LastLit } from './last-lit';

const fetchPage = () => import('./job-page').then((module) => ({ default: module.JobPage }));

// This module comes with every page; whoever begins with a job has its page fetched at once.
if (/^\/jobs\/(?!new(\/|$))[^/]/.test(location.pathname)) void fetchPage().catch(() => undefined);

const JobPage = lazy(fetchPage);

/**
 * The page of a job in two steps: what was last seen of it, which weighs next to nothing, and the page itself. The thread
 * that lights, the shelf and the page are fetched side by side.
 */
export const JobShell = () => {
  const { jobId = '' } = useParams();
  useEffect(() => workers.evaluation.hold(), []);
  useQuery(catalogueQuery);
  return (
    <Suspense fallback={<LastLit jobId={jobId} />}>
      <JobPage />
    </Suspense>
  );
};
