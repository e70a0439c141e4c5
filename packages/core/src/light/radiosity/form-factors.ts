/** Sums G over the corners of two strips of cells, `d` cells apart along one axis: a second difference. */
const secondDifference = [-1, 2, -1] as const;

/** Corner function of two parallel rectangles (J. Howell, A Catalog of Radiation Heat Transfer Configuration Factors, C-13). */
const parallelCorner = (u: number, v: number, distance: number): number => {
  const [u2, v2, d2] = [u * u, v * v, distance * distance];
  const [ru, rv] = [Math.sqrt(u2 + d2), Math.sqrt(v2 + d2)];
  return (v * ru * Math.atan(v / ru) + u * rv * Math.atan(u / rv) - (d2 / 2) * Math.log(u2 + v2 + d2)) / (2 * Math.PI);
};

/**
 * Exchange areas (area × form factor, mm²) between equal cells a × b on two parallel planes `distance` apart, by how many
 * cells they are apart: `[db × aCount + da]`. Analytic; Howell C-13.
 */
export const parallelTable = (a: number, aCount: number, b: number, bCount: number, distance: number): Float64Array => {
  const corner = Float64Array.from({ length: (aCount + 1) * (bCount + 1) }, (_, index) =>
    parallelCorner((index % (aCount + 1)) * a, Math.floor(index / (aCount + 1)) * b, distance),
  );
  const at = (i: number, j: number): number => corner[Math.abs(j) * (aCount + 1) + Math.abs(i)]!;
  return Float64Array.from({ length: aCount * bCount }, (_, index) => {
    const [da, db] = [index % aCount, Math.floor(index / aCount)];
    let sum = 0;
    for (let p = -1; p <= 1; p += 1)
      for (let q = -1; q <= 1; q += 1) sum += secondDifference[p + 1]! * secondDifference[q + 1]! * at(da + p, db + q);
    return sum;
  });
};

/** Corner function of two rectangles at a right angle, `u` and `v` from their common edge, `w` apart along it (Howell C-15). */
const perpendicularCorner = (u: number, v: number, w: number): number => {
  const r2 = u * u + v * v;
  const w2 = w * w;
  if (r2 + w2 === 0) return 0;
  const r = Math.sqrt(r2);
  const turn = r === 0 ? 0 : w * r * Math.atan(w / r);
  return (turn - ((r2 - w2) / 4) * Math.log(r2 + w2)) / (2 * Math.PI);
};

/**
 * Exchange areas (mm²) between cells of two planes that meet at a right angle: one `u` cells from the edge, the other `v`
 * cells, `dw` cells apart along it: `[(dw × vCount + v) × uCount + u]`. Analytic; Howell C-15.
 */
export const perpendicularTable = (
  uStep: number,
  uCount: number,
  vStep: number,
  vCount: number,
  wStep: number,
  wCount: number,
): Float64Array => {
  const [us, vs] = [uCount + 1, vCount + 1];
  const corner = new Float64Array(us * vs * (wCount + 1));
  for (let w = 0, index = 0; w <= wCount; w += 1)
    for (let v = 0; v <= vCount; v += 1)
      for (let u = 0; u <= uCount; u += 1, index += 1)
        corner[index] = perpendicularCorner(u * uStep, v * vStep, w * wStep);
  const at = (u: number, v: number, w: number): number => corner[(Math.abs(w) * vs + v) * us + u]!;
  const table = new Float64Array(uCount * vCount * wCount);
  for (let w = 0, index = 0; w < wCount; w += 1)
    for (let v = 0; v < vCount; v += 1)
      for (let u = 0; u < uCount; u += 1, index += 1) {
        let sum = 0;
        for (let q = -1; q <= 1; q += 1)
          sum +=
            secondDifference[q + 1]! *
            (at(u, v, w + q) - at(u + 1, v, w + q) - at(u, v + 1, w + q) + at(u + 1, v + 1, w + q));
        table[index] = sum;
      }
  return table;
};
