import os from 'node:os';

/** Lets other threads go first: where priorities are each thread’s own, as on Linux, this is for the calling one alone. */
export const stepBack = (by: number): void => {
  if (process.platform !== 'linux') return;
  try {
    os.setPriority(by);
  } catch {
    // Not allowed here: all go alike.
  }
};
