/** A place in a picture (px from its upper left corner). */
export type PicturePoint = readonly [x: number, y: number];

/** Corners of a rectangle as a picture shows it: upper left, upper right, lower right, lower left. */
export type Corners = readonly [PicturePoint, PicturePoint, PicturePoint, PicturePoint];

/**
 * Where places of a flat rectangle lie in a picture of it: (0, 0) is its upper left corner, (1, 1) its lower right. The
 * projective map of the unit square to four points (Heckbert, Fundamentals of Texture Mapping, 1989, 2.2.3).
 */
export const quadMap = ([a, b, c, d]: Corners): ((u: number, v: number) => PicturePoint) => {
  const [dx1, dx2, sx] = [b[0] - c[0], d[0] - c[0], a[0] - b[0] + c[0] - d[0]];
  const [dy1, dy2, sy] = [b[1] - c[1], d[1] - c[1], a[1] - b[1] + c[1] - d[1]];
  const area = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / area;
  const h = (dx1 * sy - sx * dy1) / area;
  const [xu, xv] = [b[0] - a[0] + g * b[0], d[0] - a[0] + h * d[0]];
  const [yu, yv] = [b[1] - a[1] + g * b[1], d[1] - a[1] + h * d[1]];
  return (u, v) => {
    const w = g * u + h * v + 1;
    return [(xu * u + xv * v + a[0]) / w, (yu * u + yv * v + a[1]) / w];
  };
};

const side = (p: PicturePoint, q: PicturePoint): number => Math.hypot(q[0] - p[0], q[1] - p[1]);

/** Lengths of the sides (px), from the upper one round by the right. */
export const sidesOf = (corners: Corners): readonly [number, number, number, number] => {
  const [a, b, c, d] = corners;
  return [side(a, b), side(b, c), side(c, d), side(d, a)];
};

/** Whether corners go round in their order with no corner pushed in: what a rectangle seen from anywhere in front does. */
export const isFaceOn = (corners: Corners): boolean =>
  corners.every((p, at) => {
    const q = corners[(at + 1) % 4]!;
    const r = corners[(at + 2) % 4]!;
    return (q[0] - p[0]) * (r[1] - q[1]) - (q[1] - p[1]) * (r[0] - q[0]) > 1;
  });
