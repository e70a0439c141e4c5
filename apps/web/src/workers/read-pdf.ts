import type { pdfAsSvg } from '@vitrum/core';

type Read = Awaited<ReturnType<typeof pdfAsSvg>>;

/** A file that takes longer is no drawing. */
const mostMs = 30_000;

/** Reads a PDF in a thread of its own, which ends with it; one that takes too long is given up. */
export const readPdf = (bytes: Uint8Array): Promise<Read> =>
  new Promise((resolve) => {
    const worker = new Worker(new URL('./pdf.ts', import.meta.url), { type: 'module', name: 'pdf' });
    const end = (read: Read): void => {
      clearTimeout(deadline);
      worker.terminate();
      resolve(read);
    };
    const refuse = (message: string): void => end({ ok: false, problems: [{ path: '', message }] });
    const deadline = setTimeout(
      () => refuse(`this PDF takes longer than ${mostMs / 1000} s to read; save its page as SVG`),
      mostMs,
    );
    // The engine sends words of its own on the same line.
    worker.onmessage = ({ data }: MessageEvent<{ readonly read?: Read }>) => {
      if (data.read !== undefined) end(data.read);
    };
    worker.onerror = ({ message }) => refuse(`this PDF could not be read (${message}); save its page as SVG`);
    worker.postMessage(bytes, [bytes.buffer]);
  });
