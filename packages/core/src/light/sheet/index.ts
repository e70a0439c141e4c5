export { edgeEntry, type EdgeEntry, type RayFan } from './entry.js';
export { evenWorking, type EvenAsked, type EvenWorking } from './even.js';
export { fanRipple, fansEvenFromMm, fansTouchMm } from './fans.js';
export { thrownBackAt } from './fresnel.js';
export { plainLoop } from './plain-loop.js';
export { traceSlab, type SlabTrace } from './slab-trace.js';
export { fullFollowing, previewFollowing, sheetLight, type Following } from './transport.js';
export {
  sheetSides,
  type ClearSheet,
  type EdgeFit,
  type EdgeLed,
  type SheetLight,
  type SheetSide,
  type SideFinish,
  type WorkedFaces,
} from './types.js';
export { wallsOf, type Wall } from './walls.js';
