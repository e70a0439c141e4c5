import { opensWith, type WayOut } from '../../joinery/members/index.js';
import type { BoxMaterials } from './materials.js';
import type { CaseDesign } from './schema.js';

type FaceOut = NonNullable<CaseDesign['faceOut']>;

/** Behind a top that is set back a sheet slides past with so much room (mm). */
const slideMm = 0.5;

/** How the face of a case comes out, as it is asked for; a face that is in no groove is shut in by none. */
export const faceOutOf = ({ retention, faceOut }: Pick<CaseDesign, 'retention' | 'faceOut'>): FaceOut =>
  retention === 'groove' ? (faceOut ?? 'never') : 'never';

/** Corners that let it: glued or mitred ones hold the top where it is. */
export const lockedBy = (design: Pick<CaseDesign, 'retention' | 'faceOut' | 'cornerJoint'>): boolean => {
  const out = faceOutOf(design);
  return out !== 'never' && !opensWith[out].includes(design.cornerJoint);
};

/** The way out for the joinery: how far a top that is set back stands behind the front edges, `frontMm` from there to the sheet’s rear side. */
export const wayOutOf = (design: CaseDesign, frontMm: number): WayOut | undefined => {
  const out = faceOutOf(design);
  if (out === 'never') return undefined;
  return out === 'open-top' ? { by: out, setBackMm: frontMm + slideMm } : { by: out };
};

const usualMouthMm = 1;

/** How wide the mouths of the face’s groove are chamfered (mm): usually where a sheet is slid in, and else not at all. */
export const mouthOf = (design: Pick<CaseDesign, 'retention' | 'faceOut' | 'mouthMm'>): number =>
  design.retention === 'groove' ? (design.mouthMm ?? (faceOutOf(design) === 'never' ? 0 : usualMouthMm)) : 0;

/** Sheets that are shut in when the corners are glued: the face, a second sheet, both or none. */
export const shutIn = (
  design: CaseDesign,
  second: BoxMaterials['second'],
): { readonly face: boolean; readonly second: boolean } => {
  const out = lockedBy(design) ? 'never' : faceOutOf(design);
  const face = design.retention === 'groove' && out === 'never';
  const own = second?.seated === true && second.gapMm > 0;
  const withFace = second?.seated === true && second.gapMm === 0;
  return { face, second: withFace ? face : own && out !== 'top-off' };
};
