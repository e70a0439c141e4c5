import { operations } from './operations.js';
import { workPhases } from './work-phases.js';
import * as z from 'zod';
import type { Catalogue, CatalogueKind } from './types.js';

const length = z.number().min(0).max(100_000);
const share = z.number().min(0).max(1);
const some = z.number().min(0).max(1e7);
const above = z.number().positive().max(1e7);
const rgb = z.tuple([share, share, share]);

/** What every item has. */
const item = {
  id: z.string().min(1).max(120),
  name: z.string().min(1).max(200),
  provenance: z.enum(['typical', 'measured']),
  measured: z.looseObject({ on: z.string(), how: z.string(), readings: z.number(), errorShare: z.number() }).optional(),
  price: some,
  packOf: z.number().positive().max(1e6).optional(),
  pricedOn: z.string().max(10).optional(),
  supplier: z.string().max(120).optional(),
  leadDays: z.number().min(0).max(400).optional(),
  editedOn: z.string().max(10).optional(),
  retiredOn: z.string().max(10).optional(),
  newerId: z.string().min(1).max(120).optional(),
  lineId: z.string().min(1).max(120).optional(),
} as const;

const box = { lengthMm: length, widthMm: length, heightMm: length, kg: some } as const;
const sheet = {
  thicknessMm: above,
  sheetWidthMm: above,
  sheetHeightMm: above,
  trimMm: some.optional(),
  densityKgM3: above,
} as const;
const scatter = z.discriminatedUnion('kind', [
  z.looseObject({ kind: z.literal('lambertian') }),
  z.looseObject({ kind: z.literal('lobe'), sigmaDeg: above, hazeShare: share }),
]);

/** What sheets are made of, by the names that a tool asks for. */
export const stuffNames = ['film', 'acrylic', 'glass', 'wood', 'metal', 'composite', 'foam', 'printed'] as const;
const stuff = z.enum(stuffNames);
/** How a tool works the face of a clear sheet. */
export const engravingMethods = ['beam', 'bit', 'hand', 'blasted', 'sanded'] as const;

