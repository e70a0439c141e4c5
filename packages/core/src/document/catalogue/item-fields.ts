import { choice, field, mm, optional, share, type ItemField, type KindWords, type Rest } from './item-field.js';
import { engravingMethods, stuffNames } from './schema.js';
import type { CatalogueKind } from './types.js';

export type { FieldForm, ItemField, KindWords } from './item-field.js';

const kg = field('kg', 'Weight', 'number', 'kg', 'Of one piece.');
const box = [
  mm('lengthMm', 'Length', 'Over all: it must find room in the case.'),
  mm('widthMm', 'Width', 'Over all.'),
  mm('heightMm', 'Height', 'Over all.'),
  kg,
] as const;
const sheet = [
  mm('thicknessMm', 'Thickness', 'As measured: sheets sold as 3 mm are often 2.8 to 3.2 mm.', [3, 4, 5, 6]),
  mm('sheetWidthMm', 'Sheet, wide', 'As it is bought.', [1000, 1220, 2050]),
  mm('sheetHeightMm', 'Sheet, high', 'As it is bought.', [600, 2440, 3050]),
  field('trimMm', 'Trimmed off', 'number', 'mm', 'Bruised edges, all round; of a bar, split ends, at both.', {
    ...optional,
    typical: [5, 10, 50],
  }),
  field('densityKgM3', 'Density', 'number', 'kg/m³', 'For weights: acrylic 1190, glass 2500, plywood 600, MDF 740.', {
    typical: [600, 740, 1190, 2500],
  }),
] as const;
const scatter = [
  choice('scatter.kind', 'Spreads', 'All ways alike (opal), or in a lobe round the straight line (frosted, sanded).', [
    'lambertian',
    'lobe',
  ]),
  field('scatter.sigmaDeg', 'Lobe', 'number', '°', 'Half of its width at 61 % of its height; of a lobe alone.', {
    typical: [8, 15, 25],
    ...optional,
  }),
  share(
    'scatter.hazeShare',
    'Haze',
    'Share of what passes that is spread; of a lobe alone.',
    [0.7, 0.9, 0.97],
    optional,
  ),
] as const;
const passes = share('transmittance', 'Light passed', 'Share of light that comes through.', [0.45, 0.6, 0.75, 0.92]);
const reflects = share(
  'reflectance',
  'Light given back',
  'Share of light that its inner side throws back.',
  [0.08, 0.35, 0.5],
);
const colours = (path: string, label: string, what: string, rest: Rest = {}): ItemField =>
  field(path, label, 'numbers', 'red, green, blue', what, rest);
const maxC = field('maxC', 'Bears', 'number', '°C', 'Before it softens: acrylic 70 to 80.', { typical: [70, 80] });
const growth = field('expansionPerK', 'Grows', 'number', '1/K', 'With warmth: acrylic 0.00007, glass 0.000009.', {
  typical: [7e-5, 9e-6],
});
const bend = mm('bendRadiusMm', 'Bends to', 'The tightest bow it takes.', [15, 30, 50]);

/** What every item has, whatever it is. */
const common: readonly ItemField[] = [
  field('name', 'Name', 'text', '', 'What it is called in lists, on drawings and in the pack.'),
  field('price', 'Price', 'number', 'money', 'For the unit that the list is bought in.'),
  field('packOf', 'Pack of', 'number', 'units', 'It is bought in packs of so many units; empty: one by one.', optional),
  field('pricedOn', 'Price of', 'day', '', 'The day on which that price was right.', optional),
  field('supplier', 'Supplier', 'text', '', 'Where the shop buys it.', optional),
  field('leadDays', 'Comes in', 'number', 'days', 'From ordering until it is there; empty: the same day.', optional),
];

const words = (
  kind: CatalogueKind,
  title: string,
  one: string,
  per: string | null,
  fields: readonly ItemField[],
): KindWords => ({ kind, title, one, per, fields: [...common, ...fields] });

