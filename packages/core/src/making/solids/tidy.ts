import { offset, unite, type Outline, type Ring } from '../../base/outlines/index.js';

/** Whole micrometres, as the clipper gives them: exact to compare. */
const unitsPerMm = 1000;
/** Gaps and bridges narrower than twice this are closed or opened: less than any nozzle lays (mm). */
const pinchMm = 0.03;

/** A ring without the corners that lie on a straight line. */
const withoutStraight = (ring: Ring): Ring => {
  const whole = (value: number): number => Math.round(value * unitsPerMm);
  const kept = ring.filter(([x, y], at) => {
    const [px, py] = ring[(at + ring.length - 1) % ring.length]!;
    const [qx, qy] = ring[(at + 1) % ring.length]!;
    return (whole(x) - whole(px)) * (whole(qy) - whole(y)) !== (whole(y) - whole(py)) * (whole(qx) - whole(x));
  });
  return kept.length === ring.length ? ring : withoutStraight(kept);
};

const rings = (outline: Outline): Outline =>
  unite(outline)
    .map(withoutStraight)
    .filter((ring) => ring.length > 2);

/** An outline fit to be a solid: parts that touch in a point are joined, and no corner lies on a straight line. */
export const joined = (outline: Outline): Outline => rings(offset(offset(outline, pinchMm), -pinchMm));

/** An outline fit to be a pocket: parts that touch in a point are parted, slivers dropped. */
export const parted = (outline: Outline): Outline => rings(offset(offset(outline, -pinchMm), pinchMm));
