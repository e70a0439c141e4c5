import { millionth } from '../../base/maths/index.js';
import type { Transfer } from '../../base/raster/index.js';
import { xK1 } from './bessel.js';
import type { FaceStack, Layer } from './types.js';

/** One way in which light may have been scattered on its way, with its share. */
interface Lobe {
  readonly share: number;
  readonly sigmaRad: number;
}

/** What a viewer on the normal sees of light that comes straight from an LED. */
export interface StackView {
  /** The plane where the light is judged, behind the inner side of the front sheet (mm). */
  readonly planeBehindMm: number;
  /** Luminance for each lux on that plane, by the square of the cosine of incidence (cd/m² per lx). */
  readonly towardNormal: (cosSquared: number) => number;
  /** The same from every side: τ/π. */
  readonly lambertian: boolean;
  /** Share that passes without scatter: the LED itself is seen through the face. */
  readonly imageShare: number;
  /** The narrowest lobe (rad); π/2 when the plane scatters every way. It says how fine the map must be. */
  readonly narrowestRad: number;
  /** What the map is blurred by after that plane; null when by nothing. */
  readonly blur: { readonly transfer: Transfer; readonly reachMm: number } | null;
}

const integrationSteps = 400;

/** ∫ g(θ) cos θ dΩ over the half space for g = exp(−θ²/2σ²); π in the limit of a wide lobe. */
export const lobeNorm = (sigmaRad: number): number => {
  const step = Math.PI / 2 / integrationSteps;
  let sum = 0;
  for (let index = 0; index < integrationSteps; index += 1) {
    const angle = (index + 0.5) * step;
    sum += Math.exp(-(angle * angle) / (2 * sigmaRad * sigmaRad)) * Math.sin(angle) * Math.cos(angle);
  }
  return 2 * Math.PI * sum * step;
};

/**
 * Every way light may take through layers that scatter in lobes: each layer scatters its hazy share and lets the rest
 * pass straight. `widthMm` says how far a layer’s scatter moves light aside on the plane; widths add in quadrature.
 */
const waysThrough = (
  layers: readonly Layer[],
  widthMm: (layer: Layer, sigmaRad: number) => number,
): readonly { readonly share: number; readonly widthMm: number }[] =>
  layers.reduce<readonly { readonly share: number; readonly widthMm: number }[]>(
    (ways, layer) => {
      if (layer.scatter.kind === 'lambertian') return ways;
      const { hazeShare, sigmaDeg } = layer.scatter;
      const own = widthMm(layer, (sigmaDeg * Math.PI) / 180);
      return ways.flatMap((way) => [
        { share: way.share * hazeShare, widthMm: Math.hypot(way.widthMm, own) },
        { share: way.share * (1 - hazeShare), widthMm: way.widthMm },
      ]);
    },
    [{ share: 1, widthMm: 0 }],
  );

const leastShare = millionth;

/** No layer scatters every way: the LEDs are seen through lobes, each layer’s weighted by its distance from them. */
const throughLobes = ({ layers, transmittance }: FaceStack, throwMm: number): StackView => {
  const ways = waysThrough(layers, (layer, sigmaRad) => Math.max(0, throwMm - layer.behindMm) * sigmaRad);
  const lobes = ways
    .filter(({ share, widthMm }) => share > leastShare && widthMm > 0)
    .map(({ share, widthMm }): Lobe => ({ share, sigmaRad: widthMm / throwMm }));
  const peaks = lobes.map(({ share, sigmaRad }) => (transmittance * share) / lobeNorm(sigmaRad));
  return {
    planeBehindMm: 0,
    towardNormal: (cosSquared) => {
      const angle = Math.acos(Math.min(1, Math.sqrt(cosSquared)));
      return lobes.reduce(
        (sum, { sigmaRad }, at) => sum + peaks[at]! * Math.exp(-(angle * angle) / (2 * sigmaRad ** 2)),
        0,
      );
    },
    lambertian: false,
    imageShare: transmittance * ways.reduce((sum, { share, widthMm }) => sum + (widthMm === 0 ? share : 0), 0),
    narrowestRad: lobes.reduce((least, { sigmaRad }) => Math.min(least, sigmaRad), Math.PI / 2),
    blur: null,
  };
};

/** Reach of a blur, in widths of its Gaussian or gaps of its spreading. */
const reachWidths = 4;

/**
 * The first layer that scatters every way hides where light came from; what stands behind or before it only blurs its
 * picture: a lobe at a gap g by g·σ, a second layer that scatters every way by the kernel g²/π(r²+g²)², which lets
 * through 2πfg K₁(2πfg).
 */
const throughScatterer = (stack: FaceStack, first: number): StackView => {
  const { layers, transmittance } = stack;
  const screen = layers[first]!;
  const lobes = layers.filter(({ scatter }) => scatter.kind === 'lobe');
  const ways = waysThrough(lobes, (layer, sigmaRad) => Math.abs(layer.behindMm - screen.behindMm) * sigmaRad);
  const screens = layers.slice(first).filter(({ scatter }) => scatter.kind === 'lambertian');
  const gaps = screens
    .slice(1)
    .map((layer, at) => screens[at]!.behindMm - layer.behindMm)
    .filter((gap) => gap > 0);
  const widest = ways.reduce((most, { widthMm }) => Math.max(most, widthMm), 0);
  const transfer: Transfer = (f) =>
    ways.reduce((sum, { share, widthMm }) => sum + share * Math.exp(-2 * (Math.PI * f * widthMm) ** 2), 0) *
    gaps.reduce((product, gap) => product * xK1(2 * Math.PI * f * gap), 1);
  return {
    planeBehindMm: screen.behindMm,
    towardNormal: () => transmittance / Math.PI,
    lambertian: true,
    imageShare: 0,
    narrowestRad: Math.PI / 2,
    blur:
      widest === 0 && gaps.length === 0
        ? null
        : { transfer, reachMm: reachWidths * (widest + gaps.reduce((sum, gap) => sum + gap, 0)) },
  };
};

/** How a stack shows LEDs that stand `throwMm` behind the inner side of the front sheet, to a viewer on the normal. */
export const viewThrough = (stack: FaceStack, throwMm: number): StackView => {
  const first = stack.layers.findIndex(({ scatter }) => scatter.kind === 'lambertian');
  return first < 0 ? throughLobes(stack, throwMm) : throughScatterer(stack, first);
};