/** What an item of each list of the catalogue must have; more may hang on it. */
const itemSchemas = {
  strips: z.looseObject({
    ...item,
    form: z.enum(['strip', 'modules']).optional(),
    protection: z.enum(['bare', 'coated', 'sleeved']),
    colour: z.enum(['white', 'rgb', 'rgbw']),
    addressable: z.literal(true).optional(),
    whitesK: z.array(above),
    voltageV: above,
    wattsPerM: above,
    lumensPerM: above,
    whiteLumensPerM: above.optional(),
    ledsPerM: above,
    beamAngleDeg: z.number().positive().max(360),
    cutPitchMm: above,
    widthMm: above,
    heightMm: above,
    maxRunMm: above,
    trackOhmPerM: above,
    forwardV: some,
    maxBoardC: above,
    bendRadiusMm: length,
    reelMm: above,
    emitterMm: above.optional(),
  }),
  faces: z.looseObject({
    ...item,
    ...sheet,
    transmittance: share,
    reflectance: share,
    scatter,
    tintRgb: z.tuple([some, some, some]).optional(),
    maxC: above,
    expansionPerK: some,
  }),
  panes: z.looseObject({
    ...item,
    ...sheet,
    stuff: z.enum(['acrylic', 'glass']),
    // Below √2 an edge would let in light that the faces do not keep.
    index: z.number().min(1.42).max(2.5),
    lossPerM: z.number().min(0).max(1000),
    silver: share.optional(),
    maxC: above,
    expansionPerK: some,
  }),
  covers: z.looseObject({
    ...item,
    form: z.enum(['flat', 'dome', 'tube']),
    widthMm: above,
    litMm: above,
    heightMm: above,
    proudMm: length,
    overStripMm: length,
    transmittance: share,
    bendRadiusMm: length,
    capWidthMm: length,
    capLengthMm: length,
    pieceMm: above,
    kgPerM: some,
  }),
  spacers: z.looseObject({
    ...item,
    form: z.enum(['stick', 'dowel', 'ply', 'washer']),
    heightMm: above,
    widthMm: above,
    kg: some,
  }),
  coatings: z.looseObject({
    ...item,
    kind: z.enum(['sanding', 'film', 'paint', 'print']),
    transmittance: share,
    reflectance: share,
    scatter,
  }),
  boards: z.looseObject({
    ...item,
    ...sheet,
    form: z.enum(['sheet', 'bar']),
    stuff,
    conductsWmK: above,
    uses: z.array(z.enum(['return', 'back', 'back-board', 'letter', 'base', 'sheet'])),
    passesPerMm: share.optional(),
    showsGrain: z.literal(true).optional(),
  }),
  linings: z.looseObject({
    ...item,
    reflectance: share,
    mirrorShare: share.optional(),
    kgPerM2: some,
    paintId: z.string().optional(),
    coats: above.optional(),
  }),
  films: z.looseObject({ ...item, transmittanceRgb: rgb, reflectanceRgb: rgb }),
  supplies: z.looseObject({
    ...item,
    ...box,
    source: z.enum(['mains', 'usb', 'battery']).optional(),
    battery: z.looseObject({ ampHours: above, fullV: above, cutOffV: above, usableShare: share }).optional(),
    voltageV: above,
    watts: above,
    weatherproof: z.boolean(),
  }),
  controllers: z.looseObject({
    ...item,
    ...box,
    kind: z.enum(['dimmer', 'controller', 'amplifier']),
    signal: z.enum(['channels', 'data']),
    channels: some,
    voltagesV: z.array(above),
    channelA: some,
    totalA: some,
    onOhm: some,
    remote: z.enum(['none', 'infrared', 'radio']),
    maxPixels: above.optional(),
    dataReachMm: above.optional(),
  }),
  wires: z.looseObject({
    ...item,
    cores: above.optional(),
    areaMm2: above,
    awg: z.number(),
    ampacityA: above,
    diameterMm: above,
  }),
  joints: z.looseObject({
    ...item,
    kind: z.enum(['solder', 'clip', 'plug', 'lever', 'screw']),
    ohm: some,
    ratedA: above,
    stripMm: length,
    perCore: z.boolean(),
    kg: some,
  }),
  sundries: z.looseObject({ ...item, kg: some, ratedKg: above.optional(), lengthMm: above.optional() }),
  fixings: z.looseObject({
    ...item,
    holdsIn: z.array(z.enum(['timber', 'masonry', 'board'])).min(1),
    shearKg: above,
    pullKg: above,
    holeMm: above,
    depthMm: above,
    kg: some,
  }),
  paints: z.looseObject({
    ...item,
    kind: z.enum(['primer', 'colour', 'clear', 'oil']),
    by: z.enum(['brush', 'spray']),
    onto: z.array(stuff).min(1),
    canL: above,
    m2PerL: above,
    wasteShare: share,
    recoatMin: some,
    cureMin: some,
    sandGrit: above.nullable(),
  }),
  glues: z.looseObject({
    ...item,
    holds: z.array(stuff).min(1),
    openMin: some,
    clampMin: some,
    cureMin: some,
    ml: above,
    mlPerM: above,
    squeezesOut: z.boolean(),
  }),
  tools: z.looseObject({
    ...item,
    kind: z.enum(['knife', 'beam', 'bit', 'nozzle']),
    cutMm: length,
    leastStrokeMm: length,
    kerfs: z.partialRecord(stuff, above).optional(),
    cuts: z.array(z.looseObject({ stuff, mostMm: above })),
    bedWidthMm: above,
    bedHeightMm: above,
    engraves: z
      .looseObject({
        method: z.enum(engravingMethods),
        lineMm: above,
        takes: share,
        ownSide: share,
        fullMm: above,
        passMm: above,
        dotsPerInch: above.optional(),
        minPerM2: some,
      })
      .optional(),
    way: z
      .looseObject({
        leadMm: z.number().min(0).max(50).optional(),
        tabMm: z.number().min(0).max(50).optional(),
        tabHighMm: z.number().min(0.1).max(20).optional(),
        tabEveryMm: z.number().min(20).max(5000).optional(),
      })
      .optional(),
  }),
  cutters: z.looseObject({ ...item, kind: z.enum(['blade', 'bit', 'v-bit']), cutMm: above, mostDeepMm: above }),
  walls: z.looseObject({ ...item, reflectanceRgb: rgb }),
} as const;

/** Items by the name of their list, checked as they come from outside. */
export const catalogueSchemas: {
  readonly [Kind in CatalogueKind]: z.ZodType<Mutable<Catalogue[Kind][number]>>;
} = itemSchemas;

type Mutable<T> = T extends readonly [infer A, infer B, infer C]
  ? [A, B, C]
  : T extends readonly (infer Each)[]
    ? Mutable<Each>[]
    : T extends object
      ? { -readonly [Key in keyof T]: Mutable<T[Key]> | (object extends Pick<T, Key> ? undefined : never) }
      : T;

/** Nobody is ten times as fast as others. */
const timeFactor = z.number().min(0.1).max(10);

/** The shop’s rates, checked as they come from outside. */
export const ratesSchema = z.looseObject({
  currency: z.string().min(1).max(8),
  labourPerHour: some,
  energyPerKwh: some,
  kerfMm: length,
  wasteShare: share,
  machineColours: z.partialRecord(z.enum(operations), z.string().regex(/^#[0-9a-f]{6}$/)).optional(),
  learnedTimes: z
    .partialRecord(
      z.enum(workPhases),
      z.looseObject({
        factor: timeFactor,
        low: timeFactor,
        high: timeFactor,
        jobs: z.number().int().min(1),
        on: z.string().regex(/^\d{4}-\d{2}-\d{2}$/),
      }),
    )
    .optional(),
});
