export {
  cornerFasteners,
  glueRoomMm,
  insertDeepMm,
  insertMm,
  insertThroughMm,
  leastPluggedMm,
  mitreSlotShare,
} from './fasteners.js';
export { acrossCorners, frameMembers, lipName, memberMm3, opensWith, type FrameAsked, type WayOut } from './frame.js';
export { cornerJoints, type JointMake } from './joints.js';
export { endRabbetOf, frameSide, insideOf, panelOf, seatStop, type FrameSide } from './lengths.js';
export type { CornerJoint, Fastener, Member, Plug, Seat } from './types.js';
