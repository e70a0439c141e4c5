const longestSidePx = 1600;
const quality = 0.85;

/** A picture drawn small enough to be sent and looked at, at most so many pixels a side; null where the browser cannot read it. */
export const drawnSmall = async (file: Blob, mostPx = longestSidePx): Promise<HTMLCanvasElement | null> => {
  try {
    const image = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const scale = Math.min(1, mostPx / Math.max(image.width, image.height));
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [Math.round(image.width * scale), Math.round(image.height * scale)];
    canvas.getContext('2d', { willReadFrequently: true })?.drawImage(image, 0, 0, canvas.width, canvas.height);
    image.close();
    return canvas;
  } catch {
    return null;
  }
};

const asJpeg = (canvas: HTMLCanvasElement): Promise<Blob | null> =>
  new Promise((resolve) => canvas.toBlob(resolve, 'image/jpeg', quality));

/** A photograph small enough to be kept (JPEG); null where the browser cannot read it. */
export const smallPhoto = async (file: Blob): Promise<Blob | null> => {
  const canvas = await drawnSmall(file);
  return canvas === null ? null : asJpeg(canvas);
};
