import type { Paint } from '../../builds/index.js';
import type { LinearRgb } from '../../light/colour/index.js';
import { byteOf, gainOn, type Exposure, type Lit } from './exposure.js';

/** A surface of this reflectance under the ambient light, plus light of its own (cd/m²), as a CSS colour. */
export const surfaceColour = (reflectance: LinearRgb, exposure: Exposure, ownCdM2: LinearRgb = [0, 0, 0]): string => {
  const seen = reflectance.map((share, channel) => (exposure.lux * share) / Math.PI + ownCdM2[channel]!);
  const gain = gainOn(exposure, Math.max(...seen));
  return `rgb(${seen.map((value) => byteOf(value * gain)).join(' ')})`;
};

/** Colour of a shape of the front over its lit ground at its mean, as CSS; `veil` is glare over what stands beside it. */
export const shapeColour = (
  { glow, front }: Lit,
  { paint, beside }: { readonly paint: Paint; readonly beside: boolean },
  exposure: Exposure,
  lit: boolean,
  veil: LinearRgb = [0, 0, 0],
): string => {
  if (beside) return surfaceColour(paint.reflects, exposure, veil);
  const { passes } = paint;
  if (passes === undefined || !lit) return surfaceColour(paint.reflects, exposure);
  const [red, green, blue] = passes.map((share, channel) => share * glow.evenness.meanCdM2 * front.seenHue[channel]!);
  return surfaceColour(paint.reflects, exposure, [red!, green!, blue!]);
};
