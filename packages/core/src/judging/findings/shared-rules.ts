import { fontListings, type FontListing } from '../../artwork/lettering/index.js';
import { fittingSupplies, isInSeries, leadDropShare, pairsOf } from '../../power/circuit/index.js';
import { set } from '../../document/design/index.js';
import { fieldsIn, inDesign, type AssemblyResults, type SignResults } from '../results/index.js';
import { allInParallel, changeStrip, higherVoltage, moreSupplies, oneChange, suitableStrips } from './candidates.js';
import { wholeFront } from './places.js';
import type { Remedy, Rule, SignRule } from './types.js';

const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;

const supplyShort = ({ circuit }: SignResults): number => {
  const { supply } = circuit;
  if (supply === null || supply.voltageV !== circuit.voltageV) return circuit.neededWatts;
  return Math.max(0, circuit.neededWatts - supply.watts);
};

/** The supply is too small, of the wrong voltage, or not to be had; `lessStrip` is how each assembly does with less. */
export const supplyTooSmall =
  (lessStrip: (results: SignResults) => readonly Remedy[]): SignRule =>
  ({ results, catalogue }) => {
    const short = supplyShort(results);
    if (short <= 0) return null;
    const { circuit, assemblies, design } = results;
    const { supply } = circuit;
    const inSeries = isInSeries(design.power);
    const wrongVoltage = supply !== null && supply.voltageV !== circuit.voltageV;
    const source = design.power.source ?? 'mains';
    const largest = fittingSupplies(catalogue, circuit.voltageV, design.brief, source).at(-1);
    const needed = Math.round(circuit.neededWatts);
    const count = largest === undefined ? 1 : Math.ceil((circuit.neededWatts * circuit.supplyCount) / largest.watts);
    const lighter = assemblies.map((own) =>
      changeStrip(
        own,
        suitableStrips(own, catalogue)
          .filter(({ wattsPerM }) => wattsPerM < own.materials.strip.wattsPerM)
          .sort((a, b) => b.wattsPerM - a.wattsPerM),
      ),
    );
    return {
      id: 'supply-too-small',
      severity: 'stop',
      step: 'power',
      what:
        supply === null
          ? largest === undefined
            ? `No supply in the catalogue gives ${circuit.voltageV} V`
            : 'No supply in the catalogue carries this'
          : wrongVoltage
            ? 'The supply has the wrong voltage for the strip'
            : 'The supply is too small',
      why: wrongVoltage
        ? `The circuit takes ${circuit.voltageV} V, the supply gives ${supply.voltageV} V.`
        : `${needed} W are needed with ${Math.round(design.power.headroomShare * 100)} % headroom; ${supply === null ? (largest === undefined ? `${inSeries ? 'in series strip takes twice its voltage, and ' : ''}none is had for that here` : `the largest for ${circuit.voltageV} V here is ${largest.watts} W`) : `this one gives ${supply.watts} W`}.`,
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
          : [oneChange('auto-supply', 'Let Vitrum choose the supply', inDesign.power.supplyId, 'auto')]),
        ...(count > circuit.supplyCount && count <= 20
          ? [
              {
                id: 'more-supplies',
                candidates: [
                  {
                    label: `${count} supplies`,
                    change: [set(inDesign.power.supplyCount, count), set(inDesign.power.supplyId, 'auto')],
                  },
                ],
              },
            ]
          : []),
        ...(source === 'mains' ? [] : [oneChange('mains', 'Feed it by the mains', inDesign.power.source, 'mains')]),
        ...(inSeries && largest === undefined ? [allInParallel] : []),
        ...higherVoltage(results, catalogue),
        ...lighter,
        ...lessStrip(results),
      ],
    };
  };

/** The lead loses too much on its way. */
export const leadDrops: SignRule = ({ results, catalogue }) => {
  const { circuit, design } = results;
  const share = circuit.leadDropV / circuit.voltageV;
  const leadA = (of: SignResults): number => Math.max(...of.circuit.supplyAmps);
  const overAmps = leadA(results) > circuit.lead.ampacityA;
  if (share <= leadDropShare * 1.02 && !overAmps) return null;
  const thicker = pairsOf(catalogue.wires)
    .filter(({ areaMm2 }) => areaMm2 > circuit.lead.areaMm2)
    .sort((a, b) => a.areaMm2 - b.areaMm2);
  const ok = (tried: SignResults): boolean =>
    tried.circuit.leadDropV / tried.circuit.voltageV <= leadDropShare * 1.02 &&
    leadA(tried) <= tried.circuit.lead.ampacityA;
  return {
    id: 'lead-drops',
    severity: overAmps ? 'stop' : 'fix',
    step: 'power',
    what: overAmps ? 'The lead is beyond its rating' : 'The lead loses too much voltage',
    why: `${circuit.lead.name} over ${mm(design.brief.leadLengthMm)} at ${leadA(results).toFixed(2)} A (rated ${circuit.lead.ampacityA} A) loses ${circuit.leadDropV.toFixed(2)} V of ${circuit.voltageV} V.`,
    numbers: [{ label: 'lost in the lead', value: Math.round(share * 1000) / 10, unit: '%' }],
    where: null,
    target: {
      label: 'lost in the lead',
      better: 'lower',
      unit: '%',
      read: (tried) => Math.round((tried.circuit.leadDropV / tried.circuit.voltageV) * 1000) / 10,
      settled: ok,
    },
    remedies: [
      {
        id: 'thicker-lead',
        candidates: thicker.map((wire) => ({ label: wire.name, change: [set(inDesign.power.wireId, wire.id)] })),
      },
      moreSupplies(results),
      ...higherVoltage(results, catalogue),
    ],
  };
};

