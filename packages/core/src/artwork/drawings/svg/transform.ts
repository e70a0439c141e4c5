import { compose, unmoved, type Affine } from '../../../base/outlines/index.js';
import { limits } from '../limits.js';
import { lengthIn } from './units.js';

const turned = (degrees: number): Affine => {
  const angle = (degrees * Math.PI) / 180;
  return [Math.cos(angle), Math.sin(angle), -Math.sin(angle), Math.cos(angle), 0, 0];
};
const skewed = (degrees: number): number => Math.tan((degrees * Math.PI) / 180);

const single = (name: string, n: readonly number[]): Affine | null => {
  const [x = 0, y = 0, z = 0] = n;
  switch (name) {
    case 'matrix':
      return n.length === 6 ? (n as unknown as Affine) : null;
    case 'translate':
      return [1, 0, 0, 1, x, y];
    case 'translateX':
      return [1, 0, 0, 1, x, 0];
    case 'translateY':
      return [1, 0, 0, 1, 0, x];
    case 'scale':
      return [x, 0, 0, n.length > 1 ? y : x, 0, 0];
    case 'scaleX':
      return [x, 0, 0, 1, 0, 0];
    case 'scaleY':
      return [1, 0, 0, x, 0, 0];
    case 'rotate':
      return compose(compose([1, 0, 0, 1, y, z], turned(x)), [1, 0, 0, 1, -y, -z]);
    case 'skew':
      return [1, skewed(y), skewed(x), 1, 0, 0];
    case 'skewX':
      return [1, 0, skewed(x), 1, 0, 0];
    case 'skewY':
      return [1, skewed(x), 0, 1, 0, 0];
    default:
      return null;
  }
};

/** Degrees in the units of angles that style sheets know. */
const degreesIn: Readonly<Record<string, number>> = { deg: 1, rad: 180 / Math.PI, grad: 0.9, turn: 360 };

/** A number of a transform: plain, a length in px, or an angle in degrees; `null` where it is none. */
const valueIn = (text: string): number | null => {
  const angle = /^([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)(deg|rad|grad|turn)$/i.exec(text.slice(0, 60));
  return angle === null ? lengthIn(text) : Number(angle[1]) * degreesIn[angle[2]!.toLowerCase()]!;
};

/** The values in brackets, parted by commas, blanks, or by nothing but a sign. */
const valuesIn = (inside: string): readonly number[] | null => {
  const parts = inside.match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?[a-z%]*/gi) ?? [];
  const values = parts.map(valueIn);
  return values.some((value) => value === null) ? null : (values as readonly number[]);
};

/** A transform as it is written in a drawing. */
export interface ReadTransform {
  readonly map: Affine;
  /** False where part of it could not be read, which then leaves the rest as it is. */
  readonly whole: boolean;
}

/** A list of transforms, of an attribute or of a style, as one map, about an origin that a style may give (px). */
export const readTransform = (text: string | undefined, origin?: string): ReadTransform => {
  if (text === undefined || text.trim() === '' || text.trim() === 'none') return { map: unmoved, whole: true };
  if (text.length > limits.transform) return { map: unmoved, whole: false };
  let map = unmoved;
  let read = 0;
  for (const [found, name, inside] of text.matchAll(/([a-zA-Z]{1,16})\s{0,16}\(([^()]*)\)/g)) {
    const values = valuesIn(inside!);
    const own = values === null ? null : single(name!, values);
    if (own === null) continue;
    map = compose(map, own);
    read += found.length;
  }
  const whole = read >= text.replace(/[\s,]/g, '').length;
  const [x, y] = (origin ?? '')
    .trim()
    .split(/\s+/)
    .slice(0, 2)
    .map((each) => lengthIn(each)) as [number | null, number | null | undefined];
  if (x === null || y === null || y === undefined) return { map, whole: whole && (origin ?? '').trim() === '' };
  return { map: compose(compose([1, 0, 0, 1, x, y], map), [1, 0, 0, 1, -x, -y]), whole };
};
