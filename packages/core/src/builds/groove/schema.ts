import * as z from 'zod';
import {
  assemblyFrame,
  colour,
  id,
  lengthMm,
  lettering,
  mostDrawnLines as mostLines,
  mostLineNumbers,
  photometry,
  stripHold,
  type Frozen,
} from '../../document/design/index.js';

const drawnLine = z.looseObject({
  points: z.array(z.number().min(-1e5).max(1e5)).min(4).max(mostLineNumbers),
  closed: z.boolean(),
  roundMm: lengthMm(0, 500).optional().describe('Its corners are rounded so far, where there is room. Left out: 0.'),
  layer: z.string().max(120).optional().describe('What its drawing calls the layer that it is in.'),
});

const lines = z
  .looseObject({
    from: z
      .enum(['middle', 'outline', 'drawn'])
      .describe('The middle of the strokes of the lettering, a line inside its outline, or lines as they are drawn.'),
    setbackMm: lengthMm(0, 500).optional().describe('From the outline in. Left out: 10.'),
    drawn: z
      .looseObject({
        name: z.string().max(160).describe('The file they came from, or what they were made from.'),
        scale: z.number().min(1e-4).max(1e4).describe('What their lengths are multiplied by.'),
        lines: z
          .array(drawnLine)
          .max(mostLines)
          .refine((all) => all.reduce((sum, { points }) => sum + points.length, 0) <= mostLineNumbers, {
            message: `have more than ${mostLineNumbers / 2} points; simplify the drawing`,
          })
          .describe('Lines as x, y, x, y … in mm, y up, from the middle of the carrier.'),
      })
      .nullable()
      .optional()
      .describe('Lines of a drawing, or drawn by hand.'),
    scale: z.number().min(0.2).max(5).optional().describe('What all lines are multiplied by besides. Left out: 1.'),
    corners: z
      .array(
        z.looseObject({
          line: z.number().int().min(1).max(5000),
          point: z.number().int().min(0).max(mostLineNumbers),
          xMm: lengthMm(-500, 500),
          yMm: lengthMm(-500, 500),
        }),
      )
      .max(2 * mostLines)
      .optional()
      .describe(
        'Corners moved by so much, by the number of their line and their point along it, counted from 0; what lies between them goes with them.',
      ),
    ends: z
      .array(
        z.looseObject({
          line: z.number().int().min(1).max(5000),
          startMm: lengthMm(-2000, 2000),
          endMm: lengthMm(-2000, 2000),
          scale: z.number().min(0.5).max(2).optional().describe('Of a closed line, about its own middle. Left out: 1.'),
        }),
      )
      .max(2 * mostLines)
      .optional()
      .describe(
        'Lines whose ends are drawn out by so much, or taken back where negative, and closed ones made larger or smaller, by their number.',
      ),
  })
  .describe('The lines of light.');

const carrier = z
  .looseObject({
    kind: z
      .enum(['board', 'two-layer', 'clear', 'letters'])
      .describe(
        'One board routed to a depth; two layers, the upper cut through; a clear sheet routed from behind; letters cut out, with the groove in them, on a plate.',
      ),
    boardId: id.describe('What the groove is cut into: a board, or a clear sheet.'),
    backBoardId: id.optional().describe('The back layer, or the plate behind letters. Left out: 6 mm plywood.'),
    shape: z
      .enum(['margin', 'rectangle', 'contour', 'drawing'])
      .describe('Its outline: a rectangle round the lines, one of given size, a band round the lines, or a drawing.'),
    marginMm: lengthMm(0, 1000).describe('From the lines to the edge, where it goes by them.'),
    widthMm: lengthMm(20, 6000).optional(),
    heightMm: lengthMm(20, 6000).optional(),
    cornerMm: lengthMm(0, 500).optional().describe('Radius of the corners of a rectangle. Left out: 0.'),
    outline: lettering.drawing.describe('Its outline from a drawing, as wide as `widthMm`, its middle on the lines’.'),
    offsetXMm: lengthMm(-5000, 5000).optional().describe('From its middle to that of the lines, right positive.'),
    offsetYMm: lengthMm(-5000, 5000).optional().describe('The same, up positive.'),
    spacerMm: lengthMm(0, 200).describe('Held off the wall by so much, for wires and joints behind it.'),
    colour: colour.describe('Of its front, as sRGB.'),
    whiteGroove: z.boolean().optional().describe('Floor and walls of the groove are painted white.'),
    splits: z
      .array(
        z.looseObject({
          xMm: lengthMm(-6000, 6000),
          yMm: lengthMm(-6000, 6000),
          angleDeg: z.number().min(-180).max(180),
        }),
      )
      .max(40)
      .optional()
      .describe('Lines that it is cut along, to fit bed or sheet.'),
    registration: z.enum(['tabs', 'pins']).optional().describe('How its parts find each other. Left out: tabs.'),
    leastWallMm: lengthMm(0.5, 50)
      .optional()
      .describe('The least wall beside a groove. Left out: 2 mm, or half the depth of the groove where that is more.'),
  })
  .describe('What the strip lies in.');

const groove = z
  .looseObject({
    lies: z.enum(['flat', 'edge']).describe('Strip flat on the floor, or on its edge.'),
    coverId: id.nullable().describe('A cover or a tube; null where the strip lies bare.'),
    widthMm: lengthMm(1, 100)
      .nullable()
      .optional()
      .describe('Left out or null: the widest thing in it, with the clearance.'),
    depthMm: lengthMm(1, 100).nullable().optional().describe('Left out or null: as deep as what lies in it.'),
    clearanceMm: lengthMm(0, 5).describe('Over the widest thing that lies in it, in all.'),
  })
  .describe('The groove, and what lies in it over the strip.');

const light = z
  .looseObject({
    stripId: id,
    ...stripHold,
    photometry,
    layers: z
      .array(
        z.looseObject({
          layer: z.string().max(120),
          stripId: id,
          colour: colour.optional().describe('What a strip that mixes is set to. Left out: the light of the brief.'),
        }),
      )
      .max(24)
      .optional()
      .describe('Layers of the lines that have another strip, or another colour, than the rest.'),
    spareMm: lengthMm(0, 20)
      .optional()
      .describe(
        'So much of the strip is left on past the cut mark at both ends of a run, to solder on. Left out: none.',
      ),
    bareMm: lengthMm(0, 200)
      .optional()
      .describe('So much of a run may stay without strip, both ends together. Left out: 6.'),
  })
  .describe('Which strip lies in the groove.');

/** Strip in a groove in a design. */
export const grooveSchema = z.looseObject({
  ...assemblyFrame,
  build: z.literal('groove'),
  artwork: z.looseObject(lettering),
  lines,
  carrier,
  groove,
  light,
});

export type GrooveAssembly = Frozen<z.infer<typeof grooveSchema>>;
export type LinesDesign = GrooveAssembly['lines'];
export type CarrierDesign = GrooveAssembly['carrier'];
export type GrooveDesign = GrooveAssembly['groove'];
export type GrooveLightDesign = GrooveAssembly['light'];
