import { renderSign } from '@vitrum/core';
import type { PictureReply, PictureRequest } from './picture-protocol';

self.onmessage = ({ data }: MessageEvent<PictureRequest>): void => {
  const { id, sign, ambient, widthPx, lit } = data;
  const reply: PictureReply = { id, picture: renderSign(sign, ambient, widthPx, { lit }) };
  self.postMessage(reply, { transfer: [reply.picture.data.buffer] });
};
