import * as z from 'zod';
import {
  assemblyFrame,
  coats,
  colour,
  id,
  lengthMm,
  lettering,
  photometry,
  stripHold,
  type Frozen,
} from '../../document/design/index.js';
import { inlaySchema } from '../common/inlay-schema.js';

/** The most rings that a stack may have: more are a column. */
export const mostRings = 24;

const plates = z
  .looseObject({
    shape: z
      .enum(['round', 'rectangle', 'drawing'])
      .describe('Of all plates: a circle or an oval, a rectangle, or a drawing.'),
    widthMm: lengthMm(60, 2400),
    heightMm: lengthMm(60, 2400).describe('A drawing is as high as it comes out at its width.'),
    cornerMm: lengthMm(0, 500).optional().describe('Radius of the corners of a rectangle. Left out: 0.'),
    drawing: lettering.drawing.describe('Their outline from a drawing, as wide as `widthMm`.'),
    wallMm: lengthMm(3, 300).describe('Width of the rings: from their outer edge to the room within.'),
    baseId: id.describe('What the base is cut from, a board.'),
    rings: z
      .array(
        z
          .looseObject({ id, materialId: id.describe('A board, or an opal sheet, whose edge glows.') })
          .describe('A ring of the stack.'),
      )
      .min(1)
      .max(mostRings, { message: `are more than ${mostRings}; take thicker ones` })
      .describe('From the base up.'),
    liningId: id.describe('The finish inside.'),
    colour: colour.describe('Of the lid and of opaque edges, as sRGB.'),
  })
  .describe('Plates stacked on each other: a base, rings, and a lid over them.');

const lid = z
  .looseObject({
    materialId: id.describe('A board, which letters are cut out of.'),
    inlay: inlaySchema.describe('The letters that are let into it.'),
    coats: coats.describe('Under the letters: film or frosting, from the LEDs outward.'),
  })
  .describe('The lid, with its letters.');

const light = z
  .looseObject({
    stripId: id,
    facing: z
      .enum(['in', 'out', 'both'])
      .describe('On the wall looking in; on a ledge within it looking out at the wall; or on both sides of the ledge.'),
    loops: z.number().int().min(1).max(6).describe('One over the other, on each side that carries strip.'),
    fromBaseMm: lengthMm(0, 500)
      .nullable()
      .optional()
      .describe('From the base to the middle of the loops. Left out or null: as low as they go.'),
    fromWallMm: lengthMm(4, 1000).optional().describe('From the wall in to the ledge. Left out: 25.'),
    ...stripHold,
    photometry,
  })
  .describe('Which strip, and where its loops run.');

/** Stacked plates in a design. */
export const stackedSchema = z.looseObject({
  ...assemblyFrame,
  build: z.literal('stacked'),
  artwork: z.looseObject(lettering),
  plates,
  lid,
  light,
});

export type StackedAssembly = Frozen<z.infer<typeof stackedSchema>>;
export type PlatesDesign = StackedAssembly['plates'];
export type LidDesign = StackedAssembly['lid'];
export type StackedLight = StackedAssembly['light'];

/** From the wall in to the ledge, where a design does not say (mm). */
export const usualFromWallMm = 25;
