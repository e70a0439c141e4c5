import type { BeforeHanging } from '../../judging/results/index.js';
import { sum } from '../../base/maths/index.js';
import { cornerJoints, lipName } from '../../joinery/members/index.js';
import type { Bond, Surface, ToFinish } from '../../making/finishing/index.js';
import { liningSurface } from '../common/lining-surface.js';
import { gluedBackOf } from './glued-back.js';
import type { BoxResults } from './results.js';
import { shutIn } from './way-out.js';

/** Glue blocks are so long (mm). */
const blockMm = 45;

/** What of a box is painted, and what is glued. */
export const boxToFinish = ({ geometry, materials, assembly }: BeforeHanging<BoxResults>): ToFinish => {
  const { members, inside } = geometry;
  const backOfBoards = gluedBackOf({ geometry, materials });
  const { returnBoard, backBoard, lining } = materials;
  const shut = shutIn(assembly.case, materials.second);
  const outside: Surface = {
    id: 'outside',
    name: 'outside of the case',
    stuff: returnBoard.stuff,
    // Their outer sides with both edges.
    m2: sum(members.map(({ lengthMm, widthMm, thicknessMm }) => lengthMm * (widthMm + 2 * thicknessMm))) / 1e6,
    turned: false,
    masked: shut.face
      ? 'the face in its groove, and the seat of the back'
      : assembly.case.retention === 'groove'
        ? 'the grooves, and the seat of the back'
        : 'the seats of face and back',
    showsGrain: returnBoard.showsGrain === true,
    comesFinished: false,
    fixed: null,
  };
  const insideM2 = (inside.widthMm * inside.heightMm + 2 * inside.depthMm * (inside.widthMm + inside.heightMm)) / 1e6;
  const { fastener } = cornerJoints[assembly.case.cornerJoint];
  const wood = returnBoard.stuff;
  // A top that comes off is not glued.
  const glued = members.filter(({ runs, fasteners }) => runs === 'through' && fasteners[0]?.kind !== 'insert');
  const bonds: readonly Bond[] = [
    {
      id: 'corners',
      what: 'corners of the case',
      between: [wood, wood],
      // Screwed corners are glued as well; pocket screws hold alone.
      mm: fastener === 'pocket-screw' ? 0 : 2 * sum(glued.map(({ widthMm }) => widthMm)),
      fine: false,
    },
    ...members
      .filter(({ name }) => name === lipName)
      .map(({ lengthMm }): Bond => ({
        id: 'lip',
        what: 'lip of the top',
        between: [wood, wood],
        mm: lengthMm,
        fine: true,
      })),
    ...(backOfBoards === null
      ? []
      : [
          {
            id: 'back-boards',
            what: 'boards of the back',
            between: ['wood', 'wood'] as const,
            mm: backOfBoards.jointsMm,
            fine: false,
          },
        ]),
    ...(assembly.hanging?.blocks === true
      ? [{ id: 'blocks', what: 'glue blocks', between: [wood, 'wood'] as const, mm: 4 * blockMm, fine: false }]
      : []),
  ];
  return {
    surfaces: [outside, ...liningSurface(lining, insideM2, backBoard.stuff)],
    bonds,
    shutsIn: shut.face || shut.second,
  };
};
