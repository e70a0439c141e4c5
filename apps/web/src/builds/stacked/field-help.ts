import type { HelpTexts } from '../../help/types';

/** Help for the fields of this build, by label. */
export const help: HelpTexts = {
  case: {
    Outline: { what: 'The outline of all plates: a circle or an oval, a rectangle, or a drawing of one area.' },
    'Plates, width': { what: 'Width of base, rings and lid as they are cut.' },
    'Plates, height': { what: 'Height of base, rings and lid as they are cut.' },
    'Corner radius': {
      what: 'How far the corners of a rectangle are rounded.',
      usual: '10–40 mm: strip goes round them.',
    },
    'Rings, wide': {
      what: 'From the outer edge of a ring to the room within. Screws and pins go through it; light of a band goes along it.',
      usual: '10–15 mm: less finds no screw, more leaves a band dim.',
    },
    Rings: {
      what: 'What is stacked between base and lid. Opaque boards keep light in, an opal sheet glows at its edge.',
      usual: 'Opaque rings as high as the strip is wide, then the one that glows, then one or two more.',
    },
    ...Object.fromEntries(
      Array.from({ length: 24 }, (_, at) => [
        `Ring ${at + 1}`,
        { what: 'What this ring is cut from: a board keeps light in, an opal sheet glows at its edge.' },
      ]),
    ),
    Base: {
      what: 'The plate at the wall. It is screwed on from behind: the way to the strip.',
      usual: '6 mm plywood.',
    },
    Inside: { what: 'What base, opaque rings and the underside of the lid are finished with.', usual: 'Matt white.' },
    Painted: { what: 'The colour of the lid and of opaque edges.' },
  },
  light: {
    'It looks': {
      what: 'From the inside of the rings into the room, or from a ledge within it out at the rings, or both.',
      usual: 'In, for letters; out, where a band is to be even; both, where the plates are large.',
    },
    'Ledge from the rings': {
      what: 'From the inside of the rings in to the ledge that carries the strip.',
      usual: 'Twice the pitch of the LEDs, or more.',
    },
    Loops: { what: 'How many loops of strip lie one over the other.', usual: 'One; two where the day is bright.' },
    'Strip from the base': {
      what: 'From the base to the middle of the loops.',
      usual: 'As low as they go: under the ring that glows, far from the letters.',
    },
  },
  face: {
    Lid: { what: 'The plate in front, which the letters are cut out of.', usual: 'About as thick as what is let in.' },
    'Letters let in': { what: 'The opal sheet that fills the letters: it glows.', usual: 'Opal acrylic 3 mm.' },
    'Over their pockets': {
      what: 'How much wider the letters are cut than their pockets, both sides together. Wood is pressed into; brittle sheet gets the loose end.',
      measure: 'The ladder in the pack: the plug that goes in by hand and stays.',
      usual: '0.10 mm for acrylic in wood, −0.05 mm in acrylic.',
    },
    Inside: {
      what: 'Film or frosting under the letters, from the LEDs outward: it dims them, and hides what is behind.',
    },
  },
};
