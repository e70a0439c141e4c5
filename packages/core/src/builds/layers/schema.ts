import * as z from 'zod';
import { colour, id, lengthMm, lettering, type Frozen } from '../../document/design/index.js';
import { boxSchema } from '../boxes/schema.js';
import { picture } from '../common/picture-schema.js';
import { inlaySchema } from '../common/inlay-schema.js';

/** The most sheets that a scene may have: more are no scene, and take minutes to light. */
export const mostSheets = 16;

const sheet = z
  .looseObject({
    id,
    name: z.string().min(1).max(120),
    shape: z
      .enum(['whole', 'window', 'drawing', 'letters', 'lettered'])
      .describe(
        'All of the inside; the same with an opening; a drawing; the letters of the artwork, each a piece of its own; or all of the inside with those letters cut out of it.',
      ),
    borderMm: lengthMm(1, 2000)
      .optional()
      .describe('Of a window: from the edge of the inside in to the opening. Left out: 30.'),
    drawing: lettering.drawing.describe('Its outline, about the middle of the inside.'),
    materialId: id.describe('A board, or an opal sheet, which glows.'),
    colour: colour.describe('Of its front, as sRGB.'),
    picture: picture.describe(
      'A print or photograph on its front, over its outline; none: it is painted. What is cut is its outline.',
    ),
    whiteBehind: z
      .boolean()
      .optional()
      .describe('Its rear side is white, so that light bounces. Left out: true; else it is as its front.'),
    inlay: inlaySchema
      .nullable()
      .optional()
      .describe('Letters that are let into those cut out of a lettered sheet. Left out: they stay open.'),
    heightMm: lengthMm(0, 900).describe('Wanted from the inner side of the back to its rear side.'),
    held: z
      .enum(['spacers', 'combs'])
      .optional()
      .describe(
        'What holds it: spacers behind it (when left out), or combs on the floor that it is slotted into; a part that combs cannot hold stands on spacers.',
      ),
    xMm: lengthMm(-5000, 5000).optional().describe('Moved right by so much; none when left out.'),
    yMm: lengthMm(-5000, 5000).optional().describe('The same, up.'),
  })
  .describe('A sheet of the scene.');

const stripBehind = z
  .looseObject({
    sheetId: id.describe('Along the edges of that sheet which lie within the box.'),
    setbackMm: lengthMm(1, 300).describe('From the edge of the sheet in to the strip.'),
    looks: z
      .enum(['back', 'front'])
      .describe('Stuck on the rear side of the sheet, to the back; or on the back, to the front.'),
  })
  .describe('Strip hidden behind the overlap of a sheet; none: it lies in the case as in any other.');

const combs = z
  .looseObject({
    materialId: id.describe('A board or an opal sheet, cut as the sheets are.'),
    highMm: lengthMm(8, 200).describe('From the floor of the box; half of it is slot.'),
    insetMm: lengthMm(5, 2000).describe('From the sides of the inside in to their middles.'),
    overMm: lengthMm(-1, 1)
      .nullable()
      .optional()
      .describe(
        'Slots are narrower than what goes into them by so much; negative: wider. Left out or null: what is usual.',
      ),
  })
  .describe('Two combs on the floor, from back to front, which sheets are slotted into.');

const scene = z
  .looseObject({
    sheets: z
      .array(sheet)
      .max(mostSheets, { message: `has more than ${mostSheets} sheets; join some of them in the drawing` })
      .describe('From back to front.'),
    backColour: colour.describe('Of the back, as sRGB: what is seen behind all sheets.'),
    stripBehind: stripBehind.nullable().optional(),
    combs: combs.nullable().optional(),
    viewDeg: z
      .number()
      .min(0)
      .max(60)
      .optional()
      .describe('Looked at from so far aside: strip and spacers are to be hidden from there. Left out: 25.'),
  })
  .describe('What stands in the box.');

const trim = z
  .looseObject({
    materialId: id.describe('A board, ripped to its width.'),
    widthMm: lengthMm(4, 60).describe('From the outer edge of the returns in.'),
  })
  .describe('Strips mitred round the front, over the edges of returns and clear front. Left out: none.');

/** A layered scene in a design: a case with a clear front, and sheets on spacers in it. */
export const layersSchema = boxSchema.extend({
  build: z.literal('layers'),
  scene,
  trim: trim.nullable().optional(),
});

export type LayersAssembly = Frozen<z.infer<typeof layersSchema>>;
export type CombsDesign = NonNullable<LayersAssembly['scene']['combs']>;
export type StripBehind = NonNullable<LayersAssembly['scene']['stripBehind']>;
export type SceneDesign = LayersAssembly['scene'];
export type SheetDesign = SceneDesign['sheets'][number];