/** The lists of the shelf, in the order of the work, each with the figures that an item has. */
export const kindWords: readonly KindWords[] = [
  words('strips', 'Strip', 'strip', 'reel', [
    choice('form', 'Form', 'LEDs on a flexible board, or modules on a wire.', ['strip', 'modules'], optional),
    choice('protection', 'Protection', 'Bare, coated on its front, or in a sleeve.', ['bare', 'coated', 'sleeved']),
    choice('colour', 'Colour', 'White of one or two kinds, three colours, or three and white.', [
      'white',
      'rgb',
      'rgbw',
    ]),
    field('addressable', 'Each cut is told its colour', 'flag', '', 'Over a data line, which runs one way.', optional),
    field('whitesK', 'Whites', 'numbers', 'K', 'Colour temperatures on offer; none for three colours.', {
      typical: ['3000', '3000, 4000, 6000'],
    }),
    field('voltageV', 'Voltage', 'number', 'V', 'Of its supply.', { typical: [5, 12, 24] }),
    field('wattsPerM', 'Draws', 'number', 'W/m', 'At full light, as stated.', { typical: [4.8, 9.6, 14.4] }),
    field('lumensPerM', 'Gives', 'number', 'lm/m', 'At full white; of three colours and white, the colours together.', {
      typical: [450, 900, 1400],
    }),
    field(
      'whiteLumensPerM',
      'White gives',
      'number',
      'lm/m',
      'The white channel of three colours and white.',
      optional,
    ),
    field('ledsPerM', 'LEDs', 'number', 'to the metre', 'Counted, on a metre.', { typical: [60, 120, 240] }),
    field('beamAngleDeg', 'Beam', 'number', '°', 'Full angle at half of the light.', { typical: [110, 120, 160] }),
    mm('cutPitchMm', 'Cut every', 'From mark to mark.', [25, 50, 100]),
    mm('widthMm', 'Width', 'Of the board or the sleeve.', [8, 10, 12]),
    mm('heightMm', 'Height', 'Over all, from its bed.', [2, 3]),
    mm('maxRunMm', 'Longest run', 'Fed from one end.', [5000, 10_000]),
    field('trackOhmPerM', 'Its copper', 'number', 'Ω/m', 'Out and back: what makes its far end dimmer.', {
      typical: [0.06, 0.1, 0.2],
    }),
    field('forwardV', 'Goes out below', 'number', 'V', 'Below that voltage its LEDs stop.', { typical: [7.5, 16] }),
    field('maxBoardC', 'Bears', 'number', '°C', 'On its board.', { typical: [60] }),
    bend,
    mm('reelMm', 'On a reel', 'Length as bought.', [5000, 10_000]),
    mm('emitterMm', 'Lit part of an LED', 'Across; by its colour where empty.', [], optional),
  ]),
  words('faces', 'Faces', 'face sheet', 'sheet', [
    ...sheet,
    passes,
    reflects,
    ...scatter,
    colours(
      'tintRgb',
      'Tint',
      'What a coloured sheet passes of red, green and blue, as shares of the whole.',
      optional,
    ),
    maxC,
    growth,
  ]),
  words('panes', 'Clear sheets', 'clear sheet', 'sheet', [
    choice('stuff', 'Stuff', 'What it is made of.', ['acrylic', 'glass']),
    ...sheet,
    field('index', 'Refractive index', 'number', '', 'Acrylic 1.49, glass 1.52.', { typical: [1.49, 1.52] }),
    field('lossPerM', 'A metre takes', 'number', '1/m', 'Natural logarithm of what is lost along a metre.', {
      typical: [0.3, 1.5],
    }),
    share('silver', 'Silver gives back', 'Of a mirror, at each meeting.', [0.85], optional),
    maxC,
    growth,
  ]),
  words('covers', 'Covers and tubes', 'cover', 'piece', [
    choice('form', 'Form', 'Flat or domed, pressed in over the strip; or a tube that holds it.', [
      'flat',
      'dome',
      'tube',
    ]),
    mm('widthMm', 'Width', 'Across the groove, over all.', [8, 10, 12]),
    mm('litMm', 'Lit width', 'What of it shines.', [6, 8, 10]),
    mm('heightMm', 'Height', 'Of its own.'),
    mm('proudMm', 'Stands proud', 'Before the face.'),
    mm('overStripMm', 'Over the strip', 'From the face of the strip to the skin that is lit.', [4, 8]),
    passes,
    bend,
    mm('capWidthMm', 'End cap, across', '0: it has none.'),
    mm('capLengthMm', 'End cap, along', '0: it has none.'),
    mm('pieceMm', 'Length', 'As sold.', [1000, 2000]),
    field('kgPerM', 'Weight', 'number', 'kg/m', 'Of a metre.'),
  ]),
  words('spacers', 'Spacers', 'spacer', 'piece', [
    choice('form', 'Form', 'Stick, dowel or ply, cut off; or a washer.', ['stick', 'dowel', 'ply', 'washer']),
    mm('heightMm', 'Adds', 'To the height of a pile.', [1, 3, 6, 9, 12]),
    mm('widthMm', 'Across', 'Of its foot.', [8, 12, 15]),
    kg,
  ]),
  words('coatings', 'On the inner side', 'coating', 'm² and coat', [
    choice('kind', 'Kind', 'What is done to a sheet, or laid on it.', ['sanding', 'film', 'paint', 'print']),
    share('transmittance', 'Light passed', 'By one coat.', [0.6, 0.8, 0.9]),
    reflects,
    ...scatter,
  ]),
  words('boards', 'Boards', 'board', 'sheet or bar', [
    choice('form', 'Bought as', 'A sheet, or a bar no wider than one return.', ['sheet', 'bar']),
    choice('stuff', 'Stuff', 'What it is made of, as tools and glue ask.', stuffNames),
    field('conductsWmK', 'Carries heat', 'number', 'W/mK', 'Along itself: wood 0.13, aluminium 200.', {
      typical: [0.13, 0.19, 200],
    }),
    ...sheet,
    field('uses', 'Used for', 'choices', '', 'Where it is offered.', {
      choices: ['return', 'back', 'back-board', 'letter', 'base', 'sheet'],
    }),
    share('passesPerMm', 'A millimetre passes', 'Of what light comes through; opaque where empty.', [], optional),
    field('showsGrain', 'Usually oiled', 'flag', '', 'Its grain is shown, not painted over.', optional),
  ]),
  words('linings', 'Linings', 'lining', 'm²', [
    share('reflectance', 'Light given back', 'Matt white 85 to 92 %.', [0.85, 0.92]),
    share('mirrorShare', 'As a mirror', 'Share of that which leaves as from a mirror.', [], optional),
    field('kgPerM2', 'Weight', 'number', 'kg/m²', 'All coats.'),
    field('paintId', 'Painted with', 'text', '', 'Which paint of the shelf, by its id.', optional),
    field('coats', 'Coats', 'number', '', 'How often.', optional),
  ]),
  words('films', 'Film', 'film', 'm²', [
    colours('transmittanceRgb', 'Passes', 'Of linear red, green and blue, each 0 to 1.'),
    colours('reflectanceRgb', 'Gives back by day', 'Of linear red, green and blue, each 0 to 1.'),
  ]),
  words('supplies', 'Supplies', 'supply', 'piece', [
    choice('source', 'Fed by', 'The mains where empty.', ['mains', 'usb', 'battery'], optional),
    field('voltageV', 'Voltage', 'number', 'V', 'It gives.', { typical: [5, 12, 24] }),
    field('watts', 'Power', 'number', 'W', 'It gives, steadily.', { typical: [20, 36, 60, 100, 150] }),
    ...box,
    field('weatherproof', 'Weatherproof', 'flag', '', 'May stand outdoors.'),
    field('battery.ampHours', 'Charge', 'number', 'A·h', 'Of a battery, from full to empty.', optional),
    field('battery.fullV', 'Full', 'number', 'V', 'Of a battery.', optional),
    field('battery.cutOffV', 'Cut off', 'number', 'V', 'Of a battery.', optional),
    share('battery.usableShare', 'Usable', 'Of a battery: what comes out at the load.', [0.8], optional),
  ]),
  words('controllers', 'Controllers', 'controller', 'piece', [
    choice('kind', 'Kind', 'Dims, mixes, or passes on.', ['dimmer', 'controller', 'amplifier']),
    choice('signal', 'Tells', 'Channels by their current, or pixels by data.', ['channels', 'data']),
    field('channels', 'Channels', 'number', '', 'Outputs that are dimmed by themselves.', { typical: [1, 2, 3, 4] }),
    field('voltagesV', 'For', 'numbers', 'V', 'Voltages that it takes.', { typical: ['12, 24'] }),
    field('channelA', 'One output', 'number', 'A', 'It carries at most.', { typical: [5, 8] }),
    field('totalA', 'All together', 'number', 'A', 'They carry at most.', { typical: [8, 16] }),
    field('onOhm', 'Its switch', 'number', 'Ω', 'When it is on.', { typical: [0.02] }),
    choice('remote', 'Remote', 'Infrared must see it.', ['none', 'infrared', 'radio']),
    field('maxPixels', 'Pixels', 'number', '', 'It tells at most; of data.', optional),
    mm('dataReachMm', 'Data reaches', 'Along a wire.', [], optional),
    ...box,
  ]),
  words('wires', 'Wire', 'wire', 'm', [
    field('cores', 'Cores', 'number', '', 'In one jacket; two where empty.', { typical: [2, 3, 4, 5], ...optional }),
    field('areaMm2', 'Copper', 'number', 'mm²', 'Of one core.', { typical: [0.5, 0.75, 1.5, 2.5] }),
    field('awg', 'Gauge', 'number', 'AWG', 'The same by number.', { typical: [20, 18, 16, 14] }),
    field('ampacityA', 'Carries', 'number', 'A', 'Steadily.', { typical: [3, 6, 10] }),
    mm('diameterMm', 'Outside', 'Over its jacket.'),
  ]),
  words('joints', 'Joints', 'joint', 'piece', [
    choice('kind', 'Kind', 'How a wire is joined.', ['solder', 'clip', 'plug', 'lever', 'screw']),
    field('ohm', 'Each contact', 'number', 'Ω', 'Resistance.', { typical: [0.001, 0.01, 0.03] }),
    field('ratedA', 'Carries', 'number', 'A', 'At most.', { typical: [3, 5, 10] }),
    mm('stripMm', 'Wire bared', 'For it.', [6, 10]),
    field('perCore', 'One for each core', 'flag', '', 'Else one takes all of them.'),
    kg,
  ]),
  words('sundries', 'Small parts', 'small part', 'piece', [
    kg,
    field('ratedKg', 'May carry', 'number', 'kg', 'Of what a sign hangs by.', optional),
    field('lengthMm', 'Long', 'number', 'mm', 'Under the head, of a screw or bolt.', optional),
  ]),
  words('fixings', 'Wall fixings', 'fixing', 'piece', [
    field('holdsIn', 'Holds in', 'choices', '', 'Timber, masonry, or plasterboard and the like.', {
      choices: ['timber', 'masonry', 'board'],
    }),
    field('shearKg', 'Along the wall', 'number', 'kg', 'Working load, safety counted in.'),
    field('pullKg', 'Off the wall', 'number', 'kg', 'Working load, safety counted in.'),
    mm('holeMm', 'Hole', 'Drilled for it.', [6, 8, 10]),
    mm('depthMm', 'Hole, deep', 'Drilled for it.', [40, 55, 70]),
    kg,
  ]),
  words('paints', 'Paint', 'paint', 'can', [
    choice('kind', 'Kind', 'What it is.', ['primer', 'colour', 'clear', 'oil']),
    choice('by', 'Laid on by', 'Brush and roller, or spray.', ['brush', 'spray']),
    field('onto', 'Holds on', 'choices', '', 'By itself; over a primer, on that.', { choices: stuffNames }),
    field('canL', 'Can', 'number', 'L', 'As bought.', { typical: [0.4, 0.75, 2.5] }),
    field('m2PerL', 'A litre covers', 'number', 'm²', 'In one coat.', { typical: [8, 10, 12] }),
    share('wasteShare', 'Lost', 'In the brush or the air.', [0.1, 0.4]),
    field('recoatMin', 'Next coat after', 'number', 'min', 'At 20 °C.', { typical: [30, 120, 960] }),
    field('cureMin', 'Hard after', 'number', 'min', 'Before tape or packing.', { typical: [480, 1440, 4320] }),
    field('sandGrit', 'Sanded with', 'number', 'grit', 'Before the next coat; not sanded where empty.', optional),
  ]),
  words('glues', 'Glue', 'glue', 'tube', [
    field('holds', 'Holds', 'choices', '', 'Each with each.', { choices: stuffNames }),
    field('openMin', 'Open', 'number', 'min', 'To bring parts together.', { typical: [1, 5, 10] }),
    field('clampMin', 'Held', 'number', 'min', 'Pressed for so long.', { typical: [5, 30, 60] }),
    field('cureMin', 'Loaded after', 'number', 'min', 'Full strength.', { typical: [60, 1440] }),
    field('ml', 'Tube', 'number', 'ml', 'As bought.', { typical: [50, 290, 500] }),
    field('mlPerM', 'A metre takes', 'number', 'ml', 'Of joint.', { typical: [5, 15] }),
    field('squeezesOut', 'Squeezes out', 'flag', '', 'Foams or runs, and marks what it meets.'),
  ]),
  words('tools', 'Cutting tools', 'tool', null, [
    choice('kind', 'Kind', 'What cuts.', ['knife', 'beam', 'bit', 'nozzle']),
    mm('cutMm', 'Width of its cut', 'Of a bit its diameter, of a beam its kerf, 0 for a knife.', [0, 0.2, 3, 6]),
    mm('leastStrokeMm', 'Thinnest stroke', 'That stands after it.', [1, 1.5, 3]),
    field('cuts', 'Cuts', 'cuts', 'mm', 'What, and how thick at most.', { typical: ['acrylic 8, wood 6'] }),
    mm('bedWidthMm', 'Bed, wide', 'What it reaches.', [600, 900, 1250]),
    mm('bedHeightMm', 'Bed, deep', 'What it reaches.', [400, 600, 1250]),
    field('kerfs', 'Cut, by material', 'kerfs', 'mm', 'Where it cuts one wider than another, as measured.', {
      typical: ['acrylic 0.2, wood 0.3'],
      ...optional,
    }),
    mm(
      'way.leadMm',
      'Lead-in, radius',
      'Of the turn from the waste; 0 begins on the line. Where empty: 2 for a beam, as wide as a bit is, 2 at least.',
      [0, 2, 3],
      optional,
    ),
    mm(
      'way.tabMm',
      'Tabs, wide',
      'Bridges that hold a part in its sheet; 0 for none. Where empty: 6 for a bit, else none.',
      [0, 6],
      optional,
    ),
    mm('way.tabHighMm', 'Tabs, high', 'Left of the thickness under the tool. Where empty: 1.5.', [1.5], optional),
    mm('way.tabEveryMm', 'From tab to tab', 'Along the cut, at most. Where empty: 250.', [250], optional),
    choice(
      'engraves.method',
      'Works faces by',
      'How it works the face of a clear sheet; none: it only cuts.',
      engravingMethods,
      {
        ...optional,
      },
    ),
    mm('engraves.lineMm', 'Engraved line', 'Width of one line; of what works faces.', [0.2, 0.4, 0.8], optional),
    share('engraves.takes', 'Takes out', 'Of the light that meets a place worked all over.', [0.35, 0.62], optional),
    share(
      'engraves.ownSide',
      'Through the worked face',
      'Of what is taken out; the rest goes through the other.',
      [0.5],
      {
        ...optional,
      },
    ),
    mm('engraves.fullMm', 'Most of it at', 'Depth at which it takes 63 % of what it can.', [0.08, 0.15], optional),
    mm('engraves.passMm', 'A pass', 'So deep.', [0.15, 0.3], optional),
    field('engraves.dotsPerInch', 'Rows of a picture', 'number', 'to the inch', 'Empty where it follows lines.', {
      typical: [254, 508],
      ...optional,
    }),
    field('engraves.minPerM2', 'A square metre takes', 'number', 'min', 'Worked all over, by one pass.', {
      typical: [120, 600, 2400],
      ...optional,
    }),
  ]),
  words('cutters', 'Saw blades and bits for grooves', 'blade or bit', null, [
    choice('kind', 'Kind', 'Of a saw, of a router, or of a router with a point of 90° for chamfers.', [
      'blade',
      'bit',
      'v-bit',
    ]),
    mm('cutMm', 'Cuts', 'As wide as measured in an offcut.', [2, 3.2, 6]),
    mm('mostDeepMm', 'Reaches', 'So deep at most.', [8, 25, 70]),
  ]),
  words('walls', 'Walls', 'wall', null, [
    colours('reflectanceRgb', 'Gives back', 'Of linear red, green and blue, each 0 to 1.'),
  ]),
];

/** What is said of one list. */
export const wordsOf = (kind: CatalogueKind): KindWords => kindWords.find((each) => each.kind === kind)!;
