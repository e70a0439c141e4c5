import type { FaceSheet } from '../catalogue/index.js';
import { fittingSupplies, leadDropShare } from '../circuit/index.js';
import type { StageResults } from '../evaluate/types.js';
import { changeFace, changeStrip, dropRows, oneChange, suitableStrips } from './candidates.js';
import type { Rule } from './types.js';

const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;

const supplyShort = ({ circuit, materials }: StageResults): number => {
  const { supply } = circuit;
  if (supply === null || supply.voltageV !== materials.strip.voltageV) return circuit.neededWatts;
  return Math.max(0, circuit.neededWatts - supply.watts);
};

/** The supply is too small, of the wrong voltage, or not to be had. */
export const supplyTooSmall: Rule = ({ results, catalogue }) => {
  const short = supplyShort(results);
  if (short <= 0) return null;
  const { circuit, materials, design } = results;
  const { supply } = circuit;
  const wrongVoltage = supply !== null && supply.voltageV !== materials.strip.voltageV;
  const largest = fittingSupplies(catalogue, materials.strip.voltageV, design.brief).at(-1);
  const needed = Math.round(circuit.neededWatts);
  const count = largest === undefined ? 1 : Math.ceil((circuit.neededWatts * circuit.supplyCount) / largest.watts);
  const lighter = suitableStrips(results, catalogue)
    .filter(({ wattsPerM }) => wattsPerM < materials.strip.wattsPerM)
    .sort((a, b) => b.wattsPerM - a.wattsPerM);
  return {
    id: 'supply-too-small',
    severity: 'stop',
    step: 'power',
    what:
      supply === null
        ? 'No supply in the catalogue carries this'
        : wrongVoltage
          ? 'The supply has the wrong voltage for the strip'
          : 'The supply is too small',
    why: wrongVoltage
      ? `The strip takes ${materials.strip.voltageV} V, the supply gives ${supply.voltageV} V.`
      : `${needed} W are needed with ${Math.round(design.power.headroomShare * 100)} % headroom; ${supply === null ? `the largest for ${materials.strip.voltageV} V here is ${largest?.watts ?? 0} W` : `this one gives ${supply.watts} W`}.`,
    numbers: [
      { label: 'needed', value: circuit.neededWatts, unit: 'W' },
      { label: 'short by', value: short, unit: 'W' },
    ],
    where: null,
    target: {
      label: 'short by',
      better: 'lower',
      unit: 'W',
      read: supplyShort,
      settled: (tried) => supplyShort(tried) <= 0,
    },
    remedies: [
      ...(design.power.supplyId === 'auto'
        ? []
        : [oneChange('auto-supply', 'Let Vitrum choose the supply', 'power.supplyId', 'auto')]),
      ...(count > circuit.supplyCount && count <= 20
        ? [
            {
              id: 'more-supplies',
              candidates: [
                {
                  label: `${count} supplies`,
                  change: [
                    { path: 'power.supplyCount', value: count },
                    { path: 'power.supplyId', value: 'auto' },
                  ],
                },
              ],
            },
          ]
        : []),
      changeStrip(lighter),
      dropRows(results),
    ],
  };
};

