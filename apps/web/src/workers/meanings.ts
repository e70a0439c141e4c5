import type { SessionReply } from '@vitrum/core';
import type { Meaning } from './protocol';

/** What the light’s replies mean for their questions. */
export const meaningOfLight = (reply: SessionReply): Meaning => {
  switch (reply.kind) {
    case 'fixes':
    case 'progress':
    case 'tried':
      return 'more';
    case 'compared':
    case 'tracing':
      return reply.done ? 'over' : 'more';
    default:
      return 'over';
  }
};

/** Every question about a circuit has one answer. */
export const meaningOfCircuit = (): Meaning => 'over';

/** A picture that is asked for comes once. */
export const meaningOfPicture = (): Meaning => 'over';

/** A plan, or what can be done about a late job, comes once. */
export const meaningOfPlan = (): Meaning => 'over';

/** A photograph is compared once. */
export const meaningOfPhoto = (): Meaning => 'over';

/** Why a question came to nothing, in one sentence, or null when it did not. */
export const refusalOf = (reply: SessionReply): string | null => {
  if (reply.kind === 'crashed') return reply.message;
  if (reply.kind !== 'refused') return null;
  return reply.problems.map(({ path, message }) => (path === '' ? message : `${path}: ${message}`)).join('; ');
};
