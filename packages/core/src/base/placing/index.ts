import type { Outline, Point, Rect } from '../outlines/index.js';

/** A point in space (mm). */
type Point3 = readonly [number, number, number];

/** Where something stands: turned anticlockwise about its middle, then moved (mm). */
export interface Placing {
  readonly xMm: number;
  readonly yMm: number;
  readonly zMm: number;
  readonly turnRad: number;
}

/** In the middle, not turned. */
export const inPlace: Placing = { xMm: 0, yMm: 0, zMm: 0, turnRad: 0 };

const isInPlace = ({ xMm, yMm, zMm, turnRad }: Placing): boolean =>
  xMm === 0 && yMm === 0 && zMm === 0 && turnRad === 0;

/** A point of the thing itself, where it stands. */
export const placed = ({ xMm, yMm, turnRad }: Placing, [x, y]: Point): Point => {
  const [cos, sin] = [Math.cos(turnRad), Math.sin(turnRad)];
  return [xMm + x * cos - y * sin, yMm + x * sin + y * cos];
};

/** The same in space. What stands in the middle keeps its identity. */
export const placed3 = (placing: Placing, point: Point3): Point3 => {
  if (isInPlace(placing)) return point;
  const [x, y] = placed(placing, [point[0], point[1]]);
  return [x, y, point[2] + placing.zMm];
};

/** A point of the whole, as the thing itself has it. */
export const unplaced = ({ xMm, yMm, turnRad }: Placing, [x, y]: Point): Point => {
  const [cos, sin, dx, dy] = [Math.cos(turnRad), Math.sin(turnRad), x - xMm, y - yMm];
  return [dx * cos + dy * sin, dy * cos - dx * sin];
};

/** `unplaced` for many points: writes the point into an array. */
export const unplacing = ({ xMm, yMm, turnRad }: Placing): ((x: number, y: number, into: Float64Array) => void) => {
  const [cos, sin] = [Math.cos(turnRad), Math.sin(turnRad)];
  return (x, y, into) => {
    const dx = x - xMm;
    const dy = y - yMm;
    into[0] = dx * cos + dy * sin;
    into[1] = dy * cos - dx * sin;
  };
};

/** The same in space. */
export const unplaced3 = (placing: Placing, point: Point3): Point3 => {
  if (isInPlace(placing)) return point;
  const [x, y] = unplaced(placing, [point[0], point[1]]);
  return [x, y, point[2] - placing.zMm];
};

/** Where something stands that stands on something that stands somewhere. */
export const placedOn = (below: Placing, own: Placing): Placing => {
  const [xMm, yMm] = placed(below, [own.xMm, own.yMm]);
  return { xMm, yMm, zMm: below.zMm + own.zMm, turnRad: below.turnRad + own.turnRad };
};

/** An outline where it stands. */
export const placedOutline = (placing: Placing, outline: Outline): Outline =>
  isInPlace(placing) ? outline : outline.map((ring) => ring.map((point) => placed(placing, point)));

/** The box round a box that is placed. */
export const placedRect = (placing: Placing, rect: Rect): Rect => {
  if (isInPlace(placing)) return rect;
  const { x, y, width, height } = rect;
  const corners = [
    [x, y],
    [x + width, y],
    [x + width, y + height],
    [x, y + height],
  ].map(([cx, cy]) => placed(placing, [cx!, cy!]));
  return boxRound(corners);
};

const boxRound = (points: readonly Point[]): Rect => {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
};

/** The box round boxes; nothing round none. */
export const rectRound = (rects: readonly Rect[]): Rect =>
  rects.length === 1
    ? rects[0]!
    : rects.length === 0
      ? { x: 0, y: 0, width: 0, height: 0 }
      : boxRound(
          rects.flatMap(({ x, y, width, height }): readonly Point[] => [
            [x, y],
            [x + width, y + height],
          ]),
        );
