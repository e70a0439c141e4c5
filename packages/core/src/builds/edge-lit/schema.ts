import * as z from 'zod';
import {
  assemblyFrame,
  id,
  lengthMm,
  lettering,
  photometry,
  stripHold,
  type Frozen,
} from '../../document/design/index.js';
import { sheetSides } from '../../light/sheet/index.js';

/** The most cells across and up of a graded fill. */
export const mostGradedCells = 48;

/** The most places of a photograph’s tones: finer detail is no dot of any tool. */
export const mostTones = 40_000;
/** So many areas can be worked beside the artwork. */
export const mostAreas = 5;

const photo = z
  .looseObject({
    name: z.string().max(160).describe('The file it came from.'),
    columns: z.number().int().min(2).max(400),
    rows: z.number().int().min(2).max(400),
    tones: z
      .string()
      .max(4 * Math.ceil(mostTones / 3))
      .describe('A byte a place in base64, row by row from the upper left: sRGB greys, 0 black, 255 white.'),
    widthMm: lengthMm(5, 3000),
    worked: z
      .enum(['bright', 'dark'])
      .optional()
      .describe('Which of it is worked, and shines: its bright places (when left out) or its dark ones.'),
  })
  .refine(({ columns, rows, tones }) => tones.length === 4 * Math.ceil((columns * rows) / 3), {
    message: 'has more or fewer tones than places; load its file again',
  })
  .nullable()
  .optional()
  .describe('A photograph, worked as dots by its brightness, in the place of text and drawing.');

const artwork = z
  .looseObject({
    ...lettering,
    photo,
    offsetXMm: lengthMm(-5000, 5000).describe(
      'Shift of the artwork’s middle from the middle of the sheet, right positive.',
    ),
    offsetYMm: lengthMm(-5000, 5000).describe('The same, up positive.'),
    depthMm: lengthMm(0.005, 3).describe('How deep the face is worked.'),
    fill: z
      .enum(['solid', 'hatch', 'dots'])
      .describe('Worked all over, in lines, or in dots: the less, the more light stays for what lies farther on.'),
    spacingMm: lengthMm(0.1, 20)
      .optional()
      .describe('Of hatch and dots, from middle to middle where they are closest. Left out: 1.'),
    graded: z
      .looseObject({
        columns: z.number().int().min(1).max(mostGradedCells),
        rows: z.number().int().min(1).max(mostGradedCells),
        shares: z.array(z.number().min(0).max(1)).max(mostGradedCells ** 2),
      })
      .nullable()
      .optional()
      .describe('How dense the fill is over the sheet, as shares of the densest, row by row from the lower left.'),
  })
  .describe('What is worked into the sheet.');

const unlit = z
  .enum(['polished', 'sawn', 'sanded', 'white', 'black'])
  .optional()
  .describe('Polished (when left out), as sawn, sanded, taped white or black.');

const sheet = z
  .looseObject({
    paneId: id,
    widthMm: lengthMm(30, 3000),
    heightMm: lengthMm(30, 3000),
    outline: lettering.drawing.describe(
      'Its outline from a drawing of one closed line, stretched to its width and height; a rectangle when left out. It stands in a base.',
    ),
    cornerMm: lengthMm(0, 500).optional().describe('Radius of the corners that stand free. Left out: 0.'),
    litFinish: z.enum(['polished', 'sawn']).optional().describe('Of the lit edges; polished when left out.'),
    unlit: z.looseObject({ top: unlit, right: unlit, bottom: unlit, left: unlit }).optional(),
    behind: z
      .enum(['open', 'black', 'white', 'painted'])
      .optional()
      .describe(
        'What is seen through it: what stands behind (when left out), a black or white board with air between, or paint on its back round the artwork.',
      ),
  })
  .describe('The clear sheet.');

