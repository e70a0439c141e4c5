import { comparePhoto } from '@vitrum/core';
import type { PhotoReply, PhotoRequest } from './photo-protocol';

self.onmessage = ({ data: { id, photo, corners, face } }: MessageEvent<PhotoRequest>): void => {
  self.postMessage({ id, kind: 'compared', result: comparePhoto(photo, corners, face) } satisfies PhotoReply);
};
