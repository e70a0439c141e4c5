import * as z from 'zod';
import type { Frozen } from '../../document/design/index.js';

/** The most places of a printed picture that a design keeps. */
export const mostPixels = 20_000;

/** A picture that is printed, as a design keeps it: three bytes a place. */
export const picture = z
  .looseObject({
    name: z.string().max(160).describe('The file it came from.'),
    columns: z.number().int().min(2).max(400),
    rows: z.number().int().min(2).max(400),
    rgb: z
      .string()
      .max(4 * mostPixels)
      .describe('Three bytes a place in base64, row by row from the upper left: sRGB red, green and blue.'),
  })
  .refine(({ columns, rows, rgb }) => rgb.length === 4 * columns * rows, {
    message: 'has more or fewer bytes than places; load its file again',
  })
  .nullable()
  .optional();

export type PictureDesign = Frozen<NonNullable<z.infer<typeof picture>>>;
