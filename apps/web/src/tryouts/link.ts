import type { Catalogue } from '@vitrum/core';
import { connectTryouts, type TryoutsLink } from './tryouts-store';

let link: TryoutsLink | null = null;
let opened: Catalogue | null = null;

/** The page’s one try-outs thread, apart from the one that lights the open design; started on first use. */
export const startTryouts = (catalogue: Catalogue): TryoutsLink => {
  if (link !== null) {
    if (catalogue !== opened) link.open(catalogue);
    opened = catalogue;
    return link;
  }
  opened = catalogue;
  const worker = new Worker(new URL('../evaluation/worker.ts', import.meta.url), { type: 'module', name: 'try-outs' });
  link = connectTryouts(worker);
  link.open(catalogue);
  return link;
};
