import type { Photo } from '@vitrum/core';
import { drawnSmall } from '../bench-log/small-photo';

/** A photograph ready to be looked at: its pixels, and where to show it from. */
export interface ReadPhoto {
  readonly pixels: Photo;
  readonly file: Blob;
}

/** Reads a picture’s pixels; null where the browser cannot. */
export const readPhoto = async (file: Blob): Promise<ReadPhoto | null> => {
  const canvas = await drawnSmall(file);
  const context = canvas?.getContext('2d');
  if (!canvas || !context) return null;
  const { width, height } = canvas;
  const { data } = context.getImageData(0, 0, width, height);
  return { pixels: { width, height, data }, file };
};
