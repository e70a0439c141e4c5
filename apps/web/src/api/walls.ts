import type { WallView } from '@vitrum/contract';
import type { WallLight, WallSetup } from '@vitrum/core';
import { request } from './client';

export const getWall = async (jobId: string): Promise<WallView | null> =>
  (await request<{ readonly wall: WallView | null }>(`/walls/${jobId}`)).wall;

export const sendWallPhoto = (jobId: string, photo: Blob): Promise<void> =>
  request(`/walls/${jobId}/photo`, { method: 'PUT', body: photo, headers: { 'content-type': 'image/png' } });

export const placeOnWall = (jobId: string, setup: WallSetup): Promise<WallView> =>
  request(`/walls/${jobId}/setup`, { method: 'PUT', body: JSON.stringify(setup) });

export const removeWall = (jobId: string): Promise<void> => request(`/walls/${jobId}`, { method: 'DELETE' });

/** Where the photograph of a job’s wall lies, as of a change of it. */
export const wallPhotoAddress = (jobId: string, changedAt: string): string =>
  `/api/walls/${jobId}/photo?of=${encodeURIComponent(changedAt)}`;

/** Where the sign is seen on its wall, as of a change of either. */
export const wallPicture = (jobId: string, by: WallLight, changedAt: string, revision: number): string =>
  `/api/walls/${jobId}/picture?by=${by}&of=${encodeURIComponent(changedAt)}-${revision}`;
