import { sum } from '../../base/maths/index.js';
import type { Surface, ToFinish } from '../../making/finishing/index.js';
import { cornerJoints } from '../../joinery/members/index.js';
import { membersIn } from './geometry.js';
import type { PanelFacts } from './results.js';

/** What of an edge-lit sheet is painted and glued: its holder, and the sheet in its slot where it is to stay there. */
export const panelToFinish = ({
  geometry,
  materials,
  assembly,
}: Pick<PanelFacts, 'geometry' | 'materials' | 'assembly'>): ToFinish => {
  const { holder, sheet } = geometry;
  const { board, pane } = materials;
  const members = membersIn(geometry);
  const printed = assembly.holder.kind === 'base' && assembly.holder.make === 'printed';
  const m2 =
    holder.kind === 'base'
      ? (2 * holder.heightMm * (holder.lengthMm + holder.depthMm) + holder.lengthMm * holder.depthMm) / 1e6
      : sum(members.map(({ lengthMm, widthMm, thicknessMm }) => lengthMm * (widthMm + 2 * thicknessMm))) / 1e6;
  const outside: Surface = {
    id: 'outside',
    name: `outside of the ${holder.kind === 'top' ? 'case' : holder.kind}`,
    stuff: printed ? 'printed' : board.stuff,
    m2,
    turned: false,
    masked: 'slot and groove',
    showsGrain: board.showsGrain === true && !printed,
    comesFinished: printed,
    fixed: null,
  };
  const { fastener } = holder.kind === 'base' ? { fastener: null } : cornerJoints[members[0]!.joint];
  return {
    surfaces: [outside],
    bonds: [
      ...(assembly.holder.fit === 'glued'
        ? [
            {
              id: 'sheet',
              what: 'the sheet in its slot',
              between: [pane.stuff, printed ? 'printed' : board.stuff] as const,
              mm: holder.kind === 'base' ? holder.slot.lengthMm : 2 * (sheet.width + sheet.height),
              fine: true,
            },
          ]
        : []),
      ...(holder.kind === 'base'
        ? []
        : [
            {
              id: 'corners',
              what: holder.kind === 'frame' ? 'corners of the frame' : 'corners of the case',
              between: [board.stuff, board.stuff] as const,
              mm: fastener === 'pocket-screw' ? 0 : 4 * geometry.outside.depthMm,
              fine: false,
            },
          ]),
    ],
    // A sheet in a groove all round is shut in by the frame.
    shutsIn: holder.kind === 'frame',
  };
};
