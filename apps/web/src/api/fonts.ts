import type { UnpackedFont } from '@vitrum/contract';
import { request } from './client';

/** A WOFF2 font unpacked: what does that makes code from text, which no page may. */
export const unpackFont = async (bytes: Uint8Array<ArrayBuffer>): Promise<string> =>
  (
    await request<UnpackedFont>('/fonts/unpack', {
      method: 'POST',
      body: bytes,
      headers: { 'content-type': 'font/woff2' },
    })
  ).base64;
