import { takeRequest, type WireKind } from './wire-requests.js';

/** What the thread is given. */
export interface IntakeTask {
  readonly kind: WireKind;
  readonly bytes: Uint8Array;
}

/** Runs in a thread of the pool. */
export default ({ kind, bytes }: IntakeTask): ReturnType<typeof takeRequest> => takeRequest(kind, bytes);
