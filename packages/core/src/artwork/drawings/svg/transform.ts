import { compose, unmoved, type Affine } from '../../../base/outlines/index.js';
import { numbersIn } from './numbers.js';

const turned = (degrees: number): Affine => {
  const angle = (degrees * Math.PI) / 180;
  return [Math.cos(angle), Math.sin(angle), -Math.sin(angle), Math.cos(angle), 0, 0];
};

const single = (name: string, n: readonly number[]): Affine | null => {
  const [x = 0, y = 0, z = 0] = n;
  switch (name) {
    case 'matrix':
      return n.length === 6 ? (n as unknown as Affine) : null;
    case 'translate':
      return [1, 0, 0, 1, x, y];
    case 'scale':
      return [x, 0, 0, n.length > 1 ? y : x, 0, 0];
    case 'rotate':
      return compose(compose([1, 0, 0, 1, y, z], turned(x)), [1, 0, 0, 1, -y, -z]);
    case 'skewX':
      return [1, 0, Math.tan((x * Math.PI) / 180), 1, 0, 0];
    case 'skewY':
      return [1, Math.tan((x * Math.PI) / 180), 0, 1, 0, 0];
    default:
      return null;
  }
};

/** A transform attribute as one map; what cannot be read leaves the rest as it is. */
export const readTransform = (text: string | undefined): Affine => {
  let whole = unmoved;
  for (const [, name, inside] of (text ?? '').matchAll(/([a-zA-Z]+)\s*\(([^)]*)\)/g)) {
    const numbers = numbersIn(inside!);
    const map = single(name!, numbers);
    if (map !== null) whole = compose(whole, map);
  }
  return whole;
};
