import * as z from 'zod';

/** A name by which the catalogue or the document knows something. */
export const id = z.string().min(1).max(80);

/** A length between two bounds (mm). */
export const lengthMm = (low: number, high: number) => z.number().min(low).max(high);

/** An sRGB colour as six hexadecimal digits. */
export const colour = z.string().regex(/^#[0-9a-f]{6}$/i);

/** A place on the front of an assembly, from its middle. */
export const place = z.looseObject({ xMm: lengthMm(-20_000, 20_000), yMm: lengthMm(-20_000, 20_000) });

/** A segment of strip: the assembly by its id, and the segment by its number there. */
export const segmentRef = z.looseObject({ assembly: id, segment: z.number().int().min(1).max(5000) });

/** What is on the inner side of a sheet. */
export const coats = z
  .array(z.looseObject({ coatingId: id, coats: z.number().int().min(1).max(8) }))
  .max(5)
  .optional()
  .describe('What is on the inner side of the sheet, from the LEDs outward: sanding, film, coats of paint, a print.');

/** How strip is held, and whether it has been stuck before. */
export const stripHold = {
  hold: z
    .enum(['tape', 'clips'])
    .optional()
    .describe('By its own tape (when left out), or by clips or dabs of neutral silicone besides.'),
  cuts: z
    .array(z.looseObject({ segment: z.number().int().min(1).max(5000), atMm: lengthMm(0, 100_000) }))
    .max(200)
    .optional()
    .describe(
      'Segments cut in two once more, at the cut mark nearest to so far from where current enters them; the rest takes the first free number.',
    ),
  secondHand: z.boolean().optional().describe('It has been stuck somewhere before.'),
} as const;

/** A measured distribution of light. */
export const photometry = z
  .looseObject({ name: z.string().max(120), ies: z.string().max(200_000) })
  .nullable()
  .optional()
  .describe('A measured distribution of the LEDs: the text of an IES file (LM-63). Only its shape is used.');
