import { runTimeOf } from '../power/circuit/index.js';
import { airRise } from '../power/heat/index.js';
import type { ValidationCase } from './types.js';

const vents = { areaMm2: 800, riseMm: 400, insideLux: 0 };

/** What feeds a circuit and what carries its heat off, against closed forms. */
export const powerCases: readonly ValidationCase[] = [
  {
    group: 'power',
    name: 'hours of a battery whose load follows its voltage',
    against: 'Q R ln(V₁ / V₀) / (V₁ − V₀)',
    tolerance: 1e-3,
    run: () => ({
      computed: runTimeOf({ ampHours: 20, fullV: 13.4, cutOffV: 11, usableShare: 1 }, (volts) => ({
        amps: volts / 6,
        light: 1,
      })).hours,
      expected: (20 * 6 * Math.log(13.4 / 11)) / (13.4 - 11),
    }),
  },
  {
    group: 'power',
    name: 'air in a case that is cooled by its vents alone, 8 times the heat',
    against: 'rise ∝ P^⅔: 4 times',
    tolerance: 1e-6,
    run: () => ({
      computed: airRise(64, 1e-12, vents, 0.6, 25) / airRise(8, 1e-12, vents, 0.6, 25),
      expected: 4,
    }),
  },
];
