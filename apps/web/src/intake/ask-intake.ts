import type { DrawingFile, IntakeOptions, TakenDrawing } from '@vitrum/core';
import type { LightClient } from '../workers/clients';
import { refusalOf } from '../workers/meanings';

/** What came of the newest options. */
export type Intake =
  { readonly drawing: TakenDrawing; readonly problem: null } | { readonly drawing: null; readonly problem: string };

/**
 * Asks for a drawing file to be taken in, again at every change of options: one is in flight, only the newest waits, and
 * nothing that is out of date is told.
 */
export const askIntake = (
  client: LightClient,
  file: DrawingFile,
  options: IntakeOptions,
  tell: (intake: Intake) => void,
): (() => void) =>
  client.ask({
    request: { kind: 'take', file, options },
    lane: 'drawing',
    hear: (reply) => {
      const problem = refusalOf(reply);
      if (reply.kind === 'taken') tell({ drawing: reply.drawing, problem: null });
      else if (problem !== null) tell({ drawing: null, problem });
    },
    fail: (problem) => tell({ drawing: null, problem }),
  });
