import * as z from 'zod';
import { id, lengthMm, lettering, photometry, stripHold, type Frozen } from '../../document/design/index.js';

/** Letters that are the sign itself stand where they stand: no face to shift them on. */
export const letterArtwork = z
  .looseObject({
    ...lettering,
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
      .describe('How split parts find each other: dovetail tabs (when left out), or marks for pins.'),
  })
  .describe('The letters themselves.');

/** Strip laid in letters, behind them or inside. */
export const letterLight = z
  .looseObject({
    stripId: id,
    layout: z
      .enum(['outline', 'centre', 'rows'])
      .describe('Along the outline, along the middle of the strokes, or in rows that fill the letters.'),
    setbackMm: lengthMm(0, 500).describe('From the outline to the near side of the strip.'),
    lineCount: z.number().int().min(1).max(20).describe('Lines of strip side by side, along the outline.'),
    linePitchMm: lengthMm(4, 500).describe('From the middle of one line or row to the next.'),
    startMm: lengthMm(0, 100_000)
      .optional()
      .describe('How far along each closed outline its first part starts; 0 when left out.'),
    moved: z
      .array(
        z.looseObject({
          segment: z.number().int().min(1).max(5000),
          module: z.number().int().min(1).max(5000).optional(),
          alongMm: lengthMm(-5000, 5000),
        }),
      )
      .max(5000)
      .optional()
      .describe('Segments, or single modules of them, pushed along their path by hand and held there.'),
    leftOut: z
      .array(z.number().int().min(1).max(5000))
      .max(5000)
      .optional()
      .describe('Numbers of segments that are not laid.'),
    ...stripHold,
    photometry,
  })
  .describe('Which strip, and where it runs in the letters.');

/** What letters that are the sign itself say about their outlines. */
export type LetterArtwork = Frozen<z.infer<typeof letterArtwork>>;
/** How strip is laid in letters. */
export type LetterLight = Frozen<z.infer<typeof letterLight>> & { readonly standing?: boolean | undefined };
