import { cosineExponent, intensityAt, readIes } from '../light/photometry/index.js';
import type { ValidationCase } from './types.js';

const cosineFile = (step: number): string => {
  const angles = Array.from({ length: 90 / step + 1 }, (_, index) => index * step);
  const candela = angles.map((angle) => (100 * Math.cos((angle * Math.PI) / 180)).toFixed(4));
  return `IESNA:LM-63-2002\nTILT=NONE\n1 -1 1 ${angles.length} 1 1 2 0 0 0\n1 1 1\n${angles.join(' ')}\n0\n${candela.join(' ')}\n`;
};

const cosineTable = () => {
  const read = readIes(cosineFile(2.5));
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value;
};

export const emitterCases: readonly ValidationCase[] = [
  {
    group: 'emitters',
    name: 'm of a 90° beam',
    against: 'ln ½ / ln cos 45° = 2',
    tolerance: 1e-9,
    run: () => ({ computed: cosineExponent(90), expected: 2 }),
  },
  {
    group: 'emitters',
    name: 'intensity on the axis, m = 3',
    against: '(m + 1) Φ / 2π',
    tolerance: 1e-9,
    run: () => ({ computed: intensityAt({ kind: 'cosine', exponent: 3 }, 0), expected: 4 / (2 * Math.PI) }),
  },
  {
    group: 'emitters',
    name: 'flux of a measured cosine distribution, 2.5° steps',
    against: '∫ 100 cos θ dΩ = 100 π',
    tolerance: 1e-3,
    run: () => ({ computed: cosineTable().fluxLm, expected: 100 * Math.PI }),
  },
  {
    group: 'emitters',
    name: 'beam angle of the same',
    against: '2 arccos ½ = 120°',
    tolerance: 2e-3,
    run: () => ({ computed: cosineTable().beamAngleDeg, expected: 120 }),
  },
];
