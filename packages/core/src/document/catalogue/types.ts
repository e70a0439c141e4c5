import type { LayerColours } from './operations.js';
import type { LearnedTime, WorkPhase } from './work-phases.js';
import type { ShelfItem as Item } from './shelf-item.js';
import type { Stuff } from './stuff.js';
import type { Cutter, Tool } from './tool-types.js';

export type { Measured, Provenance, ShelfItem } from './shelf-item.js';
export type { Stuff } from './stuff.js';
export type { CutWay, Cutter, Engraving, Tool } from './tool-types.js';

/** Flexible LED strip or a string of LED modules, bought by the reel. */
export interface Strip extends Item {
  /** LEDs on a flexible board, or modules on a wire: a cut apart is a module. Strip when left out. */
  readonly form?: 'strip' | 'modules';
  readonly protection: 'bare' | 'coated' | 'sleeved';
  readonly colour: 'white' | 'rgb' | 'rgbw';
  /** Each cut apart is a pixel that is told its colour over a data line, which runs one way. */
  readonly addressable?: true;
  /** Colour temperatures on offer (K); empty for RGB. */
  readonly whitesK: readonly number[];
  readonly voltageV: number;
  readonly wattsPerM: number;
  /** At full white; of an RGB + white strip, its three colours together. */
  readonly lumensPerM: number;
  /** Of the white channel of an RGB + white strip. */
  readonly whiteLumensPerM?: number;
  readonly ledsPerM: number;
  readonly beamAngleDeg: number;
  readonly cutPitchMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly maxRunMm: number;
  /** Copper out and back (Ω per metre of strip). */
  readonly trackOhmPerM: number;
  /** Voltage below which the LEDs of one group stop conducting. */
  readonly forwardV: number;
  readonly maxBoardC: number;
  /** The tightest bow it takes, bent on its side or round a curve in its plane as its make allows (mm). */
  readonly bendRadiusMm: number;
  readonly reelMm: number;
  /** Light-giving part of one LED, across the strip and along it (mm); by its colour when left out. */
  readonly emitterMm?: number;
}

/** How a sheet spreads what passes: all ways alike, or a lobe of `sigmaDeg` round the straight line plus an unscattered share. */
export type Scatter =
  { readonly kind: 'lambertian' } | { readonly kind: 'lobe'; readonly sigmaDeg: number; readonly hazeShare: number };

/** A diffusing face sheet. Price per whole sheet. */
export interface FaceSheet extends Item {
  readonly thicknessMm: number;
  readonly transmittance: number;
  /** Of its inner side, for light coming back into the case. */
  readonly reflectance: number;
  readonly scatter: Scatter;
  /** What a coloured sheet passes of linear red, green and blue, as shares of its transmittance; white when left out. */
  readonly tintRgb?: readonly [number, number, number];
  readonly sheetWidthMm: number;
  readonly sheetHeightMm: number;
  /** Cut off before anything else: all round a sheet, off both ends of a bar (mm); nothing when left out. */
  readonly trimMm?: number;
  readonly densityKgM3: number;
  readonly maxC: number;
  /** Growth with warmth (1/K); sets the play a face needs. */
  readonly expansionPerK: number;
}

/** A clear sheet that light goes along between its faces. Price per whole sheet. */
export interface Pane extends Item {
  readonly stuff: 'acrylic' | 'glass';
  readonly thicknessMm: number;
  /** Refractive index. */
  readonly index: number;
  /** Natural logarithm of what is lost along a metre of path in it. */
  readonly lossPerM: number;
  /** What the silver on its back gives back at each meeting; none: left out. */
  readonly silver?: number;
  readonly sheetWidthMm: number;
  readonly sheetHeightMm: number;
  /** Cut off before anything else: all round a sheet, off both ends of a bar (mm); nothing when left out. */
  readonly trimMm?: number;
  readonly densityKgM3: number;
  readonly maxC: number;
  readonly expansionPerK: number;
}

/**
 * What lies over strip in a groove: an opal cover pressed in over it, flat or domed, or a tube that holds the strip. Price
 * per piece as sold.
 */
export interface Cover extends Item {
  readonly form: 'flat' | 'dome' | 'tube';
  /** Over all across the groove; what of it is lit (mm). */
  readonly widthMm: number;
  readonly litMm: number;
  /** Its own height (mm): of a tube from the floor of the groove, else from where it begins over the strip. */
  readonly heightMm: number;
  /** Stands so far before the face (mm). */
  readonly proudMm: number;
  /** From the face of the strip to the skin that is lit (mm). */
  readonly overStripMm: number;
  /** Share of light that passes it. */
  readonly transmittance: number;
  readonly bendRadiusMm: number;
  /** Its end cap, across and along the groove (mm); 0 where it has none. */
  readonly capWidthMm: number;
  readonly capLengthMm: number;
  /** Length as sold (mm). */
  readonly pieceMm: number;
  readonly kgPerM: number;
}

