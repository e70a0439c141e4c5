import type { Circuit } from '../circuit/index.js';
import type { Jumper } from '../light-runs/index.js';
import { lengthInside, ringsNear, type Outline } from '../outlines/index.js';

/** The wires of a circuit as they lie in letters, straight from end to end, and how much of each no letter hides. */
export const jumpersOf = ({ wires }: Circuit, outline: Outline): readonly Jumper[] => {
  const near = ringsNear(outline);
  return wires.map(({ from, to, at: [[ax, ay], [bx, by]], lengthMm }): Jumper => {
    const [begins, ends] = [
      [ax, ay],
      [bx, by],
    ] as const;
    const straight = Math.hypot(ax - bx, ay - by);
    return {
      from,
      to,
      at: [begins, ends],
      lengthMm,
      openMm: Math.max(0, straight - lengthInside(begins, ends, near(begins, ends))),
    };
  });
};
