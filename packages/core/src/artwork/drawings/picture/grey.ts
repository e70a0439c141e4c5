import { decode } from 'fast-png';
import jpeg from 'jpeg-js';
import { failure, success, type Result } from '../../../base/result.js';
import type { GreyPicture } from './trace-picture.js';

/** Shades of grey from red, green, blue and opacity, on white paper (ITU-R BT.709 weights). */
export const greyOf = (rgba: Uint8ClampedArray): Uint8Array => {
  const grey = new Uint8Array(rgba.length / 4);
  for (let pixel = 0; pixel < grey.length; pixel += 1) {
    const [r, g, b, a] = rgba.subarray(4 * pixel, 4 * pixel + 4) as unknown as [number, number, number, number];
    const shade = 0.2126 * r + 0.7152 * g + 0.0722 * b;
    grey[pixel] = Math.round(255 + (shade - 255) * (a / 255));
  }
  return grey;
};

/** A letter’s edge needs no more pixels a side than this. */
const mostPx = 4000;

/** How large a PNG says that it is, from its first bytes; null where it is none. */
const sizeOf = (bytes: Uint8Array): readonly [number, number] | null => {
  if (bytes.length < 24 || bytes[0] !== 0x89 || bytes[1] !== 0x50) return null;
  const view = new DataView(bytes.buffer, bytes.byteOffset);
  return [view.getUint32(16), view.getUint32(20)];
};

/** A PNG as shades of grey. Fails where it is none, broken, or larger than any scan of a sign needs to be. */
export const pictureOfPng = (bytes: Uint8Array): Result<GreyPicture> => {
  const no = (message: string): Result<GreyPicture> => failure({ path: '', message });
  const size = sizeOf(bytes);
  if (size === null) return no('this is no PNG picture');
  if (Math.max(...size) > mostPx) return no(`the picture is larger than ${mostPx} pixels a side; make it smaller`);
  try {
    const { width, height, data, channels, depth, palette } = decode(bytes);
    const white = 2 ** depth - 1;
    const rgba = new Uint8ClampedArray(4 * width * height);
    for (let pixel = 0; pixel < width * height; pixel += 1) {
      const at = channels * pixel;
      const own = palette?.[data[at]!];
      const shade = (channel: number): number => (255 * data[at + channel]!) / white;
      const [grey, hasCover] = [channels < 3, channels === 2 || channels === 4];
      const colour = own ?? [shade(0), shade(grey ? 0 : 1), shade(grey ? 0 : 2)];
      rgba.set(
        [colour[0]!, colour[1]!, colour[2]!, own ? (own[3] ?? 255) : hasCover ? shade(channels - 1) : 255],
        4 * pixel,
      );
    }
    return success({ width, height, grey: greyOf(rgba) });
  } catch {
    return no('this picture is broken; save it as PNG once more');
  }
};

/** Memory that a JPEG may take while it is unpacked (MB): four thousand pixels a side and what goes with them. */
const mostMb = 260;

/** A JPEG as shades of grey. Fails as a PNG does. */
export const pictureOfJpeg = (bytes: Uint8Array): Result<GreyPicture> => {
  const no = (message: string): Result<GreyPicture> => failure({ path: '', message });
  if (bytes[0] !== 0xff || bytes[1] !== 0xd8) return no('this is no JPEG picture');
  try {
    const { width, height, data } = jpeg.decode(bytes, {
      useTArray: true,
      maxResolutionInMP: mostPx ** 2 / 1e6,
      maxMemoryUsageInMB: mostMb,
    });
    if (Math.max(width, height) > mostPx)
      return no(`the picture is larger than ${mostPx} pixels a side; make it smaller`);
    return success({ width, height, grey: greyOf(new Uint8ClampedArray(data.buffer, data.byteOffset, data.length)) });
  } catch (error) {
    const isLarge = error instanceof Error && /limit exceeded/i.test(error.message);
    return no(
      isLarge
        ? `the picture is larger than ${mostPx} pixels a side; make it smaller`
        : 'this picture is broken; save it as JPEG once more',
    );
  }
};
