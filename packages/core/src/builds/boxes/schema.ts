import * as z from 'zod';
import {
  assemblyFrame,
  coats,
  id,
  lengthMm,
  lettering,
  photometry,
  stripHold,
  type Frozen,
} from '../../document/design/index.js';

const artwork = z
  .looseObject({
    ...lettering,
    mode: z
      .enum(['opaque-letters', 'lit-letters', 'coloured-letters'])
      .describe('Dark letters on a lit ground; lit letters in an opaque mask; coloured letters on a lit ground.'),
    filmId: id.describe('The film or paint of the letters or of the mask.'),
    offsetXMm: lengthMm(-10_000, 10_000).describe(
      'Shift of the lettering’s middle from the middle of the face, right positive.',
    ),
    offsetYMm: lengthMm(-10_000, 10_000).describe('The same, up positive.'),
  })
  .describe('The lettering on the face.');

const caseSchema = z
  .looseObject({
    sizeBy: z
      .enum(['outside', 'face'])
      .describe('Whether width and height are those of the case or of the face sheet.'),
    widthMm: lengthMm(40, 12_000),
    heightMm: lengthMm(40, 12_000),
    depthInsideMm: lengthMm(8, 1000).describe('From the inner face of the back to the inner side of the face.'),
    returnBoardId: id,
    backBoardId: id,
    cornerJoint: z
      .enum(['butt', 'rabbet', 'pocket-screws', 'dowels', 'mitre', 'mitre-spline', 'mitre-tenon'])
      .describe('How the returns meet at the corners.'),
    retention: z
      .enum(['rabbet', 'groove', 'laid-on'])
      .describe('How the face is held: in a rabbet at the front, in a groove all round, or laid on the front edges.'),
    seatMm: lengthMm(2, 60).describe('How far the face (and the back) reaches into the returns.'),
    lipMm: lengthMm(2, 60).describe('Wood left in front of a groove.'),
    playMm: lengthMm(0, 10).describe('Clearance on each side of face and back in their seats.'),
    groovePlayMm: lengthMm(0, 5)
      .optional()
      .describe('Play of a sheet in the width of its groove, in all. Left out: 0.4.'),
    faceOut: z
      .enum(['never', 'top-off', 'open-top', 'lip-back'])
      .optional()
      .describe(
        'How a face in a groove comes out: never, the corners are glued round it (when left out); upward, past a top that is screwed on; upward, past a top that is set back behind it; or never, but it goes in last, past a lip that is ripped off the top and glued back.',
      ),
    mouthMm: lengthMm(0, 3)
      .optional()
      .describe('Chamfer at the mouths of the face’s groove. Left out: 1 where the face is slid in, else none.'),
    backPlayMm: lengthMm(0, 10)
      .optional()
      .describe('Clearance on each side of the back, where it is not that of the face.'),
    backHold: z
      .enum(['screws', 'inserts', 'turn-buttons'])
      .optional()
      .describe(
        'What holds the back, which opens for service: wood screws (when left out), machine screws in threaded inserts, or buttons on the rear edges that turn over it.',
      ),
    plugged: z.boolean().optional().describe('Screws of the corners are sunk, and hidden under wood plugs.'),
    recessMm: lengthMm(0, 100)
      .optional()
      .describe('How far the back stands in from the rear edges, for a cleat or a plug to hide in. Left out: 0.'),
    liningId: id.describe('The finish inside.'),
    vents: z
      .looseObject({
        count: z.number().int().min(1).max(200).describe('In each of both returns.'),
        diameterMm: lengthMm(2, 40),
      })
      .nullable()
      .optional()
      .describe('Holes in the bottom and the top return that let warm air rise through the case.'),
    block: z
      .looseObject({
        widthMm: lengthMm(10, 5000),
        heightMm: lengthMm(10, 5000),
        depthMm: lengthMm(5, 900),
        offsetXMm: lengthMm(-5000, 5000),
        offsetYMm: lengthMm(-5000, 5000),
      })
      .nullable()
      .optional()
      .describe('A box that stands on the back inside the case, over a supply or a controller; rows stop at it.'),
  })
  .describe('The case: sizes, boards, how it is joined.');

/** The sides of a case, clockwise from the top. */
export const boxSides = ['top', 'right', 'bottom', 'left'] as const;

const light = z
  .looseObject({
    stripId: id,
    layout: z
      .enum(['rows', 'rim', 'block'])
      .describe('Rows on the back, round the inside of the returns, or round the block on the back.'),
    facing: z
      .enum(['front', 'in', 'out', 'side'])
      .optional()
      .describe(
        'Which way the LEDs look. Rows: front, or side when the strip stands on its edge. Rim: in, front, or out at the returns from a ledge within them. Block: out or front. Left out: front, in and out in that order.',
      ),
    ...stripHold,
    photometry,
    rowCount: z.number().int().min(0).max(400),
    turnCount: z.number().int().min(1).max(20).describe('How many times the strip goes round the rim.'),
    sides: z
      .array(z.enum(boxSides))
      .min(1)
      .max(16)
      .optional()
      .describe(
        'Round the rim: the sides that carry strip, in the order it runs; a side named twice carries two. All four when left out.',
      ),
    corners: z
      .enum(['cut', 'bent'])
      .optional()
      .describe(
        'Round the rim or a block: cut and wired at each corner (when left out), or one piece bent round neighbouring sides; a block’s corners are rounded for it.',
      ),
    insetMm: lengthMm(4, 1000)
      .optional()
      .describe('Round the rim looking out: from the returns in to the ledge that carries the strip. Left out: 20.'),
    fromBackMm: lengthMm(0, 1000)
      .nullable()
      .optional()
      .describe(
        'Round the rim: from the back to the middle of the strip, or of all its turns one beside the other. Left out or null: spread over the depth.',
      ),
    endMarginMm: lengthMm(0, 1000).describe('The least distance from a strip end to the return.'),
  })
  .describe('Which strip, and where it runs.');

const face = z
  .looseObject({
    sheetId: id,
    coats,
    second: z
      .looseObject({
        sheetId: id,
        gapMm: lengthMm(0, 300),
        coats,
        seated: z
          .boolean()
          .optional()
          .describe(
            'In a groove all round, as deep as the seat of the face: of its own, or without a gap in that of the face. Else it stands on spacers.',
          ),
      })
      .nullable()
      .optional()
      .describe('Another sheet behind the face, tight (gap 0) or on spacers.'),
  })
  .describe('The diffusing face.');

/** What every case with a lit face says, whichever build it is of. */
export const boxSchema = z.looseObject({
  ...assemblyFrame,
  build: z.string(),
  artwork,
  case: caseSchema,
  light,
  face,
});

export type BoxSide = (typeof boxSides)[number];
/** An assembly that is a case with a lit face, of whichever build. */
export type BoxAssembly = Frozen<z.infer<typeof boxSchema>>;
export type BoxArtwork = BoxAssembly['artwork'];
export type CaseDesign = BoxAssembly['case'];
export type LightDesign = BoxAssembly['light'];
export type FaceDesign = BoxAssembly['face'];
