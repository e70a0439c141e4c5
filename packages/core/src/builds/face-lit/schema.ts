import * as z from 'zod';
import { assemblyFrame, coats, colour, id, lengthMm, type Frozen } from '../../document/design/index.js';
import { backer } from '../letters/backer/schema.js';
import { letterArtwork, letterLight } from '../letters/schema.js';

const cans = z
  .looseObject({
    returnBoardId: id.describe('What the returns are bent from.'),
    wallMm: lengthMm(0.4, 12).describe('Thickness of the returns.'),
    backBoardId: id,
    depthInsideMm: lengthMm(8, 400).describe('From the inner side of the back to the inner side of the face.'),
    liningId: id.describe('The finish inside.'),
    colour: colour.describe('Of the finished returns, as sRGB.'),
    fit: z
      .enum(['inset', 'trimmed'])
      .describe('The face sits within the returns, or lies on their edges under a trim that reaches round them.'),
    playMm: lengthMm(0, 5).describe(
      'Clearance all round: of an inset face and back in the returns, of a trim over them.',
    ),
  })
  .describe('The cans: letter-shaped cases.');

const letterFace = z.looseObject({ sheetId: id, coats }).describe('The diffusing faces of letters.');

const light = letterLight
  .extend({ standing: z.literal(false).optional() })
  .describe('Which strip, and where it runs on the backs; it faces the front.');

/** Face-lit letters in a design. */
export const faceLitSchema = z.looseObject({
  ...assemblyFrame,
  build: z.literal('face-lit'),
  artwork: letterArtwork,
  cans,
  light,
  face: letterFace,
  backer,
});

export type FaceLitAssembly = Frozen<z.infer<typeof faceLitSchema>>;
export type CansDesign = FaceLitAssembly['cans'];
