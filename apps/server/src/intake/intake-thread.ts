import { workerData } from 'piscina';
import { stepBack } from '../common/step-back.js';
import { takeRequest, type WireKind } from './wire-requests.js';

/** What all threads of a lane are given. */
export interface LaneData {
  /** How far they let others go first. */
  readonly stepsBack: number;
}

stepBack((workerData as LaneData).stepsBack);

/** What the thread is given. */
export interface IntakeTask {
  readonly kind: WireKind;
  readonly bytes: Uint8Array;
}

/** Runs in a thread of the pool. */
export default ({ kind, bytes }: IntakeTask): ReturnType<typeof takeRequest> => takeRequest(kind, bytes);