/** The lead loses too much on its way. */
export const leadDrops: Rule = ({ results, catalogue }) => {
  const { circuit, materials, design } = results;
  const share = circuit.leadDropV / materials.strip.voltageV;
  const overAmps = circuit.amps / circuit.supplyCount > circuit.lead.ampacityA;
  if (share <= leadDropShare * 1.02 && !overAmps) return null;
  const thicker = catalogue.wires
    .filter(({ areaMm2 }) => areaMm2 > circuit.lead.areaMm2)
    .sort((a, b) => a.areaMm2 - b.areaMm2);
  const ok = (tried: StageResults): boolean =>
    tried.circuit.leadDropV / tried.materials.strip.voltageV <= leadDropShare * 1.02 &&
    tried.circuit.amps / tried.circuit.supplyCount <= tried.circuit.lead.ampacityA;
  return {
    id: 'lead-drops',
    severity: overAmps ? 'stop' : 'fix',
    step: 'power',
    what: overAmps ? 'The lead is beyond its rating' : 'The lead loses too much voltage',
    why: `${circuit.lead.name} over ${mm(design.brief.leadLengthMm)} at ${(circuit.amps / circuit.supplyCount).toFixed(2)} A (rated ${circuit.lead.ampacityA} A) loses ${circuit.leadDropV.toFixed(2)} V of ${materials.strip.voltageV} V.`,
    numbers: [{ label: 'lost in the lead', value: Math.round(share * 1000) / 10, unit: '%' }],
    where: null,
    target: {
      label: 'lost in the lead',
      better: 'lower',
      unit: '%',
      read: (tried) => Math.round((tried.circuit.leadDropV / tried.materials.strip.voltageV) * 1000) / 10,
      settled: ok,
    },
    remedies: [
      {
        id: 'thicker-lead',
        candidates: thicker.map((wire) => ({ label: wire.name, change: [{ path: 'power.wireId', value: wire.id }] })),
      },
      oneChange(
        'two-supplies',
        `${circuit.supplyCount + 1} supplies, a lead each`,
        'power.supplyCount',
        circuit.supplyCount + 1,
      ),
    ],
  };
};

const outsized = ({ packing }: StageResults): number =>
  packing.sheets.reduce((sum, { tooLarge }) => sum + tooLarge.length, 0);

const holds = (sheet: FaceSheet, width: number, height: number): boolean =>
  Math.max(sheet.sheetWidthMm, sheet.sheetHeightMm) >= Math.max(width, height) &&
  Math.min(sheet.sheetWidthMm, sheet.sheetHeightMm) >= Math.min(width, height);

/** A part larger than the sheet it is cut from. */
export const largerThanSheet: Rule = ({ results, catalogue }) => {
  const sheet = results.packing.sheets.find(({ tooLarge }) => tooLarge.length > 0);
  const [part] = sheet?.tooLarge ?? [];
  if (sheet === undefined || part === undefined) return null;
  const { geometry, materials } = results;
  const isFace = sheet.materialId === materials.face.id;
  const { widthMm, heightMm } = geometry.face;
  const larger = catalogue.faces
    .filter((face) => holds(face, widthMm, heightMm))
    .sort(
      (a, b) =>
        Math.abs(a.transmittance - materials.face.transmittance) -
        Math.abs(b.transmittance - materials.face.transmittance),
    );
  return {
    id: 'larger-than-sheet',
    severity: 'stop',
    step: 'cut',
    what: `${isFace ? 'The face' : part.label} is larger than its sheet`,
    why: `${mm(part.widthMm)} × ${mm(part.heightMm)} out of ${sheet.materialName}, ${mm(sheet.sheetWidthMm)} × ${mm(sheet.sheetHeightMm)}.`,
    numbers: [
      { label: 'part', value: Math.max(part.widthMm, part.heightMm), unit: 'mm' },
      { label: 'sheet', value: Math.max(sheet.sheetWidthMm, sheet.sheetHeightMm), unit: 'mm' },
    ],
    where: { view: 'front', rect: { x: -widthMm / 2, y: -heightMm / 2, width: widthMm, height: heightMm } },
    target: {
      label: 'parts too large',
      better: 'lower',
      unit: '',
      read: outsized,
      settled: (tried) => outsized(tried) === 0,
    },
    remedies: isFace ? [changeFace(larger)] : [],
  };
};

/** Room over the strip for a soldered joint and its sleeve, and for the lead (mm). */
const jointHeightMm = 5;
const leadClearanceMm = 3;

const depthNeeded = ({ materials, design, circuit }: StageResults): number => {
  const { light } = design.assemblies[0]!;
  const lead = circuit.lead.diameterMm + leadClearanceMm;
  const strip =
    light.layout === 'rows'
      ? (light.facing === 'side' ? materials.strip.widthMm : materials.strip.heightMm) + jointHeightMm
      : (materials.strip.widthMm + 1) * light.turnCount;
  return Math.max(lead, strip);
};

