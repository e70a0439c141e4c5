import * as z from 'zod';
import { id, lengthMm } from '../../document/design/index.js';

/** What is let into a sheet, and how tightly, in a design. */
export const inlaySchema = z.looseObject({
  materialId: id.describe('An opal sheet, which glows.'),
  overMm: lengthMm(-1, 1)
    .nullable()
    .optional()
    .describe(
      'So much wider than their pockets, both sides together; negative: loose. Left out or null: what is usual between the two.',
    ),
});
