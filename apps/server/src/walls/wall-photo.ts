import { imageSize } from 'image-size';

/** From so many pixels a side to what fills a screen; of a larger picture the work would grow, not what is seen. */
export const wallPhotoSides = [100, 1280] as const;

/** How large a photograph of a wall is (PNG); null for what is none, or of another size. */
export const sizeOfWallPhoto = (photo: Uint8Array): { readonly width: number; readonly height: number } | null => {
  try {
    const { type, width, height } = imageSize(photo);
    const fits = Math.max(width, height) <= wallPhotoSides[1] && Math.min(width, height) >= wallPhotoSides[0];
    return type === 'png' && fits ? { width, height } : null;
  } catch {
    // What cannot be read is no picture.
    return null;
  }
};
