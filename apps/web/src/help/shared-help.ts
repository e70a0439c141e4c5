import type { HelpTexts } from './types';

/** Help for fields that every sign has, by label. */
export const sharedHelp: HelpTexts = {
  brief: {
    'The sign says': {
      what: 'The words on the sign; a new line begins a new line of lettering.',
      usual: 'As few as can be: three words are read in passing, seven are not.',
    },
    'Read from': {
      what: 'The nearest that people usually stand; dots and bands must not show from there.',
      measure: 'Pace it out on the site, or ask where the queue, the table or the pavement is.',
      usual: '1–3 m over a counter, 3–8 m in a street, 20 m and more on a roof.',
    },
    'Brightest light around it': {
      what: 'The brightest light that the sign has to be read in; the tool lights it to stand out there if it can.',
      measure: 'Hold a lux meter against the wall where the sign will hang, facing away from it.',
      usual: 'Shop light is about 500 lx, an overcast day 10,000, the noon sun 75,000.',
    },
    Light: {
      what: 'The colour of the light: a white by its temperature in kelvin, or a colour mixed from red, green and blue.',
      usual: '2,700–3,000 K for cafés and bars, 4,000 K for shops, 6,000 K and more looks blue after dark.',
    },
    Colour: {
      what: 'The mixed colour, as it should look to an eye that is used to daylight.',
    },
    Hangs: {
      what: 'What carries the sign; screws, plugs and cautions follow from it.',
    },
    Weather: {
      what: 'How wet it gets; strip, joints, vents and boards are judged by it.',
      measure: 'Look for rain marks on the wall and for the drip line of the roof.',
      usual: 'Under a roof counts as damp; anything that rain can be blown on counts as wet.',
    },
    'Seen after dark': {
      what: 'What else is lit where it hangs; it sets how bright the sign may be at night.',
      usual:
        'Usual limits are 50 cd/m² in dark country, 400 where little is lit, 800 in towns, 1,000 in city centres; local rules decide.',
    },
    'Lit a day': {
      what: 'Hours a day that it is on; for energy and warmth.',
      usual: 'Opening hours and two more.',
    },
    'Lead leaves': {
      what: 'Where the lead comes out of the sign.',
      usual: 'At the bottom or the back, so that water drips off it.',
    },
    'Lead to the supply': {
      what: 'Length of the lead from the sign to its supply; long thin leads cost light.',
      measure: 'Run a string the way the lead will go, and measure the string.',
      usual: '1–5 m.',
    },
    Signs: {
      what: 'How many of it are made; sheets are cut and bought for all of them together.',
    },
    'Budget a sign': {
      what: 'What the customer will pay for one; findings say when it costs more.',
    },
    'Outside quote': {
      what: 'What another shop asks for the whole sign, to weigh making against buying.',
    },
  },
  artwork: {
    'This part says': {
      what: 'The words of this assembly alone, where they are not the whole of the sign.',
    },
    'Letters in': {
      what: 'The typeface of the lettering.',
      usual: 'Strokes of at least a tenth of the cap height hold up when lit.',
    },
    'Cap height': {
      what: 'Height of the capital letters.',
      measure: 'From the foot to the top of an H on the drawing.',
      usual: '25–30 mm for every 10 m of reading distance is just read; three times that is read with ease.',
    },
    'Room between letters': {
      what: 'Added between letters, as a share of the cap height; light runs together, so lit letters want more of it.',
      usual: '0 to 10 %.',
    },
    'Line to line': {
      what: 'From one line of lettering to the next, in cap heights.',
      usual: '1.4 to 1.8.',
    },
    Lines: {
      what: 'How lines of lettering stand under one another.',
    },
    'Drawing’s width': {
      what: 'Width of the drawing that was read in; its height follows.',
    },
    'Cut with': {
      what: 'The tool that cuts letters or film; it sets what is too thin, too narrow or too thick.',
    },
    Worked: {
      what: 'Which side of the sheet is cut or stuck; from behind, everything is turned over.',
    },
  },
  case: {
    'Between coats': {
      what: 'How long a coat dries before the next is laid on; as long as the paint wants, unless a time is set.',
      measure: 'Press a thumb on a hidden place: dry is what takes no print.',
    },
    'Outside of the case': {
      what: 'What is laid on the outer sides and edges of the case.',
      usual: 'Primer and two coats of enamel on plywood; oil on wood whose grain is to be seen.',
    },
    'Fronts and edges': {
      what: 'What is laid on the fronts of the letters and their edges.',
      usual: 'Sprayed: brush marks show on an edge that stands in light.',
    },
    'Outside of the returns': {
      what: 'What is laid on the outer sides of the returns; coil and composite come coated.',
    },
    'Glue, corners of the case': { what: 'What holds the corners, besides screws or dowels.' },
    'Glue, returns to the fronts': {
      what: 'What holds the returns of hollow letters; it must not show on their fronts.',
    },
    'Glue, returns to the backs': { what: 'What holds the returns round the backs; no light may find a gap in it.' },
    'Glue, glue blocks': { what: 'What holds the blocks that take the screws of plates and spacers.' },
    'Stands on': {
      what: 'What this assembly stands on: the wall, or the front of another.',
    },
    'Middle, right': {
      what: 'How far its middle is to the right of the middle of what it stands on.',
    },
    'Middle, up': {
      what: 'How far its middle is above the middle of what it stands on.',
    },
    Turned: {
      what: 'How far it is turned, anticlockwise.',
    },
    Lining: {
      what: 'What the inside is painted or lined with; matt white gives back most, and sends light into the corners.',
      usual: 'Two coats of matt white: 85 to 90 %.',
    },
  },
  light: {
    Strip: {
      what: 'The strip that lights it, with its light and load a metre.',
      measure: 'Both stand on the reel’s label; weigh a metre’s current to be sure.',
      usual: '60 to 120 LEDs a metre; more LEDs melt into an even face at less depth.',
    },
    'Held by': {
      what: 'What keeps the strip in place.',
      usual: 'Its tape alone on clean board; clips where it is warm or hangs.',
    },
    'The strip is': {
      what: 'New, or taken from another sign: old strip is weaker and wants a test, colour by colour.',
    },
    'End margin': {
      what: 'Kept free at both ends of each run for joints.',
      usual: '5–15 mm.',
    },
    Segment: {
      what: 'The run that is cut, by its number in the drawing.',
    },
    after: {
      what: 'How far along its segment the cut is; it goes to the nearest mark.',
    },
    Runs: {
      what: 'Where strip runs.',
    },
  },
  power: {
    Supply: {
      what: 'The supply that feeds the sign; chosen by load unless you name one.',
      usual: 'A fifth of its rating is kept free.',
    },
    Supplies: {
      what: 'How many supplies share the load; each feeds runs of its own.',
    },
    'It stands': {
      what: 'Where the supply is; inside the sign it warms the air round the strip.',
    },
    'Fed by': {
      what: 'What the supply draws from: mains, a USB socket, or a battery.',
    },
    Headroom: {
      what: 'Share of the supply’s rating that is kept free, so that it stays cool.',
      usual: '20 %.',
    },
    Segments: {
      what: 'Whether runs lie side by side across the supply, or in series on twice the volts, two and two or all in two groups.',
    },
    'Pairs of groups': {
      what: 'How many pairs of groups the segments are parted in; each pair is fed by itself, so that no connector or wire carries all.',
      usual: '1, more where a connector’s rating asks for it.',
    },
    'Runs fed': {
      what: 'At which ends runs get their current; fed at both ends, the far end is as bright as the near one.',
      usual: 'At one end up to about 5 m.',
    },
    'Which connector': {
      what: 'Which of the shop’s connectors of that kind. Each is held against its own rating.',
      measure: 'What its maker states for the wire that goes in; half of that where it gets warm.',
    },
    'Joined by': {
      what: 'How wires are joined to strip.',
      usual: 'Solder lasts; clips are quick, and work loose.',
    },
    Lead: {
      what: 'The wire from the supply; chosen by load unless you name one.',
      measure: 'Its cross-section is printed on the jacket.',
    },
    'Customer sets it': {
      what: 'How the customer dims or colours it.',
    },
    Controller: {
      what: 'What dims or mixes; chosen by load unless you name one.',
    },
    'It sits': {
      what: 'Where the controller is.',
    },
    'Its eye': {
      what: 'Whether the remote’s infrared reaches it; infrared does not pass wood or metal.',
    },
    'Dimmed to': {
      what: 'How far it is dimmed; the light and the load fall alike.',
    },
    'Turned up': {
      what: 'How far the light is turned up, of all that it can give.',
      usual: '100 % by day; less at night.',
    },
    'Of that, after dark': {
      what: 'How far it is dimmed at night, of what it gives by day.',
    },
  },
  hang: {
    'It is fixed to': {
      what: 'What the screws go into; what they hold follows from it.',
      measure: 'Knock: hollow is board. A small hole where the sign will hide it tells the rest.',
    },
    'Stud to stud': {
      what: 'From the middle of one stud to the middle of the next.',
      measure: 'Find two with a magnet over their screws, and measure between.',
      usual: '400, 406, 600 or 610 mm.',
    },
    'A stud is at': {
      what: 'From the middle of the sign to the middle of the nearest stud, to the right positive.',
      measure: 'Mark the middle of the sign on the wall first, then look for the stud.',
    },
    'Hangs or stands': {
      what: 'What carries it: a cleat that it hooks on, slotted plates on screws, screws through the back, spacers, brackets, chains or feet.',
      usual: 'Plates up to about 10 kg, a cleat for what is heavy or must come off often, feet on a counter.',
    },
    Fixing: {
      what: 'What holds in the wall. Its loads are working loads; the maker’s table for the wall at hand goes before them.',
      usual: 'The cheapest that carries it is taken unless another is chosen.',
    },
    'How many': {
      what: 'Fixings; as few as carry it are taken unless a number is set.',
    },
    'Glue blocks behind': {
      what: 'Blocks inside, in the corner of return and back, that take the screws where the back alone is too weak.',
    },
    'Middle above the floor': {
      what: 'How high the middle of the sign hangs; the template’s level line says it too.',
      measure: 'From the finished floor, with a level line and not from the ceiling.',
      usual: 'About 2 m indoors; out of reach over a door.',
    },
    'Battens, thick': {
      what: 'Thickness of both battens; they are cut from the board that is nearest to it.',
      usual: '12 mm for small signs, 18 mm for heavy ones.',
    },
    'Mate fixed to': {
      what: 'What the cleat’s upper batten is screwed to. On the back it comes off with it; between the returns it shuts the back in.',
    },
    'Shifted up to': {
      what: 'How far the sign may still be shifted sideways on its cleat; the batten is as much longer.',
    },
    'Feet, deep': {
      what: 'Front to rear. Deeper feet let it be tipped farther before it falls.',
      usual: 'Deep enough for 10° at least.',
    },
  },
  face: {
    Face: {
      what: 'The sheet that people look at.',
      measure: 'Lay the sheet on a lux meter under even light: the share that still reaches it is what it passes.',
      usual: 'Opal 3 mm passes about half and hides the LEDs; clear sheets hide nothing.',
    },
    Inside: {
      what: 'What is done to, or laid on, the inner side of the sheet.',
    },
    'Inside, coats': {
      what: 'Paint on the inner side of the sheet, and how many coats of it.',
    },
  },
};
