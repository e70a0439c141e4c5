import { imageSize } from 'image-size';

/** More pixels than this are not unpacked: 200 MB of the browser’s memory, and no print wants them. */
export const mostMegapixels = 50;
/** The size stands in the head of a file. */
const headBytes = 256 * 1024;

/** A picture that is whole, and too large to unpack. */
export class PictureTooLarge extends Error {}

/** The size that the head of a picture tells (px); null where it tells none: then unpacking it says what is wrong. */
export const sizeInHead = (head: Uint8Array): { readonly width: number; readonly height: number } | null => {
  try {
    return imageSize(head);
  } catch {
    // Not a picture that it knows, or cut short.
    return null;
  }
};

/** Refuses a picture by its head, before it is unpacked; a few bytes can stand for gigabytes. */
export const refuseLarge = async (file: Blob): Promise<void> => {
  const size = sizeInHead(new Uint8Array(await file.slice(0, headBytes).arrayBuffer()));
  const megapixels = size === null ? 0 : (size.width * size.height) / 1e6;
  if (megapixels > mostMegapixels)
    throw new PictureTooLarge(
      `has ${Math.round(megapixels)} megapixels; save it with ${mostMegapixels} or fewer, which is sharp enough for any print`,
    );
};

/** What is told of a picture that was not taken in. */
export const pictureProblem = (name: string, reason: unknown): string =>
  reason instanceof PictureTooLarge
    ? `${name} ${reason.message}`
    : // What the browser says of a broken picture helps nobody.
      `${name} is no picture that can be read; save it anew as PNG or JPEG`;
