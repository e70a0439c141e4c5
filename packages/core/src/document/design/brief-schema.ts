import * as z from 'zod';
import { colour, lengthMm } from './fields.js';
import { wall } from './hanging-schema.js';

const money = z.number().min(0).max(1e7);

/** What the customer wants and where the sign will hang. */
export const brief = z
  .looseObject({
    text: z
      .string()
      .max(200)
      .describe('What the sign says; a line break starts a new line. An assembly may say something of its own.'),
    place: z.enum(['wall', 'window', 'counter', 'ceiling']).describe('What it hangs on or stands on.'),
    wall,
    exposure: z.enum(['indoors', 'damp', 'outdoors']),
    ambient: z
      .enum(['noon', 'overcast', 'shop', 'evening', 'dark'])
      .describe('The brightest light in which it must still read as lit.'),
    surroundings: z
      .enum(['indoors', 'country', 'low', 'town', 'city'])
      .optional()
      .describe(
        'What it is seen in after dark: indoors, dark country, a place of low brightness, a town, a city centre. Left out: indoors where it hangs indoors, else a town.',
      ),
    readingDistanceMm: lengthMm(200, 200_000).describe('The nearest distance from which it is usually looked at.'),
    hoursPerDay: z.number().min(0).max(24),
    light: z
      .discriminatedUnion('kind', [
        z.looseObject({ kind: z.literal('white'), cctK: z.number().min(1800).max(10_000) }),
        z.looseObject({ kind: z.literal('rgb'), colour: colour }),
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
    budget: money.nullable().describe('Per sign; null when none was named.'),
    outsideQuote: money.nullable().describe('Per sign, what another shop asks; null when unknown.'),
  })
  .describe('What it says, where it hangs, how it is looked at.');