/** Board for returns and backs, in sheets or in bars (sheets no wider than one return). Price per whole sheet or bar. */
export interface Board extends Item {
  readonly form: 'sheet' | 'bar';
  readonly stuff: Stuff;
  /** How it carries heat along itself (W/mK): of a composite, its skins taken over the whole thickness. */
  readonly conductsWmK: number;
  readonly thicknessMm: number;
  readonly sheetWidthMm: number;
  readonly sheetHeightMm: number;
  /** Cut off before anything else: all round a sheet, off both ends of a bar (mm); nothing when left out. */
  readonly trimMm?: number;
  readonly densityKgM3: number;
  readonly uses: readonly ('return' | 'back' | 'back-board' | 'letter' | 'base' | 'sheet')[];
  /** Share of light that passes one millimetre of it; opaque when left out. */
  readonly passesPerMm?: number;
  /** Wood that is usually oiled, not painted over. */
  readonly showsGrain?: true;
}

/** What holds sheets apart: a stick, a dowel or a piece of ply to be cut off, or a washer. Price per piece as it is used. */
export interface Spacer extends Item {
  readonly form: 'stick' | 'dowel' | 'ply' | 'washer';
  /** What it adds to the height of a pile (mm), and across it. */
  readonly heightMm: number;
  readonly widthMm: number;
  readonly kg: number;
}

/** Inside finish. Price per square metre, all coats. */
export interface Lining extends Item {
  readonly reflectance: number;
  /** Share of what it gives back that leaves as from a mirror; none when left out. */
  readonly mirrorShare?: number;
  readonly kgPerM2: number;
  /** What it is painted with, and how often; no paint when left out. */
  readonly paintId?: string;
  readonly coats?: number;
}

/** What is done to, or laid on, the inner side of a sheet. Price per square metre and coat. */
export interface Coating extends Item {
  readonly kind: 'sanding' | 'film' | 'paint' | 'print';
  /** Of one coat. */
  readonly transmittance: number;
  readonly reflectance: number;
  readonly scatter: Scatter;
}

/** Letter film, mask or paint on the face. Price per square metre. */
export interface Film extends Item {
  /** Passed share of linear red, green and blue. */
  readonly transmittanceRgb: readonly [number, number, number];
  /** Given back from the front, by day. */
  readonly reflectanceRgb: readonly [number, number, number];
}

/** What halo letters hang on: a wall or a backer. Its price is of no account to the job. */
export interface WallFinish extends Item {
  readonly reflectanceRgb: readonly [number, number, number];
}

/** What a battery holds and how it gives it up. */
export interface Battery {
  /** Charge from full to empty (A·h). */
  readonly ampHours: number;
  /** At its terminals, full and where it is cut off; in between it falls in a straight line. */
  readonly fullV: number;
  readonly cutOffV: number;
  /** Share of the charge that comes out at the load, with its protection and what cold and age take. */
  readonly usableShare: number;
}

/** Constant-voltage supply. Price each. */
export interface Supply extends Item {
  /** Fed by the mains, from a USB socket, or a battery; the mains when left out. */
  readonly source?: 'mains' | 'usb' | 'battery';
  readonly battery?: Battery;
  readonly voltageV: number;
  readonly watts: number;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly kg: number;
  readonly weatherproof: boolean;
}

/** What dims, mixes or tells pixels their colour. Price each. */
export interface Controller extends Item {
  /** Turned by hand, told from afar, or repeating another's outputs from a supply of its own. */
  readonly kind: 'dimmer' | 'controller' | 'amplifier';
  /** Switches the returns of so many channels, or sends data to pixels. */
  readonly signal: 'channels' | 'data';
  readonly channels: number;
  readonly voltagesV: readonly number[];
  /** What one channel, and all of them together, may carry (A); of no account to data. */
  readonly channelA: number;
  readonly totalA: number;
  /** Of one channel's switch when it is on (Ω). */
  readonly onOhm: number;
  /** How its remote reaches it: infrared must see it. */
  readonly remote: 'none' | 'infrared' | 'radio';
  /** The most pixels it tells, and how far its data goes along a wire (mm). */
  readonly maxPixels?: number;
  readonly dataReachMm?: number;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly kg: number;
}

