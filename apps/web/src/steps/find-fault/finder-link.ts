import { connectFinder, type FinderLink } from './finder-store';

let link: FinderLink | null = null;

/** The one thread that finds faults in the open design’s circuit, started on first use. */
export const finderLink = (): FinderLink => {
  link ??= connectFinder(
    new Worker(new URL('../../practice/worker.ts', import.meta.url), { type: 'module', name: 'fault finder' }),
  );
  return link;
};
