import type { JobStatus } from '@vitrum/core';

/** Jobs that want something of stock: what is only quoted is not bought for yet, what is proved has all that it takes. */
export const jobsAtHand: readonly JobStatus[] = ['designed', 'cutting', 'building'];
