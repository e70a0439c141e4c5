import type { HelpTexts } from '../../help/types';

/** Help for the fields of this build, by label. */
export const help: HelpTexts = {
  case: {
    'Depth inside': {
      what: 'From the back to the inner side of the face; with it dots and bands melt.',
      measure: 'Hold a rule on the back through the open front, and read at the seat of the face.',
      usual: 'As deep as rows lie apart, and not less than the LED pitch.',
    },
    'Sizes are of': {
      what: 'Whether width and height are of the case outside or of the face sheet.',
    },
    'Outside width': {
      what: 'Width of the case over its returns.',
      measure: 'Across the front, over both returns.',
    },
    'Outside height': {
      what: 'Height of the case over its returns.',
      measure: 'Up the front, over both returns.',
    },
    'Face width': {
      what: 'Width of the face sheet as it is cut.',
    },
    'Face height': {
      what: 'Height of the face sheet as it is cut.',
    },
    Returns: {
      what: 'The board that the sides of the case are ripped from.',
      usual: 'Birch plywood of 12 mm up to 1.2 m, 18 mm above.',
    },
    Back: {
      what: 'The sheet that the strip lies on; metal carries heat off, wood does not.',
    },
    Corners: {
      what: 'How returns meet at the corners.',
      usual: 'Butted or rabbeted and screwed; mitred, with splines from 300 mm on, where the edge is seen.',
    },
    'Face held': {
      what: 'How the face is held in the returns.',
      usual: 'In a rabbet, so that it comes out again.',
    },
    'Seat depth': {
      what: 'How far face and back reach into the returns.',
      usual: '6–10 mm, not more than half the return.',
    },
    'Lip in front': {
      what: 'What is left of the return in front of the groove.',
      usual: '4–6 mm.',
    },
    'Play in its width': {
      what: 'How much wider the groove is than the sheet in it, so that the sheet goes in and does not rattle.',
      measure: 'Calipers on the sheet at three places: acrylic comes thicker than it is sold.',
      usual: '0.3–0.5 mm.',
    },
    'It comes out': {
      what: 'How the face leaves its groove when it is to be changed: never, past a top that is screwed on, or upward past a top that stands back behind it. Or it goes in last: a lip is ripped off the top, and glued back when the face is in.',
      usual: 'Screwed on for prints, set back for tiles on feet; corners must be square, butted or rabbeted.',
    },
    'Mouths chamfered': {
      what: 'How wide the sharp edges of the groove are broken, so that a sheet that is slid in does not catch or lose its film.',
      usual: '1 mm where the face is slid in, else none.',
    },
    'Back set in': {
      what: 'How far the back stands in from the rear edges of the case, so that a cleat, plates or a plug hide behind it.',
      usual: 'As deep as the cleat is thick; nothing where plates hold it.',
    },
    'Screw heads': {
      what: 'Whether the screws of the corners are seen, or sunk and hidden under plugs of the same wood.',
      usual: 'Flush under paint; plugged where the wood is oiled.',
    },
    'Play of the back': {
      what: 'Room round the back, where it is not that of the face: wood and metal want less than acrylic.',
      measure: 'Lay the back in its rabbet and push it to one side: twice the play shows at the other.',
      usual: '0.5–1 mm a side.',
    },
    'Back held': {
      what: 'What holds the back, which comes off when strip fails.',
      usual:
        'Wood screws; inserts where it is opened often, with seats of 11 mm and more; turn buttons where it does not hang flush on a wall.',
    },
    'Play a side': {
      what: 'Room round face and back, so that they go in and may grow when warm.',
      measure: 'Cut a test piece and try it in the groove before the case is glued.',
      usual: '1 mm a side, and 1 mm more for each metre of acrylic.',
    },
    'Block width': {
      what: 'Width of a block inside the case: a pillar, a timber, a fitting.',
    },
    'Block height': {
      what: 'Height of the block as it is seen from the front.',
    },
    'Block depth': {
      what: 'How far the block stands up from the back.',
    },
    'Right of the middle': {
      what: 'How far the block’s middle is to the right of the case’s.',
    },
    'Up from the middle': {
      what: 'How far the block’s middle is above the case’s.',
    },
    'Holes in each': {
      what: 'Vent holes in the bottom return, and as many in the top.',
    },
    'Vent diameter': {
      what: 'Diameter of each vent hole.',
      usual: '6–8 mm, with mesh against insects.',
    },
  },
  light: {
    'LEDs face': {
      what: 'Which way the LEDs point.',
    },
    Rows: {
      what: 'How many rows of strip lie on the back.',
      usual: 'As far apart as the case is deep.',
    },
    Turns: {
      what: 'How often strip goes round the rim or the block.',
    },
    'Ledge stands in': {
      what: 'How far the ledge that carries the strip stands in from the returns.',
    },
    'At corners': {
      what: 'Whether strip is cut and wired at corners, or bent round them.',
    },
    'Along the top': {
      what: 'How often strip runs along the top.',
    },
    'Along the bottom': {
      what: 'How often strip runs along the bottom.',
    },
    'Along the left': {
      what: 'How often strip runs along the left.',
    },
    'Along the right': {
      what: 'How often strip runs along the right.',
    },
  },
  face: {
    Sheet: {
      what: 'A second sheet behind the face; it spreads the light once more.',
    },
    'Gap to the face': {
      what: 'Air between the second sheet and the face; with the gap dots melt.',
      usual: '10–30 mm.',
    },
    'It stands': {
      what: 'What holds the second sheet: spacers and tape between the returns, or a groove; without a gap it shares that of the face.',
      usual: 'A groove where the face is slid in and out past it.',
    },
  },
  artwork: {
    'Light through': {
      what: 'What shines: the ground round dark letters, the letters in a dark mask, or both.',
    },
    Film: {
      what: 'The film of letters or mask.',
      measure: 'Hold it before the lit face: opaque film shows no light at all.',
    },
    'Shift right': {
      what: 'How far the lettering is to the right of the middle.',
    },
    'Shift up': {
      what: 'How far the lettering is above the middle.',
    },
  },
};
