import { directionSampler } from '../photometry/index.js';
import { VX, VY, VZ, WEIGHT, X, Y, Z, type Flight } from './flight.js';
import type { Scene } from './types.js';

/** Starts photons at LEDs, each as often as its flux wants, in a direction by its distribution. Mutates the flight. */
export const ledStarter = ({ lights }: Pick<Scene, 'lights'>): ((flight: Flight) => void) => {
  const sample = directionSampler(lights.distribution);
  const summed = new Float64Array(lights.count + 1);
  lights.fluxLm.forEach((flux, led) => (summed[led + 1] = summed[led]! + flux));
  const emittedLm = summed[lights.count]!;

  const pickLed = (share: number): number => {
    const wanted = share * emittedLm;
    let [low, high] = [0, lights.count];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (summed[middle]! <= wanted) low = middle;
      else high = middle;
    }
    return low;
  };

  return ({ photon, random }) => {
    const led = pickLed(random());
    const { ahead, azimuthRad } = sample(random(), random());
    const [nx, ny, nz] = [lights.nx[led]!, lights.ny[led]!, lights.nz[led]!];
    const [ux, uy, uz] = [lights.ux[led]!, lights.uy[led]!, lights.uz[led]!];
    const aside = Math.sqrt(Math.max(0, 1 - ahead * ahead));
    const [across, up] = [aside * Math.cos(azimuthRad), aside * Math.sin(azimuthRad)];
    photon[X] = lights.x[led]!;
    photon[Y] = lights.y[led]!;
    photon[Z] = lights.z[led]!;
    photon[VX] = nx * ahead + ux * across + (ny * uz - nz * uy) * up;
    photon[VY] = ny * ahead + uy * across + (nz * ux - nx * uz) * up;
    photon[VZ] = nz * ahead + uz * across + (nx * uy - ny * ux) * up;
    photon[WEIGHT] = 1;
  };
};
