import { fieldsIn } from '../../judging/results/index.js';
import { set } from '../../document/design/index.js';
import type { FaceSheet } from '../../document/catalogue/index.js';
import type { Remedy } from '../../judging/findings/index.js';
import type { FacedAssembly } from './results.js';

/** Other faces, each a candidate, in the order given. */
export const changeFace = (
  results: { readonly index: number; readonly assembly: FacedAssembly },
  faces: readonly FaceSheet[],
): Remedy => ({
  id: 'change-face',
  candidates: faces.map((face) => ({ label: face.name, change: [set(fieldsIn(results).face.sheetId, face.id)] })),
});

/** How well a sheet hides what is behind it: Lambertian first, then by the width of its lobe. */
export const hiding = ({ scatter }: FaceSheet): number =>
  scatter.kind === 'lambertian' ? 90 : scatter.sigmaDeg * scatter.hazeShare;
