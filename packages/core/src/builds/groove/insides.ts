import { set } from '../../document/design/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import type { Insides } from '../common/fits-inside.js';
import type { GrooveResults } from './results.js';
import { roomBehind } from './room-behind.js';

/** Air round what lies behind a carrier (mm). */
const airMm = 10;

/** Behind a carrier there is what it stands off the wall. */
export const grooveInsides: Insides<GrooveResults> = {
  room: (results) => ({
    widthMm: results.geometry.bounds.width,
    heightMm: results.geometry.bounds.height,
    depthMm: roomBehind(results),
    covered: true,
  }),
  access: () => 'the carrier comes off its spacers',
  remedies: (results, gear) => {
    const off = Math.min(200, Math.ceil(Math.max(...gear.map(({ heightMm }) => heightMm)) + airMm));
    return off <= results.assembly.carrier.spacerMm
      ? []
      : [
          {
            id: 'farther-off',
            candidates: [
              { label: `Held ${off} mm off the wall`, change: [set(fieldsIn(results).carrier.spacerMm, off)] },
            ],
          },
        ];
  },
};
