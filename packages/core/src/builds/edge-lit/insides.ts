import { set } from '../../document/design/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import type { Insides } from '../common/fits-inside.js';
import { widestPocketMm } from './base-geometry.js';
import type { PanelResults } from './results.js';

/** Air round what lies in a pocket (mm). */
const airMm = 20;

/** Inside a base there is its pocket, behind a case’s sheet the case; in a frame there is nothing. */
export const panelInsides: Insides<PanelResults> = {
  room: ({ geometry: { holder, outside, sheet, thicknessMm } }) => {
    if (holder.kind === 'base')
      return {
        widthMm: holder.pocket.lengthMm,
        heightMm: holder.pocket.widthMm,
        depthMm: holder.cavity.highMm,
        covered: true,
      };
    return holder.kind === 'top'
      ? {
          widthMm: holder.inside.widthMm,
          heightMm: holder.inside.heightMm,
          depthMm: outside.depthMm - thicknessMm - (holder.closing?.thicknessMm ?? 0),
          covered: true,
        }
      : { widthMm: 0, heightMm: 0, depthMm: Math.min(sheet.width, 0), covered: true };
  },
  access: ({ geometry: { holder } }) =>
    holder.kind === 'base' ? 'the lid comes off' : holder.kind === 'top' ? 'the bottom comes off' : null,
  remedies: (results, gear) => {
    const { holder } = results.assembly;
    if (holder.kind !== 'base') return [];
    const long = Math.ceil(Math.max(...gear.map(({ lengthMm }) => lengthMm)) + airMm);
    const base = results.geometry.holder;
    // Beside the pocket are the walls, and the laps that the lid is screwed to.
    const beside = base.kind === 'base' ? holder.depthMm - widestPocketMm(base) : 0;
    const low = Math.ceil(
      Math.max(
        0,
        ...gear.map(({ heightMm }) => heightMm + airMm / 2 - (base.kind === 'base' ? base.cavity.highMm : 0)),
      ),
    );
    const deep = Math.ceil(Math.max(...gear.map(({ widthMm }) => widthMm)) + airMm + beside);
    return [
      {
        id: 'pocket',
        candidates: [
          {
            label: `A pocket ${long} mm long in the base`,
            change: [
              set(fieldsIn(results).holder, {
                ...holder,
                pocketMm: long,
                depthMm: Math.min(400, Math.max(holder.depthMm, deep)),
                // A wooden base is as high as its block.
                ...(holder.make === 'printed' && base.kind === 'base' && low > 0
                  ? { heightMm: base.heightMm + low }
                  : {}),
              }),
            ],
          },
        ],
      },
    ];
  },
};
