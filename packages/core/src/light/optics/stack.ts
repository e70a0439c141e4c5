import type { FaceStack, Layer } from './types.js';

interface Slab {
  readonly transmittance: number;
  readonly front: number;
  readonly back: number;
}

/**
 * Two slabs one behind the other, light bouncing between them counted: T = T₁T₂ / (1 − R₁R₂) (the adding method;
 * H. C. van de Hulst, Multiple Light Scattering, 1980). `inner` is nearer to the LEDs.
 */
const add = (inner: Slab, outer: Slab): Slab => {
  const between = 1 / (1 - inner.front * outer.back);
  return {
    transmittance: inner.transmittance * outer.transmittance * between,
    back: inner.back + inner.transmittance ** 2 * outer.back * between,
    front: outer.front + outer.transmittance ** 2 * inner.front * between,
  };
};

const slabOf = ({ transmittance, reflectance }: Layer): Slab => ({
  transmittance,
  front: reflectance,
  back: reflectance,
});

/** A stack from its layers, given from the LEDs outward. Energy is kept: no stack passes and returns more than comes in. */
export const stackOf = (layers: readonly Layer[], intoCaseMm: number): FaceStack => {
  const [first, ...rest] = layers;
  const whole =
    first === undefined
      ? { transmittance: 1, front: 0, back: 0 }
      : rest.reduce((sum, layer) => add(sum, slabOf(layer)), slabOf(first));
  return {
    layers,
    transmittance: whole.transmittance,
    innerReflectance: whole.back,
    outerReflectance: whole.front,
    openShare: 1,
    tint: layers.reduce<FaceStack['tint']>(([r, g, b], { tint }) => [r * tint[0], g * tint[1], b * tint[2]], [1, 1, 1]),
    intoCaseMm,
  };
};

/**
 * A stack whose front sheet is open over a share of its area alone, its back elsewhere covered by what gives so much back: seen
 * from inside as the mean of both by area, as if they lay finely mixed.
 */
export const partlyCovered = (stack: FaceStack, openShare: number, coverReflectance: number): FaceStack => {
  const share = Math.min(1, Math.max(0, openShare));
  const front = stack.layers.at(-1);
  if (front === undefined) return stack;
  const covered = stackOf(
    [...stack.layers.slice(0, -1), { ...front, transmittance: 0, reflectance: coverReflectance }],
    stack.intoCaseMm,
  );
  return {
    ...stack,
    innerReflectance: share * stack.innerReflectance + (1 - share) * covered.innerReflectance,
    openShare: share,
  };
};
