import type { Brief } from '../../document/design/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { LightRuns } from '../../light/runs/index.js';
import type { StripBed } from '../../power/heat/index.js';
import type { BoxMaterials } from './materials.js';
import type { LightDesign } from './schema.js';

/** What the strip of a box lies on: the back, shut against a wall where it hangs on one, or the returns. */
export const boxBed = (
  { inside }: CaseGeometry,
  { layout }: LightDesign,
  { backBoard, returnBoard }: BoxMaterials,
  { stripMm }: LightRuns,
  place: Brief['place'],
): StripBed => {
  const onReturns = layout === 'rim';
  const board = onReturns ? returnBoard : backBoard;
  const areaMm2 = onReturns
    ? 2 * (inside.widthMm + inside.heightMm) * inside.depthMm
    : inside.widthMm * inside.heightMm;
  return {
    conductsWmK: board.conductsWmK,
    thicknessMm: board.thicknessMm,
    openSides: onReturns || place !== 'wall' ? 2 : 1,
    pitchMm: stripMm > 0 ? areaMm2 / stripMm : inside.heightMm,
  };
};
