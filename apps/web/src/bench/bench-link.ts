import type { Catalogue } from '@vitrum/core';
import { connectBench, type BenchLink } from './bench-store';

let link: { readonly link: BenchLink; readonly catalogue: Catalogue } | null = null;

/** The page’s one bench, started on first use, anew for a changed catalogue. */
export const benchLink = (catalogue: Catalogue): BenchLink => {
  if (link?.catalogue === catalogue) return link.link;
  const worker = new Worker(new URL('../evaluation/worker.ts', import.meta.url), { type: 'module', name: 'bench' });
  link = { link: connectBench(worker, catalogue), catalogue };
  return link.link;
};
