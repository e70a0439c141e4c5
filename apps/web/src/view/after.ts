/** Runs work once, later; gives what calls it off. */
export const after = (ms: number, work: () => void): (() => void) => {
  const timer = setTimeout(work, ms);
  return () => clearTimeout(timer);
};
