import type { Brief } from '../../document/design/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { Point3 } from '../../light/runs/index.js';

/** Where the lead comes in, on the inner side of the case. */
export const leadEntry = (exit: Brief['leadExit'], { inside }: CaseGeometry): Point3 => {
  const [x, y] = [inside.widthMm / 2, inside.heightMm / 2];
  const places: Readonly<Record<Brief['leadExit'], Point3>> = {
    left: [-x, 0, 0],
    right: [x, 0, 0],
    top: [0, y, 0],
    bottom: [0, -y, 0],
    back: [0, 0, 0],
  };
  return places[exit];
};
