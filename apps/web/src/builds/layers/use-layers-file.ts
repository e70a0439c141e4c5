import { usualIntake, type TakenLayers } from '@vitrum/core';
import { useTakenFile } from '../../intake/use-taken-file';

/** Layers of a file that is being read, and what came of it. */
export const useLayersFile = (tones: number, take: (taken: TakenLayers, name: string) => string | null) =>
  useTakenFile(
    (file) => ({ kind: 'take-layers', file, options: { ...usualIntake, tones } }),
    (reply, name) =>
      reply.kind === 'layers-taken'
        ? { problem: take(reply.taken, name), told: [...reply.taken.notes, ...reply.taken.changes] }
        : null,
  );