/** Stranded copper in one jacket, as a pair or with more cores; price per metre. */
export interface Wire extends Item {
  /** Cores in the jacket; two when left out. */
  readonly cores?: number;
  readonly areaMm2: number;
  readonly awg: number;
  readonly ampacityA: number;
  readonly diameterMm: number;
}

/** How wires are joined to strip and to each other. */
export type JointKind = 'solder' | 'clip' | 'plug' | 'lever' | 'screw';

/** A kind of joint. Price each. */
export interface Joint extends Item {
  readonly kind: JointKind;
  /** Resistance of one contact (Ω), and the current that it may carry (A). */
  readonly ohm: number;
  readonly ratedA: number;
  /** Wire bared for it (mm). */
  readonly stripMm: number;
  /** One for every core of a wire; else one takes all of them. */
  readonly perCore: boolean;
  readonly kg: number;
}

/** Small things counted by the piece. */
export interface Sundry extends Item {
  readonly kg: number;
  /** What one may carry, for what a sign hangs by (kg). */
  readonly ratedKg?: number;
  /** Under its head, of a screw or bolt (mm). */
  readonly lengthMm?: number;
}

/** What a fixing may hold in: studs, rafters and boards of timber; brick and concrete; plasterboard and the like. */
export type Ground = 'timber' | 'masonry' | 'board';

/** What is laid on with brush, roller or spray. Price per can. */
export interface Paint extends Item {
  readonly kind: 'primer' | 'colour' | 'clear' | 'oil';
  readonly by: 'brush' | 'spray';
  /** What it holds on; over a primer that holds, on that. */
  readonly onto: readonly Stuff[];
  readonly canL: number;
  /** Covered by one coat of a litre (m²), and what is lost beside it: in the brush, in the air, as a share. */
  readonly m2PerL: number;
  readonly wasteShare: number;
  /** Until the next coat, and until it may be taped, pressed and packed (min). */
  readonly recoatMin: number;
  readonly cureMin: number;
  /** Sanded with before the next coat; not sanded: null. */
  readonly sandGrit: number | null;
}

/** What holds parts together. Price per tube or bottle. */
export interface Glue extends Item {
  /** What it holds, each with each. */
  readonly holds: readonly Stuff[];
  /** To bring parts together, to keep them pressed, until they may be loaded (min). */
  readonly openMin: number;
  readonly clampMin: number;
  readonly cureMin: number;
  /** In a tube, and for a metre of joint (ml). */
  readonly ml: number;
  readonly mlPerM: number;
  /** Foams or runs out of the joint, and marks what it meets. */
  readonly squeezesOut: boolean;
}

/** What holds a sign to its wall. Price each, with its plug. */
export interface Fixing extends Item {
  readonly holdsIn: readonly Ground[];
  /** What one may carry along the wall, and straight off it (kg): working loads, safety counted in. */
  readonly shearKg: number;
  readonly pullKg: number;
  /** Hole that is drilled for it, and how deep (mm). */
  readonly holeMm: number;
  readonly depthMm: number;
  readonly kg: number;
}

/** The shop's rates. */
export interface Rates {
  readonly currency: string;
  readonly labourPerHour: number;
  readonly energyPerKwh: number;
  /** Saw cut (mm). */
  readonly kerfMm: number;
  /** Share of sheet material counted as lost beyond what is cut. */
  readonly wasteShare: number;
  /** Colours of lines in files for machines, where they are not the usual ones (#rrggbb). */
  readonly machineColours?: Readonly<Partial<LayerColours>>;
  /** What the shop has learned of its own times and accepted, by phase of the work; typical times where nothing is said. */
  readonly learnedTimes?: Readonly<Partial<Record<WorkPhase, LearnedTime>>>;
}

/** Everything a design may name, plus the shop's rates. */
export interface Catalogue {
  readonly strips: readonly Strip[];
  readonly faces: readonly FaceSheet[];
  readonly panes: readonly Pane[];
  readonly covers: readonly Cover[];
  readonly spacers: readonly Spacer[];
  readonly coatings: readonly Coating[];
  readonly boards: readonly Board[];
  readonly linings: readonly Lining[];
  readonly films: readonly Film[];
  readonly supplies: readonly Supply[];
  readonly controllers: readonly Controller[];
  readonly wires: readonly Wire[];
  readonly joints: readonly Joint[];
  readonly sundries: readonly Sundry[];
  readonly fixings: readonly Fixing[];
  readonly paints: readonly Paint[];
  readonly glues: readonly Glue[];
  readonly tools: readonly Tool[];
  readonly cutters: readonly Cutter[];
  readonly walls: readonly WallFinish[];
  readonly rates: Rates;
}

/** The names of the lists in a catalogue. */
export type CatalogueKind = Exclude<keyof Catalogue, 'rates'>;
