import { sourcesFrom, type PointSources } from '../photometry/index.js';

/**
 * Neighbours on a strip taken together at their centre of light, as many as lie within `mm` of each other and look the same
 * way: places farther off than that see no difference.
 */
export const together = (sources: PointSources, mm: number): PointSources => {
  const { x, y, z, nx, ny, nz, ux, uy, uz, fluxLm, count } = sources;
  const rows: number[][] = [];
  for (let first = 0; first < count;) {
    let [flux, cx, cy, cz] = [0, 0, 0, 0];
    let next = first;
    for (; next < count; next += 1) {
      const near = Math.hypot(x[next]! - x[first]!, y[next]! - y[first]!, z[next]! - z[first]!) < mm;
      const alike = nx[next]! * nx[first]! + ny[next]! * ny[first]! + nz[next]! * nz[first]! > 0.999;
      if (next > first && !(near && alike)) break;
      const own = fluxLm[next]!;
      flux += own;
      cx += own * x[next]!;
      cy += own * y[next]!;
      cz += own * z[next]!;
    }
    if (flux > 0)
      rows.push([
        cx / flux,
        cy / flux,
        cz / flux,
        nx[first]!,
        ny[first]!,
        nz[first]!,
        ux[first]!,
        uy[first]!,
        uz[first]!,
        flux,
      ]);
    first = next;
  }
  return sourcesFrom(rows, sources.distribution);
};
