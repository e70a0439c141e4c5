import type { SweepPointView, SweepView } from '@vitrum/contract';
import type { TryPoint } from '@vitrum/core';
import type { sweeps } from '../database/schema.js';

type SweepRow = Pick<typeof sweeps.$inferSelect, 'id' | 'status' | 'done' | 'total' | 'error'>;

/** A sweep as the page sees it. */
export const sweepView = ({ id, status, done, total, error }: SweepRow): SweepView => ({
  id,
  status,
  done,
  total,
  error,
});

/** A point as it is stored and sent: its picture as base64. */
export const pointView = ({ picture, ...point }: TryPoint): SweepPointView => ({
  ...point,
  picture: {
    width: picture.width,
    height: picture.height,
    base64: Buffer.from(picture.data.buffer, picture.data.byteOffset, picture.data.byteLength).toString('base64'),
  },
});
