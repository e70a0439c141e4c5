import type { BeforeHanging } from '../../judging/results/index.js';
import { outlineBounds, outlineCentroid } from '../../base/outlines/index.js';
import { sum } from '../../base/maths/index.js';
import { centreOfAll, type HungBody } from '../../making/hanging/index.js';
import type { Hanging } from '../common/build.js';
import type { StackedResults } from './results.js';

/** Fixings go through the base within the room, so far from the wall (mm). */
const fixingInMm = 12;

/** Where the middle of a plate lies, from the rear of the base. */
const middleZ = (id: string, { geometry }: Pick<StackedResults, 'geometry'>): number => {
  const { baseMm, rings, roomMm, lidMm, ledge } = geometry;
  const ring = rings.find(({ index }) => id === `ring-${index + 1}`);
  if (id === 'base') return baseMm / 2;
  if (ring !== undefined) return baseMm + (ring.fromZMm + ring.toZMm) / 2;
  return id === 'ledge' && ledge !== null ? baseMm + ledge.heightMm / 2 : baseMm + roomMm + lidMm / 2;
};

/** A stack hangs in one piece, by its base. */
export const stackedHung = (results: BeforeHanging<StackedResults>): readonly HungBody[] => {
  const { geometry, cut, bought, materials } = results;
  const { bounds, outline, inside, baseMm, outside } = geometry;
  const middle = outlineCentroid(outline) ?? ([0, 0] as const);
  const parts = cut.map(({ id, kg, count }) => ({
    kg: kg * count,
    centre: [...middle, middleZ(id, results)] as const,
  }));
  const things = {
    kg: sum(bought.map(({ hangs, kg }) => (hangs ? kg : 0))),
    centre: [...middle, outside.depthMm / 2] as const,
  };
  const all = [...parts, things];
  const room = outlineBounds(inside) ?? bounds;
  // Of a round room the square within it: its corners are wall.
  const share = isFull(results) ? 1 : Math.SQRT1_2;
  const [width, height] = [
    Math.max(1, (room.width - 2 * fixingInMm) * share),
    Math.max(1, (room.height - 2 * fixingInMm) * share),
  ];
  return [
    {
      id: 'stack',
      name: 'Stack',
      bounds,
      depthMm: outside.depthMm,
      kg: sum(all.map(({ kg }) => kg)),
      centre: centreOfAll(all),
      hold: { x: room.x + (room.width - width) / 2, y: room.y + (room.height - height) / 2, width, height },
      recessMm: 0,
      own: null,
      carrier: {
        partId: 'base',
        name: 'base',
        stuff: materials.base.stuff,
        thicknessMm: baseMm,
        seen: false,
        corner: [bounds.x, bounds.y],
      },
      backer: null,
      rails: null,
    },
  ];
};

const isFull = ({ assembly }: Pick<StackedResults, 'assembly'>): boolean => assembly.plates.shape === 'rectangle';

/** Plates hang flat, as boards do; on spacers their bands light the wall from farther off. */
export const stackedHanging: Hanging = {
  ways: ['keyholes', 'holes', 'spacers', 'cleat', 'chain'],
  usual: 'keyholes',
  standsOffMm: 0,
};
