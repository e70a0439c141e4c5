import { outlineBounds, pointsOf, type Outline, type Point } from '../../base/outlines/index.js';

/** A drawing as a design keeps it: rings as x, y, x, y …. */
interface Drawing {
  readonly rings: readonly (readonly number[])[];
}

/** A drawn outline so wide, about its middle; none where no area is in the drawing. */
export const drawnOutline = (drawing: Drawing, widthMm: number): Outline => {
  const drawn = drawing.rings.map((numbers) => pointsOf(numbers));
  const { x, y, width, height } = outlineBounds(drawn) ?? { x: 0, y: 0, width: 0, height: 0 };
  if (!(width > 0 && height > 0)) return [];
  const scale = widthMm / width;
  return drawn.map((ring) =>
    ring.map(([px, py]): Point => [(px - x - width / 2) * scale, (py - y - height / 2) * scale]),
  );
};
