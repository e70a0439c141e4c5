import * as z from 'zod';
import type { Frozen } from './frozen.js';
import { id, lengthMm, place } from './fields.js';

/** Ways to hang or stand a sign that a design may choose; posts in clips come with letters that stand on them. */
export const hangingWays = ['cleat', 'keyholes', 'holes', 'spacers', 'feet', 'brackets', 'chain'] as const;

/** How an assembly that stands on the wall by itself is held there. */
export const hanging = z
  .looseObject({
    way: z
      .enum(hangingWays)
      .describe(
        'A cleat; slotted plates on screws; screws through the back; spacers at the corners; feet; angle brackets; chains.',
      ),
    fixingId: id.optional().describe('What holds in the wall. Left out: the cheapest that carries it.'),
    count: z
      .number()
      .int()
      .min(1)
      .max(60)
      .optional()
      .describe('Fixings, of each letter where letters hang singly. Left out: as few as carry it.'),
    pinned: z
      .array(place)
      .max(200)
      .optional()
      .describe(
        'Fixings put by hand, from the middle of the sign; each takes the place of the nearest that was solved.',
      ),
    heightMm: lengthMm(0, 50_000).optional().describe('Of the middle of the sign above the floor. Left out: 2000.'),
    roomAboveMm: lengthMm(0, 50_000).optional().describe('Free above the sign, to lift it off. Left out: enough.'),
    blocks: z.boolean().optional().describe('Glue blocks inside, behind what holds on the back.'),
    cleatMm: lengthMm(6, 60).optional().describe('Thickness of both battens of a cleat. Left out: 12.'),
    matedTo: z
      .enum(['back', 'returns'])
      .optional()
      .describe('What the cleat’s mate is fixed to: the back (when left out), or the case round it.'),
    shiftMm: lengthMm(0, 3000)
      .optional()
      .describe('How far a sign on a cleat may be shifted sideways once it hangs. Left out: 20.'),
    footMm: lengthMm(20, 3000).optional().describe('Depth of feet, front to rear. Left out: as deep as it wants.'),
  })
  .nullable()
  .optional()
  .describe('How it hangs or stands. Left out: as its build usually does, or not decided yet.');

/** What the sign hangs on. */
export const wall = z
  .looseObject({
    kind: z
      .enum(['masonry', 'studs', 'board'])
      .describe('Brick or concrete; timber studs behind board; board with nothing behind it.'),
    studPitchMm: lengthMm(200, 1500).optional().describe('From stud to stud. Left out: 600.'),
    studAtMm: lengthMm(-1500, 1500)
      .optional()
      .describe('From the middle of the sign to the middle of a stud, right positive. Left out: not known yet.'),
  })
  .optional()
  .describe('The wall, or what else it is fixed to. Left out: masonry.');

export type HangingDesign = NonNullable<Frozen<z.infer<typeof hanging>>>;
export type WallDesign = NonNullable<Frozen<z.infer<typeof wall>>>;
