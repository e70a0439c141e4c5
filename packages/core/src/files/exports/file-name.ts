/** A file to be written, its path inside the pack. */
export interface PackFile {
  readonly path: string;
  readonly bytes: Uint8Array;
}

/** A name fit for a file on any system. */
export const fileName = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/[^\w\s-]/g, '')
    .trim()
    .replace(/\s+/g, '-')
    .slice(0, 60)
    .toLowerCase() || 'design';
