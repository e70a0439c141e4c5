import type { ComparedPhoto, Corners, Photo, PhotographedFace, Result } from '@vitrum/core';

/** A photograph to be laid beside what was computed. */
export interface PhotoRequest {
  readonly id: number;
  readonly kind: 'compare';
  readonly photo: Photo;
  readonly corners: Corners;
  readonly face: PhotographedFace;
}

export interface PhotoReply {
  readonly id: number;
  readonly kind: 'compared';
  readonly result: Result<ComparedPhoto>;
}
