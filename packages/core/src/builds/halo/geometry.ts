import { fieldsOf, pathOf } from '../../document/design/index.js';
import type { HaloMaterials } from './materials.js';
import { plasticOf } from './printing.js';
import type { HaloAssembly } from './schema.js';
import type { LettersGeometry } from '../../light/geometry/index.js';
import type { Rect } from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';

const own = fieldsOf<HaloAssembly>();

/** Air that must stay between LEDs and wall (mm). */
const leastAirMm = 2;

const extent = (bounds: Rect | null): { readonly widthMm: number; readonly heightMm: number } =>
  bounds === null
    ? { widthMm: 0, heightMm: 0 }
    : {
        widthMm: 2 * Math.max(-bounds.x, bounds.x + bounds.width),
        heightMm: 2 * Math.max(-bounds.y, bounds.y + bounds.height),
      };

/** Depths of halo letters, from the wall to their fronts. Fails when there is no room for the strip, or no shell left. */
export const haloGeometry = (
  { letters, light }: HaloAssembly,
  { board, strip }: HaloMaterials,
  bounds: Rect | null,
): Result<LettersGeometry> => {
  const hollow = letters.form === 'hollow';
  const frontMm = board.thicknessMm;
  const depthMm = hollow ? letters.depthMm : frontMm;
  const closed = hollow && letters.back === 'closed';
  const backMm = closed ? frontMm : 0;
  const returnMm = hollow && !closed ? depthMm - frontMm : 0;
  if (hollow && depthMm <= frontMm + backMm + 1)
    return failure({
      path: pathOf(own.letters.depthMm),
      message: `leaves no room behind a front of ${frontMm} mm${closed ? ' and a back of as much' : ''}; make it ${Math.ceil(frontMm + backMm + 2)} mm or more`,
    });
  const standoffMm = letters.standoffMm;
  const bedZMm = standoffMm + returnMm;
  const ledZMm = bedZMm - (light.standing ? strip.widthMm / 2 : strip.heightMm);
  const belowMm = bedZMm - (light.standing ? strip.widthMm : strip.heightMm);
  if (belowMm < leastAirMm)
    return failure({
      path: pathOf(own.letters.standoffMm),
      message: `leaves ${Math.max(0, Math.round(belowMm * 10) / 10)} mm between strip and wall; make it ${Math.ceil(standoffMm + leastAirMm - belowMm)} mm or more`,
    });
  return success({
    outside: { ...extent(bounds), depthMm: standoffMm + depthMm },
    standoffMm,
    rearZMm: standoffMm,
    frontZMm: standoffMm + depthMm,
    frontMm,
    backMm,
    returnMm,
    wallMm: hollow ? letters.wallMm : 0,
    solid: plasticOf(letters, board),
    bedZMm,
    ledZMm,
  });
};
