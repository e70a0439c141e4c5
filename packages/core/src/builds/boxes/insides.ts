import { set } from '../../document/design/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import type { Insides } from '../common/fits-inside.js';
import type { BoxResults } from './results.js';

/** Air round what stands under a block (mm). */
const airMm = 20;

/** Inside a box there is the room under its block, or the back before the face; the back comes off. */
export const boxInsides: Insides<BoxResults> = {
  room: ({ geometry, materials }) => {
    const { block, inside, lightDepthMm } = geometry;
    const board = materials.backBoard.thicknessMm;
    return block === null
      ? { widthMm: inside.widthMm, heightMm: inside.heightMm, depthMm: lightDepthMm, covered: false }
      : {
          widthMm: block.x1 - block.x0 - 2 * board,
          heightMm: block.y1 - block.y0 - 2 * board,
          depthMm: block.heightMm - board,
          covered: true,
        };
  },
  access: () => 'the back comes off',
  remedies: (results, gear) => {
    const { geometry, materials, assembly } = results;
    const board = materials.backBoard.thicknessMm;
    const longest = Math.max(...gear.map(({ lengthMm }) => lengthMm));
    const across = gear.reduce((sum, { widthMm }) => sum + widthMm + airMm, airMm);
    const widthMm = Math.ceil(longest + 2 * (airMm + board));
    const heightMm = Math.ceil(across + 2 * board);
    const depthMm = Math.ceil(Math.max(...gear.map((each) => each.heightMm)) + airMm + board);
    const fields = fieldsIn(results);
    if (assembly.light.layout !== 'block' && assembly.light.layout !== 'rim') return [];
    return [
      {
        id: 'block-over-it',
        candidates: [
          {
            label: `A block of ${widthMm} × ${heightMm} × ${depthMm} mm over it, strip round the block`,
            change: [
              set(fields.case.block, {
                widthMm: Math.min(widthMm, Math.floor(geometry.inside.widthMm - 20)),
                heightMm: Math.min(heightMm, Math.floor(geometry.inside.heightMm - 20)),
                depthMm,
                offsetXMm: 0,
                offsetYMm: 0,
              }),
              set(fields.light.layout, 'block'),
              set(fields.light.facing, 'out'),
            ],
          },
        ],
      },
    ];
  },
};
