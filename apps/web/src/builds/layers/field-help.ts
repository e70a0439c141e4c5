import type { HelpTexts } from '../../help/types';
import { help as ofCases } from '../lightbox/field-help';

/** Help for the fields of this build, by label. */
export const help: HelpTexts = {
  ...ofCases,
  artwork: {
    ...ofCases.artwork,
    Called: { what: 'What the sheet is called in drawings, lists and steps.' },
    Shape: {
      what: 'What the sheet is cut to: a drawing, a window with a border all round, letters that each stand by themselves, or the whole inside of the box.',
    },
    'Letters let in': {
      what: 'Letters of an opal sheet in the places of those that are cut out: they glow.',
      usual: 'Opal acrylic as thick as the sheet, so that both are flush.',
    },
    'Over their pockets': {
      what: 'How much wider the letters are cut than their pockets, both sides together. Wood is pressed into; brittle sheet gets the loose end.',
      usual: '0.10 mm for acrylic in wood, −0.05 mm in acrylic; the ladder in the pack tells what yours want.',
    },
    Border: {
      what: 'From the inside of the box in to the opening of a window.',
      usual: '25–40 mm: it hides strip and spacers from aside.',
    },
    'Stands at': {
      what: 'From the inner side of the back to the rear of the sheet. It comes as near to it as the spacers in stock do.',
      usual: '10–15 mm from sheet to sheet: shadows are seen, light still comes in.',
    },
    'Held by': {
      what: 'Spacers glued behind it; or two combs on the floor of the box, which it is slotted into and stands up in by itself.',
      usual: 'Combs for banks, reeds and houses that rise from the floor; spacers for what hangs in the air.',
    },
    'Combs from': { what: 'The board that the combs are cut from, by the same tool as the sheets.' },
    'Combs, high': {
      what: 'From the floor up; half of it is slot.',
      usual: '12–20 mm, so that the border of the front hides them.',
    },
    'In from the sides': { what: 'From the inside of the box in to the middle of each comb.' },
    'Slots narrower by': {
      what: 'How much narrower slots are cut than the sheet that goes into them is thick. The tool’s kerf is taken off besides.',
      usual: '0.15 mm for wood in wood, −0.05 mm for acrylic; the test strip in the pack tells what yours want.',
    },
    'Cut from': { what: 'The board or opal sheet. A board is painted, an opal sheet glows by itself.' },
    Front: { what: 'The colour of its front, under white light.' },
    'Rear side': {
      what: 'White throws light back to what is behind it; a dark rear side swallows it.',
      usual: 'White.',
    },
    'Moved right': { what: 'The sheet moved in the box, what goes past the rim cut off.' },
    'Moved up': { what: 'The same, up.' },
  },
  light: {
    ...ofCases.light,
    'Strip lies': {
      what: 'In the box as in any other; or along the edges of a sheet, hidden behind its overlap, where what is behind glows past the edge.',
      usual: 'Round the rim for a scene in a frame; behind a front sheet for a glow round its outline.',
    },
    'Stuck on': {
      what: 'The rear side of the sheet, so that light falls on what is behind it; or the back, so that it comes forward past the edge.',
    },
    'In from the edge': {
      what: 'From the edge of the sheet in to the strip: farther in, it is hidden from farther aside, and the glow is softer.',
      usual: '6–15 mm.',
    },
    'From the back': {
      what: 'Round the rim: from the back to the middle of the strip. Light falls on the fronts of what is behind it.',
      usual: 'Just behind the foremost sheet, whose border hides it.',
    },
  },
  face: {
    ...ofCases.face,
    'Colour of the back': {
      what: 'It is seen behind all sheets.',
      usual: 'Light: it throws most of the light back.',
    },
    'Clear front': { what: 'The clear sheet before the scene, which keeps dust out.' },
    'Trim round the front': {
      what: 'Strips mitred round the front: they hide its edge and that of the returns, and hold it in its rabbet.',
    },
    'Trim, wide': {
      what: 'From the outer edge of the returns in. It may not reach past them, over the scene.',
      usual: 'As wide as the returns are thick.',
    },
    'Hidden from': {
      what: 'How far aside somebody may stand without seeing an LED or a spacer.',
      usual: '25° for a picture on a wall; 45° in a corridor.',
    },
  },
};
