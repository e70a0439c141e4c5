import * as z from 'zod';
import { id, lengthMm, type Frozen } from '../../document/design/index.js';
import { boxSchema } from '../boxes/schema.js';
import { picture } from '../common/picture-schema.js';

const shows = z
  .looseObject({
    kind: z
      .enum(['print', 'mirror-tile', 'lit-mirror'])
      .describe(
        'A print between clear sheets; a mirror whose silver is engraved through; a mirror with a frosted band along its edge.',
      ),
    mirrorId: id.optional().describe('Which mirror, of the two that have one. Left out: mirror glass of 4 mm.'),
    picture: picture.describe('The picture on a print, over all of it; none: white where nothing is lettered.'),
    band: z
      .looseObject({
        insetMm: lengthMm(0, 500).describe('From the edge of the mirror in to the band.'),
        widthMm: lengthMm(1, 500),
        cornerMm: lengthMm(0, 1000).optional().describe('Radius of its outer corners. Left out: 0.'),
      })
      .describe('The frosted band of a lit mirror; kept, and of no account, while the frame shows something else.'),
    beadMm: lengthMm(1, 200)
      .optional()
      .describe(
        'From the edge of a mirror that is laid on to the middle of its bead of glue. Left out: half of the returns’ thickness.',
      ),
    mirrorWork: z
      .looseObject({
        by: z
          .enum(['here', 'glass-shop'])
          .optional()
          .describe('Who cuts the mirror and takes its silver off. Left out: here.'),
        failShare: z
          .number()
          .min(0)
          .max(0.9)
          .optional()
          .describe(
            'Of tries here so many fail, from 0 to 0.9: each costs a mirror and the work on it. Left out: 0.2.',
          ),
        quote: z
          .number()
          .min(0)
          .max(100_000)
          .nullable()
          .optional()
          .describe('What a glass shop asks for one, as drawn.'),
      })
      .optional()
      .describe('How the mirror is come by.'),
  })
  .describe('What the frame shows.');

/** A display frame in a design: a case whose face is a print or a mirror. */
export const frameSchema = boxSchema.extend({ build: z.literal('frame'), shows });

export type FrameAssembly = Frozen<z.infer<typeof frameSchema>>;
export type ShowsDesign = FrameAssembly['shows'];
export type FrameKind = ShowsDesign['kind'];
