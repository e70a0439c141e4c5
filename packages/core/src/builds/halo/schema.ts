import * as z from 'zod';
import { assemblyFrame, colour, id, lengthMm, place, type Frozen } from '../../document/design/index.js';
import { backer } from '../letters/backer/schema.js';
import { letterArtwork, letterLight } from '../letters/schema.js';

const haloLetters = z
  .looseObject({
    form: z.enum(['plate', 'hollow']).describe('A flat plate, or a shell with returns.'),
    boardId: id.describe('What the fronts of the letters are cut from.'),
    colour: colour.describe('Of the finished letters, as sRGB.'),
    depthMm: lengthMm(2, 400).describe('Front to rear edge of hollow letters; a plate is as deep as its board.'),
    wallMm: lengthMm(0.4, 12).describe('Thickness of the returns of hollow letters.'),
    perimeters: z
      .number()
      .int()
      .min(1)
      .max(20)
      .optional()
      .describe('Of printed shells: lines of plastic round each side of a wall. Left out: 3.'),
    solidLayers: z
      .number()
      .int()
      .min(1)
      .max(40)
      .optional()
      .describe('Of printed shells: solid layers on each side of a front. Left out: 5.'),
    layerMm: lengthMm(0.05, 0.6).optional().describe('Of printed shells: height of a layer. Left out: 0.2.'),
    back: z
      .enum(['open', 'closed'])
      .describe(
        'Hollow letters: open at the back, strip inside on the front; or an opaque back that carries the strip.',
      ),
    backFinishId: id.describe('The finish of what faces the wall, inside and on the backs.'),
    standoffMm: lengthMm(4, 200).describe('From the wall to the rear edge of the letters.'),
    wallId: id.describe('The wall or backer that the light falls on.'),
  })
  .describe('The letters: form, material, distance from the wall.');

const posts = z
  .looseObject({
    diameterMm: lengthMm(2, 40),
    perPostKg: z.number().min(0.05).max(50).describe('What one post with its fixing may carry.'),
    pinned: z
      .array(place)
      .max(400)
      .optional()
      .describe('Posts put by hand; each takes the place of the solved post that is nearest to it.'),
  })
  .describe('What holds the letters off the wall.');

const light = letterLight
  .extend({
    standing: z
      .boolean()
      .describe('The strip stands on its side and looks out to the edge; else it lies flat and looks at the wall.'),
  })
  .describe('Which strip, and where it runs behind the letters.');

/** Halo letters in a design. */
export const haloSchema = z.looseObject({
  ...assemblyFrame,
  build: z.literal('halo'),
  artwork: letterArtwork,
  letters: haloLetters,
  posts,
  light,
  backer,
});

export type HaloAssembly = Frozen<z.infer<typeof haloSchema>>;
