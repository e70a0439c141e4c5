import { unpackWoff2 } from '@vitrum/core';

/** Runs in a thread of the pool: a WOFF2 file unpacked; null where it is no readable font. */
export default async (bytes: Uint8Array): Promise<Uint8Array | null> => {
  const font = await unpackWoff2('font', bytes);
  return font.ok ? font.value : null;
};
