import { QueryClient } from '@tanstack/react-query';
import { ApiError } from './client';

/** What the page knows of the server. */
export const queryClient = new QueryClient({
  defaultOptions: { queries: { retry: (failures, error) => failures < 2 && !(error instanceof ApiError) } },
});
