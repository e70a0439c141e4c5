import type { StripBed } from '../../power/heat/index.js';
import type { PanelGeometry } from './geometry.js';
import type { PanelMaterials } from './materials.js';

/** Wood round the strip of a base or a frame is about so thick (mm). */
const woodMm = 12;

/** What the strip lies on: wood in the base, or the groove of a member; its front and its rear shed the heat. */
export const panelBed = ({ outside, holder }: PanelGeometry, { board }: PanelMaterials): StripBed => ({
  conductsWmK: board.conductsWmK,
  thicknessMm: woodMm,
  openSides: 2,
  pitchMm: holder.kind === 'base' ? holder.depthMm : outside.depthMm,
});

/** Surface that sheds the heat of the strip to the room (m²): of the holder, and as much of the sheet as it carries heat to. */
export const panelShedsM2 = ({ outside, holder, sheet }: PanelGeometry): number => {
  const warmedMm = 40;
  const wood =
    holder.kind === 'base'
      ? 2 * holder.heightMm * (holder.lengthMm + holder.depthMm) + 2 * holder.lengthMm * holder.depthMm
      : 2 * (outside.widthMm + outside.heightMm) * (outside.depthMm + 2 * holder.stockMm);
  return (wood + 2 * sheet.width * Math.min(warmedMm, sheet.height)) / 1e6;
};
