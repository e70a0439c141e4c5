import type { Learned } from './learned.js';

/** One job may have been an odd one. */
const leastCount = 2;

/** Whether what was learned says something else than what is reckoned with now, and surely enough to be offered. */
export const isOffered = ({ low, high, count }: Learned, now: number): boolean =>
  count >= leastCount && (now < low || now > high);