/** What must go inside is deeper than the case. */
export const tooShallow: Rule = ({ results }) => {
  const needed = depthNeeded(results);
  const { depthMm } = results.geometry.inside;
  if (depthMm >= needed) return null;
  const depth = Math.ceil(needed);
  return {
    id: 'too-shallow',
    severity: 'stop',
    step: 'case',
    what: 'The case is too shallow for what goes inside',
    why: `Strip, joints and lead need ${mm(needed)}; there are ${mm(depthMm)}.`,
    numbers: [{ label: 'needed', value: needed, unit: 'mm' }],
    where: {
      view: 'slice',
      rect: {
        x: 0,
        y: -results.geometry.inside.heightMm / 2,
        width: depthMm,
        height: results.geometry.inside.heightMm,
      },
    },
    target: {
      label: 'depth inside',
      better: 'higher',
      unit: 'mm',
      read: (tried) => tried.geometry.inside.depthMm,
      settled: (tried) => tried.geometry.inside.depthMm >= depthNeeded(tried),
    },
    remedies: [oneChange('deep-enough', `Deepen to ${depth} mm inside`, 'assemblies.0.case.depthInsideMm', depth)],
  };
};

/** Swing of temperature a face sees between a cold night and a lit summer day (K); typical. */
const faceSwingK = { indoors: 25, damp: 30, outdoors: 55 } as const;

const growth = ({ materials, geometry, design }: StageResults): number =>
  Math.max(geometry.face.widthMm, geometry.face.heightMm) *
  materials.face.expansionPerK *
  faceSwingK[design.brief.exposure];

/** The face grows with warmth more than its seat lets it. */
export const faceBinds: Rule = ({ results }) => {
  const { design } = results;
  const assembly = design.assemblies[0]!;
  if (assembly.case.retention === 'laid-on') return null;
  const grows = growth(results);
  if (grows <= 2 * assembly.case.playMm + 0.05) return null;
  const play = Math.ceil(grows * 5) / 10;
  return {
    id: 'face-binds',
    severity: 'fix',
    step: 'case',
    what: 'The face has too little play and will bow',
    why: `It grows ${mm(grows)} over ${faceSwingK[design.brief.exposure]} °C; its seats leave ${mm(2 * assembly.case.playMm)} in all.`,
    numbers: [{ label: 'growth', value: grows, unit: 'mm' }],
    where: {
      view: 'slice',
      rect: {
        x: results.geometry.inside.depthMm,
        y: -results.geometry.face.heightMm / 2,
        width: results.geometry.face.thicknessMm,
        height: results.geometry.face.heightMm,
      },
    },
    target: {
      label: 'play in all',
      better: 'higher',
      unit: 'mm',
      read: (tried) => 2 * tried.design.assemblies[0]!.case.playMm,
      settled: (tried) => growth(tried) <= 2 * tried.design.assemblies[0]!.case.playMm + 0.05,
    },
    remedies:
      play < assembly.case.seatMm
        ? [oneChange('more-play', `Play ${mm(play)} a side`, 'assemblies.0.case.playMm', play)]
        : [],
  };
};

const overhang = ({ lettering, geometry }: StageResults): number => {
  const { bounds } = lettering;
  if (bounds === null) return 0;
  const { widthMm, heightMm } = geometry.inside;
  return Math.max(
    0,
    -widthMm / 2 - bounds.x,
    bounds.x + bounds.width - widthMm / 2,
    -heightMm / 2 - bounds.y,
    bounds.y + bounds.height - heightMm / 2,
  );
};

