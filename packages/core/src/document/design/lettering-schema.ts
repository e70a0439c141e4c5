import * as z from 'zod';
import { id, lengthMm } from './fields.js';

/** The most numbers that the outlines of one drawing may have: twice its points. */
export const maxDrawingNumbers = 200_000;

/** The most lines that a drawing of lines may have in a design, and numbers in them: twice their points. */
export const mostDrawnLines = 400;
export const mostLineNumbers = 40_000;

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

/** What every assembly says about its letters or its drawing. */
export const lettering = {
  text: z.string().max(200).optional().describe('What this assembly says; what the brief says when left out.'),
  fontId: id,
  ownFont: z
    .looseObject({ name: z.string().max(160), base64: z.string().max(1_400_000) })
    .nullable()
    .optional()
    .describe('A font file (TTF, OTF or WOFF) of the shop’s own, used instead of `fontId`.'),
  weight: z
    .number()
    .min(1)
    .max(1000)
    .optional()
    .describe('How heavy a variable font is set (400 is regular, 700 bold); its own weight when left out.'),
  tracking: z
    .number()
    .min(-0.5)
    .max(3)
    .optional()
    .describe('Room added between letters, in cap heights; none when left out.'),
  drawing,
  toolId: id.optional().describe('What the letters are cut with; the usual tool of the build when left out.'),
  mirrored: z
    .boolean()
    .optional()
    .describe('Worked from behind and cut mirrored: film on the inner side of a face, letters with their back up.'),
  capHeightMm: lengthMm(2, 5000).describe('Height of a capital H.'),
  lineSpacing: z.number().min(0.5).max(4).describe('Baseline to baseline, in cap heights.'),
  align: z.enum(['left', 'centre', 'right']),
};
