import { pdfAsSvg } from '@vitrum/core';

self.onmessage = async ({ data }: MessageEvent<Uint8Array>): Promise<void> => {
  self.postMessage({ read: await pdfAsSvg(data) });
};
