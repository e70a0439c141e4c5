import type { Step } from '@vitrum/core';

/** The step that is looked at: the one chosen, else the first that is not done, else the last. */
export const chosenStep = (steps: readonly Step[], built: readonly string[], chosen: string | null): number => {
  const at = steps.findIndex(({ id }) => id === chosen);
  if (at >= 0) return at;
  const next = steps.findIndex(({ id }) => !built.includes(id));
  return next >= 0 ? next : steps.length - 1;
};

const phaseNames: Readonly<Record<Step['phase'], string>> = {
  prepare: 'Prepare',
  cut: 'Cut',
  finish: 'Finish',
  wire: 'Wire',
  assemble: 'Assemble',
  prove: 'Prove',
  hang: 'Hang',
};

/** What goes on in a step, in a word. */
export const phaseName = ({ phase }: Pick<Step, 'phase'>): string => phaseNames[phase];

/** Minutes of work as they are said. */
export const duration = (minutes: number): string =>
  minutes >= 60 ? `${Math.round(minutes / 6) / 10} h` : `${Math.round(minutes)} min`;
