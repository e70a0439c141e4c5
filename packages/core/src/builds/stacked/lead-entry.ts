import { measureLine, outlineBounds, type Point } from '../../base/outlines/index.js';
import type { Brief } from '../../document/design/index.js';
import type { Point3 } from '../../light/runs/index.js';
import { outermost, type StackedGeometry } from './geometry.js';

/** Where the lead goes through the base, in from the wall (mm). */
const fromWallMm = 12;
/** A hole for the lead through the base, and how wide its slot in a ring is (mm). */
export const leadHoleMm = 8;

const ways: Readonly<Record<Brief['leadExit'], Point>> = {
  left: [-1, 0],
  right: [1, 0],
  top: [0, 1],
  bottom: [0, -1],
  back: [0, -1],
};

/** Where the lead comes into the room: at the wall on the side that is asked for; through the base near its lowest place. */
export const leadEntryOf = (exit: Brief['leadExit'], { inside }: StackedGeometry): Point3 => {
  const ring = outermost(inside)!;
  const line = measureLine(ring, true);
  const [wx, wy] = ways[exit];
  const { x, y, width, height } = outlineBounds([ring])!;
  const [mx, my] = [x + width / 2, y + height / 2];
  // Of what lies farthest that way, the place nearest to the middle of the side.
  let [best, score] = [line.station(0).at, -Infinity];
  for (let step = 0; step < 360; step += 1) {
    const { at } = line.station((step * line.lengthMm) / 360);
    const far = (at[0] - mx) * wx + (at[1] - my) * wy;
    const aside = Math.abs((at[0] - mx) * wy - (at[1] - my) * wx);
    if (far - aside > score) [best, score] = [at, far - aside];
  }
  const inward = exit === 'back' ? fromWallMm : 1;
  return [best[0] - inward * wx, best[1] - inward * wy, exit === 'back' ? 0 : leadHoleMm / 2];
};

/** The slot in the lowest ring that the lead leaves by, from the room to the outside; none where it goes through the base. */
export const leadSlot = (exit: Brief['leadExit'], [x, y]: Point3, wallMm: number): readonly Point[] | null => {
  if (exit === 'back') return null;
  const [wx, wy] = ways[exit];
  const half = leadHoleMm / 2;
  const corner = (along: number, aside: number): Point => [x + along * wx - aside * wy, y + along * wy + aside * wx];
  const far = 3 * wallMm + 4;
  return [corner(-4, -half), corner(far, -half), corner(far, half), corner(-4, half)];
};
