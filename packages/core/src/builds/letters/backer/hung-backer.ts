import { sum } from '../../../base/maths/index.js';
import { centreOfAll, type HungBody } from '../../../making/hanging/index.js';
import type { CutPart } from '../../../making/parts/index.js';
import type { Hanging } from '../../common/build.js';
import type { Backer } from './backer.js';

/** From its edges to fixings (mm). */
const fromEdgeMm = 30;

/** Letters on a backer hang as one: the backer with all that stands on it. */
export const hungBacker = (
  { rect, boards, depthMm, recessMm, overMm, design, members }: Backer,
  letters: readonly HungBody[],
  cut: readonly CutPart[],
): HungBody => {
  const own = cut.filter(({ id }) => id.startsWith('backer'));
  const middle = [rect.x + rect.width / 2, rect.y + rect.height / 2] as const;
  const parts = own.map(({ id, kg, count }) => ({
    kg: kg * count,
    centre: [middle[0], middle[1], id === 'backer' ? depthMm - boards.board.thicknessMm / 2 : recessMm / 2] as const,
  }));
  const standing = letters.map(({ kg, centre }) => ({
    kg,
    centre: [centre[0], centre[1], depthMm + centre[2]] as const,
  }));
  const all = [...parts, ...standing];
  const inset = design.kind === 'box' ? fromEdgeMm + (members[0]?.thicknessMm ?? 0) : fromEdgeMm;
  const [insetX, insetY] = [Math.min(inset, rect.width / 4), Math.min(inset, rect.height / 4)];
  return {
    id: 'backer',
    name: design.kind === 'box' ? 'Clad box' : 'Backer',
    bounds: rect,
    depthMm: depthMm + Math.max(0, ...letters.map((each) => each.depthMm)),
    kg: sum(all.map(({ kg }) => kg)),
    centre: centreOfAll(all),
    hold: {
      x: rect.x + insetX,
      y: rect.y + insetY,
      width: rect.width - 2 * insetX,
      height: rect.height - 2 * insetY,
    },
    recessMm,
    own: null,
    carrier: {
      partId: 'backer',
      name: design.kind === 'box' ? 'cladding' : 'backer',
      stuff: boards.board.stuff,
      thicknessMm: boards.board.thicknessMm,
      seen: true,
      corner: [rect.x - overMm, rect.y - overMm],
    },
    backer: { sideMm: members[0]?.thicknessMm ?? null },
    rails: null,
  };
};

/** Ways that a backer may hang. */
export const backerHanging: Hanging = {
  ways: ['keyholes', 'cleat', 'holes', 'spacers', 'brackets', 'chain'],
  usual: null,
  standsOffMm: 0,
};
