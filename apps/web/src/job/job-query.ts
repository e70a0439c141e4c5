import { queryOptions } from '@tanstack/react-query';
import { getCatalogue, getJob } from '../api/jobs';

/** A job with its design, as it was when its page was opened; the document store takes over from there. */
export const jobQuery = (jobId: string) =>
  queryOptions({
    queryKey: ['job', jobId],
    queryFn: () => getJob(jobId),
    staleTime: Infinity,
    gcTime: 0,
    refetchOnWindowFocus: false,
  });

export const catalogueQuery = queryOptions({ queryKey: ['catalogue'], queryFn: getCatalogue, staleTime: Infinity });
