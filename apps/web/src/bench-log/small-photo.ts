const longestSidePx = 1600;
const quality = 0.85;

/** A photograph made small enough to be sent and kept (JPEG, at most 1600 pixels a side); null where the browser cannot read it. */
export const smallPhoto = async (file: Blob): Promise<Blob | null> => {
  try {
    const image = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const scale = Math.min(1, longestSidePx / Math.max(image.width, image.height));
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [Math.round(image.width * scale), Math.round(image.height * scale)];
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    image.close();
    return await new Promise((resolve) => canvas.toBlob(resolve, 'image/jpeg', quality));
  } catch {
    return null;
  }
};
