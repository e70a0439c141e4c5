import { unzlibSync } from 'fflate';

/** Larger fonts are none that a sign is set in (bytes, unpacked). */
const mostBytes = 40_000_000;
const mostTables = 200;

const tagAt = (view: DataView, at: number): string =>
  String.fromCharCode(...[0, 1, 2, 3].map((each) => view.getUint8(at + each)));

const bare: ReadonlySet<string> = new Set(['\u0000\u0001\u0000\u0000', 'OTTO', 'true']);

/** How a font file is packed, by its first bytes; null where it is none. */
export const fontPacking = (bytes: Uint8Array): 'bare' | 'woff' | 'woff2' | null => {
  if (bytes.length < 12) return null;
  const tag = tagAt(new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength), 0);
  if (tag === 'wOFF') return 'woff';
  if (tag === 'wOF2') return 'woff2';
  return bare.has(tag) ? 'bare' : null;
};

const padded = (length: number): number => (length + 3) & ~3;

/**
 * A WOFF file (W3C, WOFF File Format 1.0) as the font that is packed in it. Throws where it is broken or unpacks to more than
 * any font.
 */
export const unpackWoff = (bytes: Uint8Array): Uint8Array => {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const count = view.getUint16(12);
  if (count === 0 || count > mostTables) throw new RangeError('no tables, or too many');
  const entries = Array.from({ length: count }, (_, index) => {
    const at = 44 + 20 * index;
    return {
      tag: view.getUint32(at),
      offset: view.getUint32(at + 4),
      packed: view.getUint32(at + 8),
      length: view.getUint32(at + 12),
      checksum: view.getUint32(at + 16),
    };
  });
  const whole = 12 + 16 * count + entries.reduce((sum, { length }) => sum + padded(length), 0);
  if (whole > mostBytes) throw new RangeError('larger than any font');
  const font = new Uint8Array(whole);
  const out = new DataView(font.buffer);
  const power = Math.floor(Math.log2(count));
  out.setUint32(0, view.getUint32(4));
  out.setUint16(4, count);
  out.setUint16(6, 16 * 2 ** power);
  out.setUint16(8, power);
  out.setUint16(10, 16 * count - 16 * 2 ** power);
  let to = 12 + 16 * count;
  entries.forEach(({ tag, offset, packed, length, checksum }, index) => {
    const raw = bytes.subarray(offset, offset + packed);
    if (raw.length < packed) throw new RangeError('cut off');
    const table = packed < length ? unzlibSync(raw, { out: new Uint8Array(length) }) : raw;
    if (table.length !== length) throw new RangeError('a table of another length');
    font.set(table, to);
    const at = 12 + 16 * index;
    out.setUint32(at, tag);
    out.setUint32(at + 4, checksum);
    out.setUint32(at + 8, to);
    out.setUint32(at + 12, length);
    to += padded(length);
  });
  return font;
};
