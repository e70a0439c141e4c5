import type { DrawingFile, IntakeOptions, SessionReply, SessionRequest, TakenDrawing } from '@vitrum/core';

/** The part of a worker that is used; tests bring a stand-in. */
export interface IntakeThread {
  postMessage: (request: SessionRequest) => void;
  onmessage: ((event: MessageEvent<SessionReply>) => void) | null;
}

/** What came of the newest options. */
export type Intake =
  { readonly drawing: TakenDrawing; readonly problem: null } | { readonly drawing: null; readonly problem: string };

/**
 * Asks for a drawing file to be taken in, again at every change of options: one is in flight, only the newest waits, and
 * nothing that is out of date is told.
 */
export const connectIntake = (thread: IntakeThread, tell: (intake: Intake) => void) => {
  let id = 0;
  let inFlight = false;
  let waiting: { readonly file: DrawingFile; readonly options: IntakeOptions } | null = null;
  const next = (): void => {
    inFlight = waiting !== null;
    if (waiting === null) return;
    id += 1;
    thread.postMessage({ kind: 'take', id, ...waiting });
    waiting = null;
  };
  thread.onmessage = ({ data }) => {
    if (data.id !== id) return;
    const outdated = waiting !== null;
    if (!outdated && data.kind === 'taken') tell({ drawing: data.drawing, problem: null });
    if (!outdated && data.kind === 'refused')
      tell({
        drawing: null,
        problem: data.problems.map(({ path, message }) => (path ? `${path}: ${message}` : message)).join('; '),
      });
    if (!outdated && data.kind === 'crashed') tell({ drawing: null, problem: data.message });
    next();
  };
  return (file: DrawingFile, options: IntakeOptions): void => {
    waiting = { file, options };
    if (!inFlight) next();
  };
};