const light = z
  .looseObject({
    stripId: id,
    ...stripHold,
    photometry,
    edges: z.array(z.enum(sheetSides)).min(1).max(4).describe('The edges that strip lies at.'),
    gapMm: lengthMm(0, 30).describe('From the LEDs to the edge.'),
    offsetMm: lengthMm(-30, 30).describe('From the sheet’s middle plane to that of the LEDs, forward positive.'),
    endMarginMm: lengthMm(0, 1000).describe('The least distance from an end of the strip to the corner of the sheet.'),
  })
  .describe('Which strip, and at which edges.');

const fit = {
  playMm: lengthMm(0, 3).describe('Clearance on each side of the sheet in its slot.'),
  fit: z
    .enum(['slide', 'press', 'glued'])
    .optional()
    .describe('How the sheet is held in its slot. Left out: it slides.'),
} as const;

const base = z.looseObject({
  kind: z.literal('base'),
  make: z.enum(['wood', 'printed']),
  boardId: id.describe('What a wooden base is cut from; as high as it is thick.'),
  heightMm: lengthMm(12, 200).optional().describe('Of a printed base. Left out: 32.'),
  depthMm: lengthMm(16, 400).describe('From front to rear.'),
  overhangMm: lengthMm(0, 400).describe('How far it reaches past the sheet on either side.'),
  slotMm: lengthMm(3, 150).describe('How deep the sheet stands in it.'),
  ...fit,
  lidBoardId: id.describe('What closes it from below.'),
  pocketMm: lengthMm(0, 1000)
    .optional()
    .describe('Length of a pocket beside the strip, for a controller. Left out: none.'),
  exit: z.enum(['lead', 'jack']).optional().describe('The lead comes out (when left out), or plugs into a jack.'),
});

const framed = {
  boardId: id.describe('What its members are ripped from.'),
  joint: z.enum(['butt', 'rabbet', 'pocket-screws', 'dowels', 'mitre', 'mitre-spline', 'mitre-tenon']),
  seatMm: lengthMm(2, 60).describe('How far the sheet reaches into the members.'),
  ...fit,
} as const;

const frame = z.looseObject({
  kind: z.literal('frame'),
  ...framed,
  depthMm: lengthMm(12, 200).describe('Of its members, from front to rear.'),
  lipMm: lengthMm(2, 60).describe('Wood left before the sheet.'),
});

const top = z.looseObject({
  kind: z.literal('top'),
  ...framed,
  depthMm: lengthMm(20, 1000).describe('Of the case, from the sheet down.'),
  bottomBoardId: id.describe('What closes the case below.'),
  underMm: lengthMm(0, 20_000)
    .optional()
    .describe('Strip that lies under the case and shines down: the rest of the reel, say. Left out: none.'),
});

/** An edge-lit sheet in a design. */
export const edgeLitSchema = z.looseObject({
  ...assemblyFrame,
  build: z.literal('edge-lit'),
  artwork,
  areas: z
    .array(artwork)
    .max(mostAreas)
    .optional()
    .describe('What else is worked into the sheet: each its own text, drawing or photograph, face, tool and fill.'),
  sheet,
  light,
  holder: z
    .discriminatedUnion('kind', [base, frame, top])
    .describe('What the sheet stands in, hangs in, or is let into.'),
});

export type EdgeLitAssembly = Frozen<z.infer<typeof edgeLitSchema>>;
export type PanelArtwork = EdgeLitAssembly['artwork'];
export type PanelPhoto = NonNullable<PanelArtwork['photo']>;
export type SheetDesign = EdgeLitAssembly['sheet'];
export type PanelLight = EdgeLitAssembly['light'];
export type HolderDesign = EdgeLitAssembly['holder'];
export type BaseDesign = Extract<HolderDesign, { readonly kind: 'base' }>;
export type FrameDesign = Extract<HolderDesign, { readonly kind: 'frame' }>;
export type TopDesign = Extract<HolderDesign, { readonly kind: 'top' }>;
