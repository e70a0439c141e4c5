import { imageSize } from 'image-size';

const mostPhotoPx = 8000;
const photoTypes = { jpg: 'image/jpeg', png: 'image/png' } as const;

/** What a photograph is by its first bytes, whatever it was said to be; null where it is none, or larger than any screen. */
export const typeOfPhoto = (bytes: Uint8Array): 'image/jpeg' | 'image/png' | null => {
  try {
    const { type, width, height } = imageSize(bytes);
    return Math.max(width, height) > mostPhotoPx ? null : (photoTypes[type as keyof typeof photoTypes] ?? null);
  } catch {
    return null;
  }
};
