import type { BoxResults, Front } from '@vitrum/core';
import { useOwn } from '../../evaluation/own';

/** What was found for the chosen assembly, which the pages of cases alone ask: theirs are the steps on show. */
export const useOwnBox = (): (BoxResults & { readonly front: Front }) | null => {
  const own = useOwn();
  return own as unknown as (BoxResults & { readonly front: Front }) | null;
};
