import type { HelpTexts } from '../../help/types';

/** Help for the fields of this build, by label. */
export const help: HelpTexts = {
  artwork: {
    'Worked with': {
      what: 'The tool that works the face: a laser, a bit, a hand engraver, or blasting or sanding through a stencil.',
      usual: 'A laser for acrylic; blasting for glass and mirrors.',
    },
    'This area says': { what: 'What this area of the sheet shows; others show their own.' },
    'Photograph’s width': {
      what: 'How wide the photograph is on the sheet; its height follows.',
      usual: 'A hundred dots along its longer side at least: faces and houses can be told from there on.',
    },
    'What shines': {
      what: 'Whether its bright or its dark places are worked, and shine.',
      usual: 'The bright ones; the dark ones for a drawing on white paper.',
    },
    'Depth worked': {
      what: 'How deep the face is worked; deeper takes more light out, until it takes all that it can.',
      measure: 'Work steps of several depths into an offcut and light it from its edge.',
      usual: '0.1–0.3 mm by laser, 0.3–0.6 mm by bit; never more than a third of the sheet.',
    },
    Fill: {
      what: 'Whether the artwork is worked all over, in lines or in dots. The less is worked near the strip, the more light reaches the far end.',
      usual: 'All over for small artwork; lines or dots for what reaches far from the strip.',
    },
    'Line to line': {
      what: 'From the middle of one line to that of the next, where they are closest.',
      usual: 'Two to five times as wide as one line.',
    },
    'Dot to dot': {
      what: 'From the middle of one dot to that of the next, where they are closest.',
      usual: 'One and a half to four times as wide as one dot.',
    },
    'Shift right': { what: 'How far the artwork’s middle is to the right of the sheet’s.' },
    'Shift up': {
      what: 'How far the artwork’s middle is above that of the whole sheet, its part in the slot counted.',
    },
  },
  case: {
    'Outside of the base': { what: 'What the base is painted or oiled with.', usual: 'Oil on oak; nothing on print.' },
    'Outside of the frame': { what: 'What the frame is painted or oiled with.', usual: 'Oil on oak.' },
    'Glue, the sheet in its slot': {
      what: 'The glue that holds the sheet in its slot.',
      usual: 'Neutral silicone in three dabs, none on the lit edge.',
    },
    'Glue, corners of the frame': { what: 'The glue of the frame’s corners.', usual: 'Wood glue.' },
    Sheet: {
      what: 'The clear sheet. Light runs between its faces, and comes out where they are worked.',
      usual: 'Cast acrylic of 5–8 mm; glass and mirrors take light on their way, mirrors most.',
    },
    'Sheet width': { what: 'Width of the sheet as it is cut.', measure: 'Across, edge to edge.' },
    'Sheet height': { what: 'Height of the sheet as it is cut, with what stands in the slot.' },
    'Corner radius': { what: 'How far the free corners are rounded.', usual: '3–10 mm: sharp corners chip and hurt.' },
    'Behind it': {
      what: 'What is seen through the sheet. A board with air between keeps all light in; paint on the sheet takes what meets it.',
    },
    'Held by': {
      what: 'What holds the sheet: a base that it stands in, a frame all round, or a case that it is the top of.',
    },
    'Base is made': { what: 'Whether the base is cut from wood or printed.' },
    'Base height': { what: 'Height of a printed base.' },
    Block: { what: 'The wood that the base is cut from; as high as it is thick.' },
    'Front to rear': {
      what: 'How deep the base, the frame or the case is, from front to rear.',
      usual: 'A base: not less than two fifths of the sheet’s height, or it falls.',
    },
    'Past the sheet': { what: 'How far the base reaches past the sheet, on either side.' },
    'Slot depth': {
      what: 'How deep the sheet stands in the base; what stands in it is not seen.',
      usual: '10–15 mm for sheets up to 200 mm high.',
    },
    Lid: { what: 'What closes the base from below; it comes off when strip fails.' },
    Pocket: { what: 'Length of a pocket beside the strip, for a dimmer or a controller.' },
    'Power comes by': { what: 'Whether a lead comes out of the base, or plugs into a jack in it.' },
    Members: { what: 'What the frame or the case is ripped from.' },
    Corners: { what: 'How the members meet; screwed ones come apart when strip fails.' },
    'Lip in front': { what: 'Wood left before the sheet.', usual: '5–8 mm.' },
    'Seat depth': {
      what: 'How far the sheet reaches into the members. Under it lies the narrower groove for the strip.',
    },
    Bottom: { what: 'What closes the case below; it comes off for service.' },
    'Strip underneath': {
      what: 'Strip under the case that shines down: on feet, on a shelf below, on the floor before a counter.',
      usual: 'The rest of the reel, laid straight; never coiled, or it overheats.',
    },
    Fit: {
      what: 'Whether the sheet slides in, is pressed in, or is glued.',
      usual: 'It slides: a sheet that is glued stays where it is, scratched or not.',
    },
    'Play a side': {
      what: 'Room on each side of the sheet in its slot.',
      measure: 'Calipers on the sheet, at several places: cast acrylic is not of one thickness.',
      usual: '0.1–0.3 mm to slide.',
    },
  },
  light: {
    'Gap to the edge': {
      what: 'From the LEDs to the edge. Light that spreads in the gap passes the edge.',
      measure: 'Feeler gauge between strip and edge.',
      usual: '0.2–1 mm; touching, warm LEDs craze acrylic.',
    },
    'Off the middle': {
      what: 'How far the LEDs stand off the middle of the sheet’s thickness.',
      usual: '0: half a millimetre costs little, two cost a good part of the light.',
    },
    'End margin': { what: 'The least distance from the ends of the strip to the corners of the sheet.' },
    'Lit edges are': {
      what: 'Whether the edges that let the light in are polished.',
      usual: 'Polished: a sawn edge lets in about seven tenths.',
    },
    'The top edge': {
      what: 'Whether strip lies at the top edge, and else how that is finished. A free edge shines: white tape gives its light back, black tape hides it.',
      usual: 'Polished; lit as well where the sheet is tall.',
    },
    'The right edge': {
      what: 'Whether strip lies at the right edge, and else how that is finished. A free edge shines: white tape gives its light back, black tape hides it.',
      usual: 'Polished.',
    },
    'The bottom edge': {
      what: 'Whether strip lies at the bottom edge, and else how that is finished. A free edge shines: white tape gives its light back, black tape hides it.',
      usual: 'Lit: a base holds this edge.',
    },
    'The left edge': {
      what: 'Whether strip lies at the left edge, and else how that is finished. A free edge shines: white tape gives its light back, black tape hides it.',
      usual: 'Polished.',
    },
  },
};
