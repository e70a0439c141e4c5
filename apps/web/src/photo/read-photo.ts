import type { Photo } from '@vitrum/core';

/** Larger pictures say no more of a face. */
const longestSidePx = 1600;

/** A photograph ready to be looked at: its pixels, and where to show it from. */
export interface ReadPhoto {
  readonly pixels: Photo;
  readonly file: Blob;
}

/** Reads a picture’s pixels, made smaller where it is large; null where the browser cannot read it. */
export const readPhoto = async (file: Blob): Promise<ReadPhoto | null> => {
  try {
    const image = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const scale = Math.min(1, longestSidePx / Math.max(image.width, image.height));
    const [width, height] = [Math.round(image.width * scale), Math.round(image.height * scale)];
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [width, height];
    const context = canvas.getContext('2d', { willReadFrequently: true });
    if (context === null) return null;
    context.drawImage(image, 0, 0, width, height);
    image.close();
    const { data } = context.getImageData(0, 0, width, height);
    return { pixels: { width, height, data }, file };
  } catch {
    return null;
  }
};
