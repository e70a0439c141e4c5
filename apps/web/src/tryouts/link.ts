import { workers } from '../workers/clients';
import { connectTryouts, type TryoutsLink } from './connect-tryouts';
import type { Memory } from './server-run';

/** Touched when it is used, not when the page loads. */
const browserMemory: Memory = {
  getItem: (key) => localStorage.getItem(key),
  setItem: (key, value) => localStorage.setItem(key, value),
  removeItem: (key) => localStorage.removeItem(key),
};

/** The page’s one try-outs thread, apart from the one that lights the open design. */
export const tryoutsLink: TryoutsLink = connectTryouts(workers.tryOuts, browserMemory);
