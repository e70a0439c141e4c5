import type { FaceSheet } from '../../document/catalogue/index.js';
import type { Remedy } from '../../judging/findings/index.js';

const at = 'assemblies.0';

/** Other faces, each a candidate, in the order given. */
export const changeFace = (faces: readonly FaceSheet[]): Remedy => ({
  id: 'change-face',
  candidates: faces.map((face) => ({ label: face.name, change: [{ path: `${at}.face.sheetId`, value: face.id }] })),
});

/** How well a sheet hides what is behind it: Lambertian first, then by the width of its lobe. */
export const hiding = ({ scatter }: FaceSheet): number =>
  scatter.kind === 'lambertian' ? 90 : scatter.sigmaDeg * scatter.hazeShare;
