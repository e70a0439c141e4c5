import * as z from 'zod';
import { letterArtwork, letterLight } from '../../../builds/letters/schema.js';
import { assemblyFrame, id, lengthMm, type Frozen } from '../../../document/design/index.js';

/** A round case with a lit face, in a design. */
export const litDiscSchema = z.looseObject({
  ...assemblyFrame,
  build: z.literal('lit-disc'),
  artwork: letterArtwork,
  disc: z.looseObject({
    diameterMm: lengthMm(60, 2000),
    depthInsideMm: lengthMm(20, 200).describe('From the back to the inner side of the face.'),
  }),
  light: letterLight.extend({ standing: z.literal(false).optional() }),
  face: z.looseObject({ sheetId: id }),
});

export type LitDiscAssembly = Frozen<z.infer<typeof litDiscSchema>>;
