import { mostPixels, type PictureDesign } from '@vitrum/core';
import { fromByteArray } from 'base64-js';

/** A side of a printed picture is kept at so many pixels at the most. */
export const longestKept = 400;
/** Larger files are no picture that anybody prints. */
export const mostPictureBytes = 60_000_000;

/** A picture as a design keeps it: three bytes a pixel, on white where it is see-through. */
export const pictureFrom = (
  name: string,
  { width, height, data }: Pick<ImageData, 'width' | 'height' | 'data'>,
): PictureDesign => {
  const rgb = new Uint8Array(3 * width * height);
  for (let pixel = 0; pixel < width * height; pixel += 1) {
    const cover = data[4 * pixel + 3]! / 255;
    for (let part = 0; part < 3; part += 1)
      rgb[3 * pixel + part] = Math.round(data[4 * pixel + part]! * cover + 255 * (1 - cover));
  }
  return { name: name.slice(0, 160), columns: width, rows: height, rgb: fromByteArray(rgb) };
};

/** Why a picture cannot be printed; null where it can. */
export const pictureAmiss = ({ width, height }: { readonly width: number; readonly height: number }): string | null =>
  width < 2 || height < 2
    ? 'is too narrow to be printed: it has to be two pixels wide and high at least'
    : width * height > mostPixels
      ? 'has more pixels than a design keeps'
      : null;
