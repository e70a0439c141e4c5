import type { Ambient, Picture, PicturedSign } from '@vitrum/core';

/** A picture of a whole sign that is wanted. */
export interface PictureRequest {
  readonly id: number;
  readonly sign: PicturedSign;
  readonly ambient: Ambient;
  readonly widthPx: number;
  readonly lit: boolean;
}

export interface PictureReply {
  readonly id: number;
  readonly picture: Picture;
}
