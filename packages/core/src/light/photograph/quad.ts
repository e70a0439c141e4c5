/** A place in a picture (px from its upper left corner). */
export type PicturePoint = readonly [x: number, y: number];

/** Corners of a rectangle as a picture shows it: upper left, upper right, lower right, lower left. */
export type Corners = readonly [PicturePoint, PicturePoint, PicturePoint, PicturePoint];

/** A projective map of places of a plane to those of a picture, row by row; the last number is 1. */
export type PlaneMatrix = readonly [number, number, number, number, number, number, number, number, number];

/**
 * The projective map of the unit square to four points (Heckbert, Fundamentals of Texture Mapping, 1989, 2.2.3): (0, 0) is
 * the upper left corner, (1, 1) the lower right.
 */
export const quadMatrix = ([a, b, c, d]: Corners): PlaneMatrix => {
  const [dx1, dx2, sx] = [b[0] - c[0], d[0] - c[0], a[0] - b[0] + c[0] - d[0]];
  const [dy1, dy2, sy] = [b[1] - c[1], d[1] - c[1], a[1] - b[1] + c[1] - d[1]];
  const area = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / area;
  const h = (dx1 * sy - sx * dy1) / area;
  const [xu, xv] = [b[0] - a[0] + g * b[0], d[0] - a[0] + h * d[0]];
  const [yu, yv] = [b[1] - a[1] + g * b[1], d[1] - a[1] + h * d[1]];
  return [xu, xv, a[0], yu, yv, a[1], g, h, 1];
};

/** Where places of a flat rectangle lie in a picture of it: (0, 0) is its upper left corner, (1, 1) its lower right. */
export const quadMap = (corners: Corners): ((u: number, v: number) => PicturePoint) => {
  const [xu, xv, x, yu, yv, y, g, h] = quadMatrix(corners);
  return (u, v) => {
    const w = g * u + h * v + 1;
    return [(xu * u + xv * v + x) / w, (yu * u + yv * v + y) / w];
  };
};

/**
 * The other way: which place of the rectangle is seen at a place of the picture; null where what is seen there lies behind
 * whoever took it, beyond the plane’s horizon.
 */
export const quadPlace = (corners: Corners): ((x: number, y: number) => PicturePoint | null) => {
  const [a, b, c, d, e, f, g, h, i] = quadMatrix(corners);
  const determinant = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  return (x, y) => {
    const w = ((d * h - e * g) * x + (b * g - a * h) * y + (a * e - b * d)) / determinant;
    if (w <= 0) return null;
    const u = ((e * i - f * h) * x + (c * h - b * i) * y + (b * f - c * e)) / determinant;
    const v = ((f * g - d * i) * x + (a * i - c * g) * y + (c * d - a * f)) / determinant;
    return [u / w, v / w];
  };
};

/** Focal length over the longer side of a picture: of phones, and beyond what any camera has. */
const usualFocal = 0.75;
const focalRange = [0.35, 6] as const;
/** Below this the sides do not run together enough to tell the focal length from. */
const leastPull = 0.02;

/**
 * Width over height of a rectangle by its four corners in a picture so large (px), not cut to a part: what makes its sides
 * stand square (Zhang and He, Whiteboard scanning and image enhancement, 2007, 3.2). Where the sides hardly run together
 * the focal length is taken as a phone’s.
 */
export const aspectOf = (corners: Corners, width: number, height: number): number => {
  const [a, b, , d, e, , g, h] = quadMatrix(corners);
  const long = Math.max(width, height);
  const [u, v] = [
    [(a - (g * width) / 2) / long, (d - (g * height) / 2) / long, g],
    [(b - (h * width) / 2) / long, (e - (h * height) / 2) / long, h],
  ] as const;
  const squared = -(u[0] * v[0] + u[1] * v[1]) / (g * h);
  const told =
    Math.min(Math.abs(g), Math.abs(h)) > leastPull && squared > focalRange[0] ** 2 && squared < focalRange[1] ** 2;
  const focal2 = told ? squared : usualFocal ** 2;
  const length = ([x, y, z]: readonly [number, number, number]): number => Math.sqrt((x * x + y * y) / focal2 + z * z);
  return length(u) / length(v);
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
