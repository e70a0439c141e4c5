import { useEffect, useState } from 'react';
import { keptAnswers, neededFor } from './kept-paths';

/** Whether a page opens anew with the network away; `forbidden` where the browser wants https for that. */
export type KeptOffline = 'keeping' | 'kept' | 'forbidden' | 'not-kept';

const keep = async (jobId: string): Promise<void> => {
  await navigator.serviceWorker.register('/sw.js');
  // Ready once all of the page’s files lie there.
  await navigator.serviceWorker.ready;
  await (await caches.open(keptAnswers)).addAll([...neededFor(jobId)]);
};

const atFirst = (): KeptOffline => {
  // While the page is developed its files are made as they are asked for; nothing of them can be kept.
  if (!import.meta.env.PROD) return 'not-kept';
  return window.isSecureContext && 'serviceWorker' in navigator ? 'keeping' : 'forbidden';
};

/**
 * Keeps the page and what it shows of a job in this browser, so that it opens anew while the network is away. As of a
 * saved design, by its hash.
 */
export const useKeptOffline = (jobId: string, savedHash: string): KeptOffline => {
  const [kept, setKept] = useState<KeptOffline>(atFirst);
  useEffect(() => {
    if (atFirst() !== 'keeping') return undefined;
    let left = false;
    keep(jobId).then(
      () => !left && setKept('kept'),
      async () => {
        const known = await caches.match(`/api/jobs/${jobId}`).catch(() => undefined);
        if (!left) setKept(known !== undefined && navigator.serviceWorker.controller !== null ? 'kept' : 'not-kept');
      },
    );
    return () => {
      left = true;
    };
  }, [jobId, savedHash]);
  return kept;
};
