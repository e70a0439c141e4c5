import type { FaultReply, FaultRequest, SessionReply, SessionRequest } from '@vitrum/core';
import { meaningOfCircuit, meaningOfLight } from '../workers/meanings';
import { fakeThreads } from './fake-thread';

/** A thread of light that lasts, played by the test. */
export const fakeLight = () =>
  fakeThreads<SessionRequest, SessionReply>({
    meaningOf: meaningOfLight,
    callingOff: (id) => ({ kind: 'cancel', id }),
  });

/** One for a single piece of work. */
export const fakePassingLight = () =>
  fakeThreads<SessionRequest, SessionReply>({ meaningOf: meaningOfLight, callingOff: 'ending' });

/** A thread of a circuit, played by the test. */
export const fakeCircuit = () =>
  fakeThreads<FaultRequest, FaultReply>({ meaningOf: meaningOfCircuit, callingOff: 'silence' });
