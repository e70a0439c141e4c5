import { QueryClient } from '@tanstack/react-query';
import { ApiError } from './client';

/** What the page knows of the server. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      // Asked for even with the network away: what is kept for that answers.
      networkMode: 'offlineFirst',
      retry: (failures, error) => failures < 2 && !(error instanceof ApiError),
    },
  },
});
