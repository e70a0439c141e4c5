import type { BeforeHanging } from '../../judging/results/index.js';
import { ringLength } from '../../base/outlines/index.js';
import { sum } from '../../base/maths/index.js';
import type { ToFinish } from '../../making/finishing/index.js';
import { backerOf } from '../letters/backer/backer.js';
import { backerBonds, backerSurfaces } from '../letters/backer/finish.js';
import { liningSurface } from '../common/lining-surface.js';
import type { FaceLitResults } from './results.js';

/** What of face-lit letters is painted, and what is glued. */
export const faceLitToFinish = ({
  lettering,
  geometry,
  materials,
  assembly,
}: BeforeHanging<FaceLitResults>): ToFinish => {
  const { returnBoard, backBoard, lining } = materials;
  const roundMm = sum(lettering.outline.map(ringLength));
  const m2 = lettering.areaMm2 / 1e6;
  const backer = backerOf(assembly.backer, materials.backer, lettering.outline);
  return {
    surfaces: [
      {
        id: 'returns',
        name: 'outside of the returns',
        stuff: returnBoard.stuff,
        m2: (roundMm * geometry.returnWidthMm) / 1e6,
        turned: false,
        masked: 'the front edges, where the faces sit',
        showsGrain: false,
        // Coil and composite come coated.
        comesFinished: returnBoard.stuff === 'metal' || returnBoard.stuff === 'composite',
        fixed: null,
      },
      ...backerSurfaces(backer),
      ...liningSurface(lining, m2 + (roundMm * geometry.depthInsideMm) / 1e6, backBoard.stuff),
    ],
    bonds: [
      {
        id: 'returns',
        what: 'returns to the backs',
        between: [returnBoard.stuff, backBoard.stuff],
        mm: roundMm,
        fine: true,
      },
      ...backerBonds(backer),
    ],
    shutsIn: false,
  };
};
