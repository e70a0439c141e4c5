import { intensityAt, isRound } from './shape.js';
import type { PointSources } from './types.js';

const tableSteps = 1024;

/** Intensity per lumen of one source toward a vector of any length, `ahead` its cosine off the axis. */
export type IntensityOf = (led: number, ahead: number, dx: number, dy: number, dz: number) => number;

/** Intensities of sources (cd/lm), by a table where they are round, by azimuth as well where they are not. */
export const intensityOf = ({ distribution, nx, ny, nz, ux, uy, uz }: PointSources): IntensityOf => {
  if (isRound(distribution)) {
    const table = Float64Array.from({ length: tableSteps + 2 }, (_, at) =>
      intensityAt(distribution, Math.acos(Math.min(1, at / tableSteps))),
    );
    return (_led, ahead) => {
      const place = ahead * tableSteps;
      const at = place | 0;
      return table[at]! + (table[at + 1]! - table[at]!) * (place - at);
    };
  }
  return (led, ahead, dx, dy, dz) => {
    const [wx, wy, wz] = [
      ny[led]! * uz[led]! - nz[led]! * uy[led]!,
      nz[led]! * ux[led]! - nx[led]! * uz[led]!,
      nx[led]! * uy[led]! - ny[led]! * ux[led]!,
    ];
    const along = dx * ux[led]! + dy * uy[led]! + dz * uz[led]!;
    const across = dx * wx + dy * wy + dz * wz;
    return intensityAt(distribution, Math.acos(Math.min(1, ahead)), Math.atan2(across, along));
  };
};
