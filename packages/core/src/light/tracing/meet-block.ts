import { VX } from './flight.js';
import type { Scene } from './types.js';

/**
 * The axis across the side of the block that a photon meets before `times[0]`, or −1. Mutates `times`, to when it does.
 * By slabs: it is inside while it is inside of all three.
 */
export const meetBlock = (block: Scene['block'], photon: Float64Array, times: Float64Array): number => {
  if (block === null) return -1;
  let enter = 0;
  let leave = times[0]!;
  let axis = -1;
  for (let each = 0; each < 3; each += 1) {
    const [d, o] = [photon[VX + each]!, photon[each]!];
    const low = each === 0 ? block.x0 : each === 1 ? block.y0 : -1;
    const high = each === 0 ? block.x1 : each === 1 ? block.y1 : block.heightMm;
    if (d === 0) {
      if (o <= low || o >= high) return -1;
      continue;
    }
    const near = ((d > 0 ? low : high) - o) / d;
    if (near > enter) {
      enter = near;
      axis = each;
    }
    leave = Math.min(leave, ((d > 0 ? high : low) - o) / d);
  }
  if (axis < 0 || enter >= leave) return -1;
  times[0] = enter;
  return axis;
};
