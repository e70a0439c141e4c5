export { cornerFasteners, glueRoomMm, leastPluggedMm, mitreSlotShare } from './fasteners.js';
export { frameMembers, memberMm3, type FrameAsked } from './frame.js';
export { cornerJoints, type JointMake } from './joints.js';
export { endRabbetOf, frameSide, insideOf, panelOf, seatStop, type FrameSide } from './lengths.js';
export type { CornerJoint, Fastener, Member, Plug, Seat } from './types.js';