/** So many other fonts are tried. */
const mostFonts = 6;

/** Fonts that write the script of a character that is missing go before those of any other. */
const scriptRank = ({ writes }: FontListing, missing: readonly string[]): number =>
  writes !== undefined && missing.some((character) => new RegExp(`\\p{Script=${writes}}`, 'u').test(character)) ? 0 : 1;

/** Characters that the font does not have. */
export const missingLetters: Rule = ({ results }) => {
  const { missing } = results.lettering;
  if (missing.length === 0) return null;
  return {
    id: 'missing-letters',
    severity: 'stop',
    step: 'artwork',
    what: `This font has no ${missing.join(' ')}`,
    why: `${missing.length} character${missing.length === 1 ? ' is' : 's are'} left out of the sign; choose another font or spelling, or take the word in as a drawing.`,
    numbers: [{ label: 'left out', value: missing.length, unit: 'characters' }],
    where: null,
    target: {
      label: 'left out',
      better: 'lower',
      unit: 'characters',
      read: (tried) => tried.lettering.missing.length,
      settled: (tried) => tried.lettering.missing.length === 0,
    },
    // Those of another script first, where one of another is missing.
    remedies: [...fontListings]
      .filter(({ id }) => id !== results.assembly.artwork.fontId)
      .sort((a, b) => scriptRank(a, missing) - scriptRank(b, missing))
      .map(({ id, name }) => oneChange(`font-${id}`, `Letters in ${name}`, fieldsIn(results).artwork.fontId, id))
      .slice(0, mostFonts),
    noRemedy: 'No font that ships with Vitrum has it; take the word in as a drawing, or bring a font of your own.',
  };
};

/** A bought-in box would have been cheaper, or the budget does not reach. */
export const costsTooMuch: SignRule = ({ results }) => {
  const { cost, design } = results;
  const { outsideQuote } = cost;
  const quoted = outsideQuote !== null && outsideQuote < cost.perSign;
  const over = cost.overBudget !== null && cost.overBudget > 0;
  if (!quoted && !over) return null;
  const price = (value: number): string => `${cost.currency}${value.toFixed(2)}`;
  return {
    id: 'costs-too-much',
    severity: 'note',
    step: 'brief',
    what: quoted ? 'The outside quote is cheaper' : 'Over the budget',
    why: `One sign comes to ${price(cost.perSign)}${quoted ? `; the quote is ${price(outsideQuote)}` : `; the budget is ${price(design.brief.budget ?? 0)}`}. Hours count ${price(cost.labour)} of it.`,
    numbers: [{ label: 'per sign', value: cost.perSign, unit: cost.currency }],
    where: null,
    target: {
      label: 'per sign',
      better: 'lower',
      unit: cost.currency,
      read: (tried) => tried.cost.perSign,
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
    why: `Cells are ${mm(cell)}; LEDs stand ${mm(results.runs.ledPitchMm)} apart and ${mm(results.runs.throwMm)} behind the face. Judge a smaller sign of the same pitch and depth.`,
    numbers: [{ label: 'cell', value: cell, unit: 'mm' }],
    where: null,
    target: { label: 'cell', better: 'lower', unit: 'mm', read: () => cell, settled: (tried) => tried.glow.resolved },
    remedies: [],
  };
};

/** Parts of an assembly that are larger than the sheet they are cut from, each with that sheet. */
const outsized = ({ packing, cut, label }: AssemblyResults) =>
  packing.sheets.flatMap((sheet) =>
    sheet.tooLarge
      .filter((part) => cut.some(({ name }) => part.label.startsWith(label === '' ? name : `${label} ${name}`)))
      .map((part) => ({ part, sheet })),
  );

/** A part larger than the sheet it is cut from. */
export const partOverSheet: Rule = ({ results }) => {
  const [first] = outsized(results);
  if (first === undefined) return null;
  const { part, sheet } = first;
  return {
    id: 'larger-than-sheet',
    severity: 'stop',
    step: 'cut',
    what: `${part.label} is larger than its sheet`,
    why: `${mm(part.widthMm)} × ${mm(part.heightMm)} out of ${sheet.materialName}, ${mm(sheet.sheetWidthMm)} × ${mm(sheet.sheetHeightMm)}${sheet.trimMm > 0 ? `, of which ${mm(sheet.trimMm)} are trimmed off ${sheet.form === 'bar' ? 'both ends' : 'all round'}` : ''}.`,
    numbers: [
      { label: 'part', value: Math.max(part.widthMm, part.heightMm), unit: 'mm' },
      { label: 'sheet', value: Math.max(sheet.sheetWidthMm, sheet.sheetHeightMm), unit: 'mm' },
    ],
    where: wholeFront(results),
    target: {
      label: 'parts too large',
      better: 'lower',
      unit: '',
      read: (tried) => outsized(tried).length,
      settled: (tried) => outsized(tried).length === 0,
    },
    remedies: [],
  };
};
