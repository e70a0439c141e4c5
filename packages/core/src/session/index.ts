export type { SessionReply, SessionRequest } from './protocol.js';
export { createSession, type SessionHost } from './session.js';
export { createFaultSession, type FaultReply, type FaultRequest, type TestBoardDrawing } from './fault-session.js';
