import type { Lettering } from '../../artwork/lettering/index.js';
import { outlineArea, outlineBounds, rectRing, type Outline, type Ring } from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { fieldsOf, pathOf } from '../../document/design/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import { roundedRing } from '../common/rounded-ring.js';
import type { FrameAssembly, ShowsDesign } from './schema.js';

const own = fieldsOf<FrameAssembly>();

/** The band that a new frame begins with. */
export const usualBand = { insetMm: 40, widthMm: 30 } as const;

/** Mirror that must be left within a band, to see oneself in (mm). */
const leastMirrorMm = 40;

const ringOf = (widthMm: number, heightMm: number, insetMm: number, cornerMm: number): Ring => {
  const [width, height] = [widthMm - 2 * insetMm, heightMm - 2 * insetMm];
  const radius = Math.max(0, Math.min(cornerMm, width / 2, height / 2));
  const rect = { x: -width / 2, y: -height / 2, width, height };
  return radius > 0 ? roundedRing(rect, radius, radius) : rectRing(rect);
};

/** Light where the frame holds the mirror comes through nothing: the band must stand within the opening (mm). */
const coveredBy = ({ face, inside }: Pick<CaseGeometry, 'face' | 'inside'>): number =>
  Math.max(0, (face.widthMm - inside.widthMm) / 2);

/** The frosted band along the edge of a mirror, its inside still mirror; fails where it has no room, with the field. */
export const bandOf = (
  { band }: Pick<ShowsDesign, 'band'>,
  geometry: Pick<CaseGeometry, 'face' | 'inside'>,
): Result<Outline> => {
  const { widthMm, heightMm } = geometry.face;
  const { insetMm, widthMm: wide, cornerMm = 0 } = band;
  const least = Math.min(widthMm, heightMm);
  if (2 * (insetMm + wide) > least - leastMirrorMm)
    return failure({
      path: pathOf(own.shows.band.widthMm),
      message: `makes a band that leaves less than ${leastMirrorMm} mm of the mirror within it, which is ${Math.round(least)} mm across; make the band narrower or set it less far in`,
    });
  const covered = coveredBy(geometry);
  if (insetMm < covered)
    return failure({
      path: pathOf(own.shows.band.insetMm),
      message: `puts the band under the ${Math.round(10 * covered) / 10} mm that hold the mirror; set it farther in`,
    });
  const outer = ringOf(widthMm, heightMm, insetMm, cornerMm);
  const inner = ringOf(widthMm, heightMm, insetMm + wide, Math.max(0, cornerMm - wide));
  return success([outer, [...inner].reverse()]);
};

/** A band as what shines of a face, in the place of letters. */
export const bandLettering = (outline: Outline): Lettering => ({
  outline,
  bounds: outlineBounds(outline),
  areaMm2: Math.abs(outlineArea(outline)),
  letterCount: 1,
  missing: [],
});
