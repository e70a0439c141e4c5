import { useInfiniteQuery } from '@tanstack/react-query';
import type { JobListing } from '@vitrum/contract';
import { useEffect, useMemo } from 'react';
import { listJobs } from '../api/jobs';
import { isOnItsWay } from './filter-jobs';

/** Pictures follow a save after a moment; they are asked for again so often. */
const askAgainMs = 1500;

interface AllJobs {
  /** Those that have been read; undefined until the first page is there. */
  readonly data: readonly JobListing[] | undefined;
  /** Whether that is all of them, more are on their way, or the rest did not come. */
  readonly rest: 'none' | 'coming' | 'missing';
  readonly error: Error | null;
  readonly dataUpdatedAt: number;
}

/** The whole job book, a page after the other: the first is shown while the others come. */
export const useAllJobs = (): AllJobs => {
  const { data, error, dataUpdatedAt, hasNextPage, isFetching, fetchNextPage } = useInfiniteQuery({
    queryKey: ['jobs'],
    queryFn: ({ pageParam }) => listJobs(pageParam),
    initialPageParam: null as string | null,
    getNextPageParam: ({ next }) => next,
    staleTime: 0,
    refetchInterval: ({ state }) =>
      state.data?.pages.some(({ jobs }) => jobs.some((job) => isOnItsWay(job, Date.now()))) === true
        ? askAgainMs
        : false,
  });
  useEffect(() => {
    if (hasNextPage && !isFetching && error === null) void fetchNextPage();
  }, [hasNextPage, isFetching, error, fetchNextPage]);
  const jobs = useMemo(() => data?.pages.flatMap((page) => page.jobs), [data]);
  // What is there is shown, though a later page did not come.
  const rest = hasNextPage ? (error === null ? 'coming' : 'missing') : 'none';
  return { data: jobs, rest, error: jobs === undefined ? error : null, dataUpdatedAt };
};
