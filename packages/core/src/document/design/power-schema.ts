import * as z from 'zod';
import { id, lengthMm, segmentRef } from './fields.js';

const segments = z.array(segmentRef).max(5000);

/** Supply, wire, feeding and control of the whole sign. */
export const power = z
  .looseObject({
    supplyId: z.union([z.literal('auto'), id]),
    supplyCount: z.number().int().min(1).max(20),
    wireId: z.union([z.literal('auto'), id]),
    headroomShare: z.number().min(0).max(1).describe('Reserve over the full load; 0.2 is usual.'),
    feed: z.enum(['one-end', 'both-ends']),
    joint: z
      .enum(['solder', 'clip', 'plug', 'lever', 'screw'])
      .optional()
      .describe('How wires are joined to strip; soldered when left out.'),
    jointId: id
      .optional()
      .describe('Which connector of that kind, where the shop has several; the first when left out.'),
    chainsBegin: segments.optional().describe('Segments that begin a chain of their own, by hand.'),
    chainsCarryOn: segments
      .optional()
      .describe('Segments that carry on the chain before them, by hand; from one assembly to the next as well.'),
    fedBackward: segments
      .optional()
      .describe('Chains that are fed at their far end, each named by the first of its segments.'),
    fedForward: segments
      .optional()
      .describe('Chains that are fed at their first segment even where the far end lies much nearer to the lead.'),
    injections: z
      .array(segmentRef.extend({ end: z.enum(['start', 'end']) }))
      .max(1000)
      .optional()
      .describe('Ends of segments that are fed besides.'),
    crossings: z
      .enum(['holes', 'over'])
      .optional()
      .describe(
        'Wires from letter to letter: behind the wall or the backs by a hole at each end, or across in front of them. Left out: as is usual for the build.',
      ),
    source: z
      .enum(['mains', 'usb', 'battery'])
      .optional()
      .describe('What the supply is fed by; the mains when left out.'),
    level: z.number().min(0).max(1).optional().describe('How far the light is turned up; all of it when left out.'),
    nightLevel: z
      .number()
      .min(0.001)
      .max(1)
      .optional()
      .describe('How far it is turned down after dark, as a share of its level by day; not at all when left out.'),
    zones: z
      .array(z.looseObject({ segments, level: z.number().min(0).max(1) }))
      .max(8)
      .optional()
      .describe('Segments that are switched apart from the others, each zone with a level of its own.'),
    pixelCount: z
      .number()
      .int()
      .min(0)
      .max(100_000)
      .optional()
      .describe('Pixels that the controller is set to; those beyond stay dark. As many as there are when left out.'),
    controllerId: z
      .union([z.literal('auto'), z.literal('none'), id])
      .optional()
      .describe('Dimmer or controller; chosen by strip, brief and load when left out.'),
    supplyPlace: z
      .enum(['outside', 'inside'])
      .optional()
      .describe('Where the supply stands: at the other end of the lead (when left out), or in the first assembly.'),
    controllerPlace: z
      .enum(['supply', 'inside'])
      .optional()
      .describe('Beside the supply, before the lead (when left out), or inside the first assembly, after it.'),
    sensorWindow: z
      .boolean()
      .optional()
      .describe('The eye of an infrared remote looks out through a window in the case.'),
    arrangement: z
      .enum(['parallel', 'series-pairs', 'series-groups'])
      .optional()
      .describe(
        'All segments in parallel (when left out), two and two in series on double voltage, or in two groups in parallel of the same total, one group in series with the other.',
      ),
    groupPairs: z
      .number()
      .int()
      .min(1)
      .max(20)
      .optional()
      .describe(
        'Of groups in series, so many pairs, each fed by itself; one when left out. Strip of each kind has a pair of its own at the least.',
      ),
    seriesPairs: z
      .array(z.looseObject({ first: segmentRef, second: segmentRef }))
      .max(2500)
      .optional()
      .describe('Which segments share the double voltage; paired by length when left out.'),
  })
  .describe('Supply, wire and feeding; shared by all assemblies.');

/** What was measured at the real bench. */
export const proof = z
  .looseObject({
    readings: z
      .array(
        z.looseObject({
          id: z.string().min(1).max(80).describe('What was measured: a step of commissioning.'),
          at: z
            .looseObject({ assembly: id, segment: z.number().int().min(1).max(5000).optional() })
            .optional()
            .describe('The assembly or the segment that it was measured at; left out for the sign as a whole.'),
          value: z.number().min(-1e5).max(1e5).describe('In V, A, cd/m² or °C, as the step asks.'),
          on: z.string().regex(/^\d{4}-\d{2}-\d{2}$/),
          roomC: z.number().min(-40).max(60).optional().describe('How warm it was round the sign (°C).'),
        }),
      )
      .max(6000),
    ticked: z
      .array(z.string().min(1).max(160))
      .max(20_000)
      .optional()
      .describe('Tests of single segments that were passed, each by its name.'),
    built: z
      .array(z.string().min(1).max(160))
      .max(2000)
      .optional()
      .describe('Steps of the build list that are done, each by its name.'),
  })
  .optional()
  .describe('What was measured at the real bench.');

/** Where an assembly is. */
export const placement = z
  .looseObject({
    on: id.nullable().describe('The assembly on whose front it stands; null on the wall.'),
    xMm: lengthMm(-20_000, 20_000).describe('Of its middle, right of the middle of what it stands on.'),
    yMm: lengthMm(-20_000, 20_000).describe('The same, up.'),
    turnDeg: z.number().min(-180).max(180).describe('Anticlockwise.'),
  })
  .describe('Where the assembly is: on the wall, or on the front of another assembly.');
