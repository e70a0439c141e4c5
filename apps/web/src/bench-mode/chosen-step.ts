import type { Step } from '@vitrum/core';

/** The step that is looked at: the one chosen, else the first that is not done, else the last. */
export const chosenStep = (steps: readonly Step[], built: readonly string[], chosen: string | null): number => {
  const at = steps.findIndex(({ id }) => id === chosen);
  if (at >= 0) return at;
  const next = steps.findIndex(({ id }) => !built.includes(id));
  return next >= 0 ? next : steps.length - 1;
};
