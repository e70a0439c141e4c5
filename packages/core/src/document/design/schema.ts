import * as z from 'zod';
import { id, lengthMm } from './fields.js';
import { power, proof } from './power-schema.js';

/** The name that stands in every design file, and the version this program writes. */
export const designFormat = 'vitrum-design';
export const designVersion = 1;

const money = z.number().min(0).max(1e7);

/** What the customer wants and where the piece will hang. */
const brief = z
  .looseObject({
    text: z.string().max(200).describe('What the sign says; a line break starts a new line.'),
    place: z.enum(['wall', 'window', 'counter', 'ceiling']).describe('What it hangs on or stands on.'),
    exposure: z.enum(['indoors', 'damp', 'outdoors']),
    ambient: z
      .enum(['noon', 'overcast', 'shop', 'evening', 'dark'])
      .describe('The brightest light in which it must still read as lit.'),
    readingDistanceMm: lengthMm(200, 200_000).describe('The nearest distance from which it is usually looked at.'),
    hoursPerDay: z.number().min(0).max(24),
    light: z
      .discriminatedUnion('kind', [
        z.looseObject({ kind: z.literal('white'), cctK: z.number().min(1800).max(10_000) }),
        z.looseObject({ kind: z.literal('rgb'), colour: z.string().regex(/^#[0-9a-f]{6}$/i) }),
      ])
      .describe('A white of a colour temperature, or a mixed colour shown here as sRGB.'),
    control: z
      .enum(['switch', 'knob', 'remote'])
      .optional()
      .describe('How the customer sets the light: on and off only (when left out), by a knob, or by a remote.'),
    leadExit: z
      .enum(['left', 'right', 'top', 'bottom', 'back'])
      .describe('Where the low-voltage lead leaves the case.'),
    leadLengthMm: lengthMm(0, 50_000).describe('From the case to the supply.'),
    quantity: z.number().int().min(1).max(1000),
    budget: money.nullable().describe('Per piece; null when none was named.'),
    outsideQuote: money.nullable().describe('Per piece, what another shop asks; null when unknown.'),
  })
  .describe('What it says, where it hangs, how it is looked at.');

/** The most numbers that the outlines of one drawing may have: twice its points. */
export const maxDrawingNumbers = 200_000;

const drawing = z
  .looseObject({
    name: z.string().max(160).describe('The file it came from.'),
    rings: z
      .array(z.array(z.number().min(-1e6).max(1e6)).min(6))
      .max(20_000)
      .refine((rings) => rings.reduce((sum, ring) => sum + ring.length, 0) <= maxDrawingNumbers, {
        message: `has more than ${maxDrawingNumbers / 2} points; simplify the drawing`,
      })
      .describe('Outlines as x, y, x, y … in mm, y up; outer ones anticlockwise, holes clockwise.'),
    scale: z.number().min(1e-4).max(1e4).describe('What its lengths are multiplied by.'),
  })
  .nullable()
  .optional()
  .describe('A drawing that takes the place of the text.');

/** What every build says about its letters. */
const lettering = {
  fontId: id,
  ownFont: z
    .looseObject({ name: z.string().max(160), base64: z.string().max(1_400_000) })
    .nullable()
    .optional()
    .describe('A font file (TTF, OTF or WOFF) of the shop’s own, used instead of `fontId`.'),
  tracking: z
    .number()
    .min(-0.5)
    .max(3)
    .optional()
    .describe('Room added between letters, in cap heights; none when left out.'),
  drawing,
  toolId: id.optional().describe('What the letters are cut with; the usual tool of the build when left out.'),
  capHeightMm: lengthMm(2, 5000).describe('Height of a capital H.'),
  lineSpacing: z.number().min(0.5).max(4).describe('Baseline to baseline, in cap heights.'),
  align: z.enum(['left', 'centre', 'right']),
};

const artwork = z
  .looseObject({
    ...lettering,
    mirrored: z
      .boolean()
      .optional()
      .describe('Worked from behind: film is laid on the inner side of the face, and cut mirrored.'),
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

/** Letters that are the piece itself stand where they stand: no face to shift them on. */
const letterArtwork = z
  .looseObject({
    ...lettering,
    mirrored: z.boolean().optional().describe('Cut with the back up: the drawings of the letters are mirrored.'),
    splits: z
      .array(
        z.looseObject({
          xMm: lengthMm(-20_000, 20_000),
          yMm: lengthMm(-20_000, 20_000),
          angleDeg: z.number().min(-180).max(180).describe('From level, anticlockwise.'),
        }),
      )
      .max(40)
      .optional()
      .describe(
        'Lines along which the letter at each place is cut in two, for a machine or a sheet that is too small.',
      ),
    registration: z
      .enum(['tabs', 'pins'])
      .optional()
      .describe('How split pieces find each other: dovetail tabs (when left out), or marks for pins.'),
  })
  .describe('The letters themselves.');

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
    cornerJoint: z.enum(['butt', 'mitre']),
    retention: z
      .enum(['rabbet', 'groove', 'laid-on'])
      .describe('How the face is held: in a rabbet at the front, in a groove all round, or laid on the front edges.'),
    seatMm: lengthMm(2, 60).describe('How far the face (and the back) reaches into the returns.'),
    lipMm: lengthMm(2, 60).describe('Wood left in front of a groove.'),
    playMm: lengthMm(0, 10).describe('Clearance on each side of face and back in their seats.'),
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
        'Which way the LEDs look. Rows: front, or side when the strip stands on its edge. Rim: in or front. Block: out or front. Left out: front, in and out in that order.',
      ),
    photometry: z
      .looseObject({ name: z.string().max(120), ies: z.string().max(200_000) })
      .nullable()
      .optional()
      .describe('A measured distribution of the LEDs: the text of an IES file (LM-63). Only its shape is used.'),
    rowCount: z.number().int().min(0).max(400),
    turnCount: z.number().int().min(1).max(20).describe('How many times the strip goes round the rim.'),
    endMarginMm: lengthMm(0, 1000).describe('The least distance from a strip end to the return.'),
  })
  .describe('Which strip, and where it runs.');

const coats = z
  .array(z.looseObject({ coatingId: id, coats: z.number().int().min(1).max(8) }))
  .max(5)
  .optional()
  .describe('What is on the inner side of the sheet, from the LEDs outward: sanding, film, coats of paint, a print.');

const face = z
  .looseObject({
    sheetId: id,
    coats,
    second: z
      .looseObject({ sheetId: id, gapMm: lengthMm(0, 300), coats })
      .nullable()
      .optional()
      .describe('Another sheet behind the face, tight (gap 0) or on spacers.'),
  })
  .describe('The diffusing face.');

const lightbox = z.looseObject({
  id,
  build: z.literal('lightbox'),
  artwork,
  case: caseSchema,
  light,
  face,
});

const place = z.looseObject({ xMm: lengthMm(-20_000, 20_000), yMm: lengthMm(-20_000, 20_000) });

const haloLetters = z
  .looseObject({
    form: z.enum(['plate', 'hollow']).describe('A flat plate, or a shell with returns.'),
    boardId: id.describe('What the fronts of the letters are cut from.'),
    colour: z
      .string()
      .regex(/^#[0-9a-f]{6}$/i)
      .describe('Of the finished letters, as sRGB.'),
    depthMm: lengthMm(2, 400).describe('Front to rear edge of hollow letters; a plate is as deep as its board.'),
    wallMm: lengthMm(0.4, 12).describe('Thickness of the returns of hollow letters.'),
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

const haloLight = z
  .looseObject({
    stripId: id,
    layout: z
      .enum(['outline', 'centre', 'rows'])
      .describe('Along the outline, along the middle of the strokes, or in rows that fill the letters.'),
    standing: z
      .boolean()
      .describe('The strip stands on its side and looks out to the edge; else it lies flat and looks at the wall.'),
    setbackMm: lengthMm(0, 500).describe('From the outline to the near side of the strip.'),
    lineCount: z.number().int().min(1).max(20).describe('Lines of strip side by side, along the outline.'),
    linePitchMm: lengthMm(4, 500).describe('From the middle of one line or row to the next.'),
    startMm: lengthMm(0, 100_000)
      .optional()
      .describe('How far along each closed outline its first piece starts; 0 when left out.'),
    moved: z
      .array(
        z.looseObject({
          piece: z.number().int().min(1).max(5000),
          module: z.number().int().min(1).max(5000).optional(),
          alongMm: lengthMm(-5000, 5000),
        }),
      )
      .max(5000)
      .optional()
      .describe('Pieces, or single modules of them, pushed along their path by hand and held there.'),
    leftOut: z
      .array(z.number().int().min(1).max(5000))
      .max(5000)
      .optional()
      .describe('Numbers of pieces that are not laid.'),
    photometry: light.shape.photometry,
  })
  .describe('Which strip, and where it runs behind the letters.');

const cans = z
  .looseObject({
    returnBoardId: id.describe('What the returns are bent from.'),
    wallMm: lengthMm(0.4, 12).describe('Thickness of the returns.'),
    backBoardId: id,
    depthInsideMm: lengthMm(8, 400).describe('From the inner side of the back to the inner side of the face.'),
    liningId: id.describe('The finish inside.'),
    colour: z
      .string()
      .regex(/^#[0-9a-f]{6}$/i)
      .describe('Of the finished returns, as sRGB.'),
    fit: z
      .enum(['inset', 'trimmed'])
      .describe('The face sits within the returns, or lies on their edges under a trim that reaches round them.'),
    playMm: lengthMm(0, 5).describe(
      'Clearance all round: of an inset face and back in the returns, of a trim over them.',
    ),
  })
  .describe('The cans: letter-shaped cases.');

const letterFace = z.looseObject({ sheetId: id, coats }).describe('The diffusing faces of letters.');

const faceLitLight = z
  .looseObject({ ...haloLight.shape, standing: z.literal(false).optional() })
  .describe('Which strip, and where it runs on the backs; it faces the front.');

const faceLit = z.looseObject({
  id,
  build: z.literal('face-lit'),
  artwork: letterArtwork,
  cans,
  light: faceLitLight,
  face: letterFace,
});

const halo = z.looseObject({
  id,
  build: z.literal('halo'),
  artwork: letterArtwork,
  letters: haloLetters,
  posts,
  light: haloLight,
});

/**
 * The design document, version 1. Objects are loose: fields this program does not know are kept as they came.
 * `docs/design-format.md` is generated from this.
 */
export const designSchema = z.looseObject({
  format: z.literal(designFormat),
  version: z.literal(designVersion),
  name: z.string().min(1).max(120),
  brief,
  assemblies: z
    .array(z.discriminatedUnion('build', [lightbox, halo, faceLit]))
    .min(1)
    .max(1),
  power,
  proof,
});

type Frozen<T> = T extends readonly (infer Item)[]
  ? readonly Frozen<Item>[]
  : T extends object
    ? { readonly [Key in keyof T]: Frozen<T[Key]> }
    : T;

export type Design = Frozen<z.infer<typeof designSchema>>;
export type Brief = Design['brief'];
export type Assembly = Design['assemblies'][number];
export type BuildName = Assembly['build'];
export type LightboxAssembly = Extract<Assembly, { readonly build: 'lightbox' }>;
export type FaceLitAssembly = Extract<Assembly, { readonly build: 'face-lit' }>;
export type HaloAssembly = Extract<Assembly, { readonly build: 'halo' }>;
/** A design whose assembly is of one build. */
export type LightboxDesign = Design & { readonly assemblies: readonly LightboxAssembly[] };
export type FaceLitDesign = Design & { readonly assemblies: readonly FaceLitAssembly[] };
export type HaloDesign = Design & { readonly assemblies: readonly HaloAssembly[] };
/** What every build says about its letters. */
export type Artwork = Assembly['artwork'];
export type BoxArtwork = LightboxAssembly['artwork'];
export type CaseDesign = LightboxAssembly['case'];
export type LightDesign = LightboxAssembly['light'];
export type FaceDesign = LightboxAssembly['face'];
export type HaloLetters = HaloAssembly['letters'];
export type HaloPosts = HaloAssembly['posts'];
export type HaloLight = HaloAssembly['light'];
/** What letters that are the piece itself say about their outlines. */
export type LetterArtwork = HaloAssembly['artwork'];
/** Strip laid in letters, behind or inside. */
export type LetterLight = HaloLight | FaceLitAssembly['light'];
export type CansDesign = FaceLitAssembly['cans'];
export type PowerDesign = Design['power'];
export type Ambient = Brief['ambient'];

/** The JSON Schema of the design document (draft 2020-12). */
export const designJsonSchema = (): Record<string, unknown> =>
  z.toJSONSchema(designSchema, { target: 'draft-2020-12' });
