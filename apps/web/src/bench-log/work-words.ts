import type { Step } from '@vitrum/core';

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
