import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { getJobStock } from '../api/stock';

/** What the job of this page takes from stock, asked again until it is worked out: that follows a save after a moment. */
export const useJobStock = () => {
  const { jobId = '' } = useParams();
  return useQuery({
    queryKey: ['stock', 'job', jobId],
    queryFn: () => getJobStock(jobId),
    staleTime: 0,
    refetchOnWindowFocus: true,
    refetchInterval: ({ state }) =>
      state.data !== undefined && (!state.data.known || state.data.needs.length === 0) ? 1500 : false,
  });
};
