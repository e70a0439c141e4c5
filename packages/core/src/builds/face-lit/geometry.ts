import type { FaceLitAssembly } from './schema.js';
import { fieldsOf, pathOf } from '../../document/design/index.js';
import type { FaceLitMaterials } from './materials.js';
import type { CansDesign } from './schema.js';
import type { CansGeometry } from '../../light/geometry/index.js';
import type { Rect } from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';

const own = fieldsOf<FaceLitAssembly>();

/** Room that must stay in front of the LEDs (mm). */
const leastThrowMm = 3;

/** Depths of face-lit letters. Fails when there is no room for light in front of the strip. */
export const cansGeometry = (
  cans: CansDesign,
  { strip, face, backBoard }: FaceLitMaterials,
  bounds: Rect | null,
): Result<CansGeometry> => {
  if (cans.depthInsideMm < strip.heightMm + leastThrowMm)
    return failure({
      path: pathOf(own.cans.depthInsideMm),
      message: `leaves no room for light: the strip stands ${strip.heightMm} mm high in ${cans.depthInsideMm} mm; make it ${strip.heightMm + leastThrowMm} mm or more`,
    });
  const inset = cans.fit === 'inset';
  const depthMm = backBoard.thicknessMm + cans.depthInsideMm + face.thicknessMm;
  return success({
    outside: {
      widthMm: bounds === null ? 0 : 2 * Math.max(-bounds.x, bounds.x + bounds.width),
      heightMm: bounds === null ? 0 : 2 * Math.max(-bounds.y, bounds.y + bounds.height),
      depthMm,
    },
    depthInsideMm: cans.depthInsideMm,
    backMm: backBoard.thicknessMm,
    faceMm: face.thicknessMm,
    wallMm: cans.wallMm,
    ledZMm: strip.heightMm,
    frontZMm: cans.depthInsideMm + face.thicknessMm,
    // An inset face stands within the returns; a trimmed one lies on their front edges.
    returnWidthMm: backBoard.thicknessMm + cans.depthInsideMm + (inset ? face.thicknessMm : 0),
  });
};
