import type { HelpTexts } from '../../help/types';

/** Help for the fields of this build, by label. */
export const help: HelpTexts = {
  artwork: {
    'Lines run': {
      what: 'Where the lines of light run: along the middle of the strokes of the lettering, inside its outline, or as they are drawn.',
      usual: 'The middle of strokes for scripts and thin letters; inside the outline for fat ones.',
    },
    'In from the outline': { what: 'How far the line lies inside the outline.', usual: '8–15 mm.' },
    'Lines scaled': { what: 'All lines larger or smaller about their middle, to make runs come out even.' },
    Layer: {
      what: 'What this line belongs to: lines of one layer may have strip and colour of their own, on the step Light.',
    },
    'Corners rounded': {
      what: 'How far the corners of this line are rounded, where there is room.',
      usual: 'What strip and cover bend to.',
    },
  },
  case: {
    'Strip lies in': {
      what: 'What carries the strip: a board routed to a depth, two layers of which the upper is cut through, a clear sheet routed from behind, or cut letters on a plate.',
    },
    Board: { what: 'What the groove is cut into.', usual: '15–18 mm for tubes, 12 mm for strip under a dome.' },
    Sheet: { what: 'The clear sheet that the groove is cut into from behind.', usual: '8–10 mm.' },
    Plate: { what: 'What the letters stand on.' },
    'Back layer': { what: 'What closes the groove from behind, in one piece over all seams.', usual: '4–6 mm.' },
    Outline: {
      what: 'The outline of the carrier: by a margin round its lines, of its own size, a band that follows the lines, or a drawing.',
    },
    Margin: { what: 'From the lines to the edge of the carrier.', usual: '30–80 mm.' },
    'Carrier width': { what: 'Width of the carrier as it is cut.' },
    'Carrier height': { what: 'Height of the carrier as it is cut.' },
    'Lines, right': { what: 'How far the lines stand to the right of the carrier’s middle.' },
    'Lines, up': { what: 'How far the lines stand above the carrier’s middle.' },
    'Corner radius': { what: 'How far the corners of the carrier are rounded.' },
    'Off the wall': {
      what: 'How far the carrier is held off the wall, for wires, joints and plugs behind it.',
      usual: '10–20 mm.',
    },
    'Front in': { what: 'The colour of its front.' },
    'Over the strip': {
      what: 'An opal cover pressed in over the strip, a soft tube that holds it, or nothing.',
      usual: 'A soft dome or tube where lines bend; a flat cover for straight ones.',
    },
    'Strip lies': {
      what: 'Flat on the floor of the groove, or on its edge: so it bends the way it likes to.',
      usual: 'Flat under a cover; on its edge in tight curves.',
    },
    Clearance: {
      what: 'How much wider than the widest thing in it the groove is.',
      measure: 'Grooves of several widths in an offcut: what goes in by hand and stays.',
      usual: '0.2–0.5 mm.',
    },
    'Groove width': { what: 'Width of the groove; by what lies in it when left alone.' },
    'Groove depth': { what: 'Depth of the groove; by what lies in it when left alone.' },
    'Its walls are': {
      what: 'Whether floor and walls of the groove are painted white: more of the light comes out.',
    },
    'Seam 1, right': { what: 'Where the seam runs, right of the carrier’s middle.' },
    up: { what: 'Where the seam runs, above the carrier’s middle.' },
    angle: { what: 'The way the seam runs: 90° is upright.' },
    'Parts joined': { what: 'How the parts find each other: dovetail tabs, or pins in drilled holes.' },
  },
  light: {
    'Past the mark': {
      what: 'How much of the strip is left on past its cut mark at both ends of a run, for solder and wire. It takes room and is not lit, and the cut in which it lies is lost.',
      usual: 'None where pads are whole; 2–3 mm where they are cut through.',
    },
    'May stay bare': {
      what: 'So much of a run may stay without strip, both ends together, and is still called even.',
      usual: '4–8 mm: a dome carries light over that.',
    },
  },
};
