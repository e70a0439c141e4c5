export type { SessionReply, SessionRequest } from './protocol.js';
export { createSession, type SessionHost } from './session.js';
