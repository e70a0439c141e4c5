import { storedDesignText } from '../jobs/stored-design.js';
import { takeRequest, type WireKind } from './wire-requests.js';

/** What the thread is given: the body of a request, or the text of a stored design. */
export type IntakeTask =
  { readonly kind: WireKind; readonly bytes: Uint8Array } | { readonly kind: 'stored'; readonly text: string };

/** Runs in a thread of the pool. */
export default (task: IntakeTask): ReturnType<typeof takeRequest> | string =>
  task.kind === 'stored' ? storedDesignText(task.text) : takeRequest(task.kind, task.bytes);
