/** Corners that a polygon may have here, at the most. */
export const mostCorners = 64;

/** Room for a polygon and what is cut off it: an array for each would cost as much as the sums. */
const before = new Float64Array(3 * mostCorners);
const after = new Float64Array(3 * 2 * mostCorners);

/** Cuts the corners of `before` that lie behind the plane of a small area; how many are left. Mutates `after`. */
const cutToFront = (nx: number, ny: number, nz: number, corners: number): number => {
  let count = 0;
  for (let corner = 0; corner < corners; corner += 1) {
    const a = 3 * corner;
    const b = corner + 1 === corners ? 0 : a + 3;
    const here = before[a]! * nx + before[a + 1]! * ny + before[a + 2]! * nz;
    const next = before[b]! * nx + before[b + 1]! * ny + before[b + 2]! * nz;
    if (here >= 0) {
      after[3 * count] = before[a]!;
      after[3 * count + 1] = before[a + 1]!;
      after[3 * count + 2] = before[a + 2]!;
      count += 1;
    }
    if (here < 0 === next < 0) continue;
    const t = here / (here - next);
    after[3 * count] = before[a]! + t * (before[b]! - before[a]!);
    after[3 * count + 1] = before[a + 1]! + t * (before[b + 1]! - before[a + 1]!);
    after[3 * count + 2] = before[a + 2]! + t * (before[b + 2]! - before[a + 2]!);
    count += 1;
  }
  return count;
};

/**
 * Share of the light of a small Lambertian area that a flat polygon takes, what of it lies behind the area left out:
 * the sum over its edges of the angle that each fills, by the normal of the plane that it fills it in (J. H. Lambert; Howell B-8).
 * `corners` holds x, y, z of each, so many from the corner `at` on, in order round it.
 */
export const seenPolygon = (
  x: number,
  y: number,
  z: number,
  nx: number,
  ny: number,
  nz: number,
  corners: Float64Array,
  at: number,
  many: number,
): number => {
  for (let corner = 0; corner < 3 * many; corner += 3) {
    before[corner] = corners[3 * at + corner]! - x;
    before[corner + 1] = corners[3 * at + corner + 1]! - y;
    before[corner + 2] = corners[3 * at + corner + 2]! - z;
  }
  const count = cutToFront(nx, ny, nz, many);
  if (count < 3) return 0;
  let sum = 0;
  let a = 3 * (count - 1);
  for (let b = 0; b < 3 * count; b += 3) {
    const [ax, ay, az, bx, by, bz] = [after[a]!, after[a + 1]!, after[a + 2]!, after[b]!, after[b + 1]!, after[b + 2]!];
    const [cx, cy, cz] = [ay * bz - az * by, az * bx - ax * bz, ax * by - ay * bx];
    const length = Math.sqrt(cx * cx + cy * cy + cz * cz);
    if (length > 1e-12)
      sum += (Math.atan2(length, ax * bx + ay * by + az * bz) / length) * (cx * nx + cy * ny + cz * nz);
    a = b;
  }
  return Math.abs(sum) / (2 * Math.PI);
};
