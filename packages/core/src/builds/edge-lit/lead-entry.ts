import type { Brief } from '../../document/design/index.js';
import type { Point3 } from '../../light/runs/index.js';
import type { PanelGeometry } from './geometry.js';

/** Where the lead comes in: into the cavity of a base at the side that is asked for, or into the groove of a frame. */
export const leadEntryOf = (
  exit: Brief['leadExit'],
  { sheet, holder, thicknessMm, bedMm, outside }: PanelGeometry,
): Point3 => {
  const z = thicknessMm / 2;
  if (holder.kind === 'base') {
    const y = -outside.heightMm / 2 + holder.exit.upMm;
    const half = holder.lengthMm / 2;
    if (exit === 'left') return [-half, y, z];
    if (exit === 'right') return [half, y, z];
    // Upward there is the sheet: the rear takes what would come out there.
    return exit === 'bottom' ? [0, -outside.heightMm / 2, z] : [0, y, z - holder.depthMm / 2];
  }
  const [x, y] = [sheet.width / 2 + bedMm, sheet.height / 2 + bedMm];
  switch (exit) {
    case 'left':
      return [-x, 0, z];
    case 'right':
      return [x, 0, z];
    case 'top':
      return [0, y, z];
    case 'bottom':
    case 'back':
      return [0, -y, z];
  }
};
