const mmPerInch = 25.4;
/** A PNG begins with 8 bytes and its header chunk of 25. */
const afterHeader = 33;

/** CRC-32 as PNG chunks have it (ISO 3309). */
const crcOf = (bytes: Uint8Array): number => {
  let crc = 0xffffffff;
  for (const byte of bytes) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit += 1) crc = (crc >>> 1) ^ (crc & 1 ? 0xedb88320 : 0);
  }
  return (crc ^ 0xffffffff) >>> 0;
};

/** A PNG that says how large its pixels are (chunk pHYs), so that a machine takes it at its true size. */
export const withPixelSize = (png: Uint8Array, dotsPerInch: number): Uint8Array => {
  const chunk = new Uint8Array(21);
  const view = new DataView(chunk.buffer);
  const perMetre = Math.round((dotsPerInch * 1000) / mmPerInch);
  view.setUint32(0, 9);
  chunk.set([0x70, 0x48, 0x59, 0x73], 4);
  view.setUint32(8, perMetre);
  view.setUint32(12, perMetre);
  chunk[16] = 1;
  view.setUint32(17, crcOf(chunk.subarray(4, 17)));
  const out = new Uint8Array(png.length + chunk.length);
  out.set(png.subarray(0, afterHeader));
  out.set(chunk, afterHeader);
  out.set(png.subarray(afterHeader), afterHeader + chunk.length);
  return out;
};
