import type { FaceSheet } from '../catalogue/index.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { acos, cos, exp, min, sin, sqrt } = Math;

/** What of the light that comes in at an angle leaves along the normal, per lux (cd/m² per lx). */
export interface Diffuser {
  /** By the square of the cosine of the angle of incidence. */
  readonly towardNormal: (cosSquared: number) => number;
  /** True when it is the same for every angle. */
  readonly lambertian: boolean;
  /** Share passed without scatter: the LED itself is seen through the sheet. */
  readonly imageShare: number;
}

const integrationSteps = 400;

/** ∫ g(θ) cos θ dΩ over the half space for g = exp(−θ²/2σ²); π in the limit of a wide lobe. */
export const lobeNorm = (sigmaRad: number): number => {
  const step = Math.PI / 2 / integrationSteps;
  let sum = 0;
  for (let index = 0; index < integrationSteps; index += 1) {
    const angle = (index + 0.5) * step;
    sum += exp(-(angle * angle) / (2 * sigmaRad * sigmaRad)) * sin(angle) * cos(angle);
  }
  return 2 * Math.PI * sum * step;
};

/**
 * A face sheet as a scatterer. Lambertian sheets send τ/π of the illuminance to every side. Others send the hazy share in
 * a Gaussian lobe about the straight line (haze in the sense of ASTM D1003) and let the rest through as an image. The
 * lobe is taken as fixed in width for every angle of incidence, which holds to about 60°.
 */
export const diffuserOf = (face: FaceSheet): Diffuser => {
  const { scatter, transmittance } = face;
  if (scatter.kind === 'lambertian')
    return { towardNormal: () => transmittance / Math.PI, lambertian: true, imageShare: 0 };
  const sigma = scatter.sigmaDeg * (Math.PI / 180);
  const peak = (transmittance * scatter.hazeShare) / lobeNorm(sigma);
  return {
    towardNormal: (cosSquared) => {
      const angle = acos(min(1, sqrt(cosSquared)));
      return peak * exp(-(angle * angle) / (2 * sigma * sigma));
    },
    lambertian: false,
    imageShare: transmittance * (1 - scatter.hazeShare),
  };
};
