import type { CaseGeometry } from '../../light/geometry/index.js';

/** Share of the back that still sheds heat when it hangs close to a wall. */
const backShare = 0.5;

/** Surface that sheds heat to the room (m²). */
export const sheddingArea = ({ outside }: CaseGeometry): number => {
  const { widthMm: w, heightMm: h, depthMm: d } = outside;
  return (w * h * (1 + backShare) + 2 * d * (w + h)) / 1e6;
};
