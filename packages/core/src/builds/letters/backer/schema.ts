import * as z from 'zod';
import { id, lengthMm, type Frozen } from '../../../document/design/index.js';

/** What letters stand on, where that hangs in one piece. */
export const backer = z
  .looseObject({
    kind: z
      .enum(['board', 'box'])
      .describe('One board; or a shallow box, open at the back, clad with a board that the letters stand on.'),
    boardId: id.describe('The board, or the cladding of the box.'),
    marginMm: lengthMm(0, 2000).describe('From the letters to its edges, all round.'),
    cornerMm: lengthMm(0, 500).optional().describe('Radius of its corners, of a board. Left out: square.'),
    frameBoardId: id.optional().describe('What the sides of a box are cut from. Left out: plywood of 12 mm.'),
    depthMm: lengthMm(10, 400).optional().describe('Of a box, behind its cladding. Left out: 40.'),
    overMm: lengthMm(0, 10)
      .optional()
      .describe('How far the cladding is cut larger than its box, all round. Left out: 0.'),
    trimmed: z.boolean().optional().describe('The cladding is trimmed flush once it is glued on.'),
  })
  .nullable()
  .optional()
  .describe('A backer or a clad box behind the letters. Left out: they hang on the wall one by one.');

export type BackerDesign = NonNullable<Frozen<z.infer<typeof backer>>>;
