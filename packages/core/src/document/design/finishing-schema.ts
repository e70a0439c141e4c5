import * as z from 'zod';
import type { Frozen } from './frozen.js';
import { id } from './fields.js';

/** What is laid on what is seen, what holds parts together, and in which order. */
export const finishing = z
  .looseObject({
    coats: z
      .array(
        z.looseObject({
          surface: id,
          layers: z.array(z.looseObject({ paintId: id, coats: z.number().int().min(1).max(8) })).max(6),
        }),
      )
      .max(12)
      .optional()
      .describe('Coats of a surface, the first next to it; none is left raw. Surfaces left out have what is usual.'),
    betweenCoatsMin: z
      .number()
      .min(0)
      .max(20_000)
      .optional()
      .describe('How long a coat is to dry before the next, in minutes. Left out: as long as it wants.'),
    insideAfterGlueUp: z
      .boolean()
      .optional()
      .describe('The inside is painted once the case is glued. Left out: whichever can be reached.'),
    glues: z
      .array(z.looseObject({ bond: id, glueId: id }))
      .max(12)
      .optional()
      .describe('Glue of a joint. Left out: the cheapest that holds both materials.'),
    atHand: z
      .array(z.looseObject({ itemId: id, count: z.number().min(0).max(1000) }))
      .max(40)
      .optional()
      .describe('Full cans or tubes at hand. Left out: they are bought.'),
  })
  .optional()
  .describe('Paint and glue.');

export type FinishingDesign = NonNullable<Frozen<z.infer<typeof finishing>>>;