/** Letters reach past the lit opening. */
export const lettersOverhang: Rule = ({ results }) => {
  const past = overhang(results);
  const { bounds } = results.lettering;
  if (past <= 0 || bounds === null) return null;
  const { artwork } = results.design.assemblies[0]!;
  const { drawing } = artwork;
  const { inside } = results.geometry;
  const fit = Math.min((0.92 * inside.widthMm) / bounds.width, (0.86 * inside.heightMm) / bounds.height, 1);
  const cap = Math.max(2, Math.floor(artwork.capHeightMm * fit));
  return {
    id: 'letters-overhang',
    severity: 'fix',
    step: 'artwork',
    what: 'The artwork reaches past the lit face',
    why: `It is ${mm(bounds.width)} × ${mm(bounds.height)} and stands ${mm(past)} over the edge of the opening.`,
    numbers: [{ label: 'past the edge', value: past, unit: 'mm' }],
    where: { view: 'front', rect: bounds },
    target: {
      label: 'past the edge',
      better: 'lower',
      unit: 'mm',
      read: overhang,
      settled: (tried) => overhang(tried) <= 0,
    },
    remedies: [
      {
        id: 'smaller-letters',
        candidates: [
          {
            label:
              drawing === null || drawing === undefined
                ? `Cap height ${cap} mm, centred`
                : `Drawing ${mm(fit * bounds.width)} wide, centred`,
            change: [
              drawing === null || drawing === undefined
                ? { path: 'assemblies.0.artwork.capHeightMm', value: cap }
                : { path: 'assemblies.0.artwork.drawing.scale', value: drawing.scale * fit },
              { path: 'assemblies.0.artwork.offsetXMm', value: 0 },
              { path: 'assemblies.0.artwork.offsetYMm', value: 0 },
            ],
          },
        ],
      },
    ],
  };
};

/** Characters that the font does not have. */
export const missingLetters: Rule = ({ results }) => {
  const { missing } = results.lettering;
  if (missing.length === 0) return null;
  return {
    id: 'missing-letters',
    severity: 'fix',
    step: 'artwork',
    what: `This font has no ${missing.join(' ')}`,
    why: `${missing.length} character${missing.length === 1 ? ' is' : 's are'} left out of the lettering; choose another font or spelling.`,
    numbers: [{ label: 'left out', value: missing.length, unit: 'characters' }],
    where: null,
    target: {
      label: 'left out',
      better: 'lower',
      unit: 'characters',
      read: (tried) => tried.lettering.missing.length,
      settled: (tried) => tried.lettering.missing.length === 0,
    },
    remedies: [],
  };
};

/** A bought-in box would have been cheaper, or the budget does not reach. */
export const costsTooMuch: Rule = ({ results }) => {
  const { cost, design } = results;
  const { outsideQuote } = cost;
  const quoted = outsideQuote !== null && outsideQuote < cost.perPiece;
  const over = cost.overBudget !== null && cost.overBudget > 0;
  if (!quoted && !over) return null;
  const price = (value: number): string => `${cost.currency}${value.toFixed(2)}`;
  return {
    id: 'costs-too-much',
    severity: 'note',
    step: 'brief',
    what: quoted ? 'The outside quote is cheaper' : 'Over the budget',
    why: `One piece comes to ${price(cost.perPiece)}${quoted ? `; the quote is ${price(outsideQuote)}` : `; the budget is ${price(design.brief.budget ?? 0)}`}. Hours count ${price(cost.labour)} of it.`,
    numbers: [{ label: 'per piece', value: cost.perPiece, unit: cost.currency }],
    where: null,
    target: {
      label: 'per piece',
      better: 'lower',
      unit: cost.currency,
      read: (tried) => tried.cost.perPiece,
      settled: () => false,
    },
    remedies: [],
  };
};

/** The map is too coarse to judge dots by. */
export const notResolved: Rule = ({ results }) => {
  const { glow } = results;
  if (glow.resolved || results.runs.segments.length === 0) return null;
  const cell = Math.max(glow.grid.cellWidthMm, glow.grid.cellHeightMm);
  return {
    id: 'not-resolved',
    severity: 'note',
    step: 'face',
    what: 'Too large to judge dots on this map',
    why: `Cells are ${mm(cell)}; LEDs stand ${mm(results.runs.ledPitchMm)} apart and ${mm(results.runs.throwMm)} behind the face. Judge a smaller piece of the same pitch and depth.`,
    numbers: [{ label: 'cell', value: cell, unit: 'mm' }],
    where: null,
    target: { label: 'cell', better: 'lower', unit: 'mm', read: () => cell, settled: (tried) => tried.glow.resolved },
    remedies: [],
  };
};
