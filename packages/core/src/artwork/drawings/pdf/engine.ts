import type * as Engine from 'pdfjs-dist/legacy/build/pdf.mjs';

let loading: Promise<typeof Engine> | null = null;

/** What the engine wants to be there to paint with. Nothing is painted here: paths are only read. */
const unpainted = ['DOMMatrix', 'ImageData', 'Path2D'] as const;

const load = async (): Promise<typeof Engine> => {
  const place = globalThis as unknown as Record<string, unknown>;
  for (const name of unpainted) place[name] ??= class {};
  // Reads on this thread: whoever asks is on one beside the page already.
  place['pdfjsWorker'] ??= await import('pdfjs-dist/legacy/build/pdf.worker.mjs');
  return import('pdfjs-dist/legacy/build/pdf.mjs');
};

/** The engine that reads PDF, fetched when the first file wants it. */
export const pdfEngine = (): Promise<typeof Engine> => (loading ??= load());
