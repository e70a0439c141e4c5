import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useEffect } from 'react';
import { useParams } from 'react-router';
import { workers } from '../workers/clients';
import { fetchJobPage } from './fetch-job-page';
import { catalogueQuery } from './job-query';
import { LastLit } from './last-lit';

const JobPage = lazy(fetchJobPage);

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
