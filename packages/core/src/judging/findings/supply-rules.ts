import { set } from '../../document/design/index.js';
import { jointWords, limitedPowerWatts, sourceOf, supplyChoices } from '../../power/circuit/index.js';
import { inDesign, type SignResults } from '../results/index.js';
import { oneChange } from './candidates.js';
import { wholeSign } from './places.js';
import type { SignRule } from './types.js';

const inTheWet = ({ circuit, design }: SignResults): boolean =>
  circuit.supply !== null &&
  sourceOf(circuit.supply) !== 'battery' &&
  !circuit.supply.weatherproof &&
  design.brief.exposure !== 'indoors';

/** A supply that is not sealed, in a damp place or outdoors. */
export const supplyInTheWet: SignRule = ({ results }) => {
  if (!inTheWet(results)) return null;
  const { exposure } = results.design.brief;
  return {
    id: 'supply-in-the-wet',
    severity: exposure === 'outdoors' ? 'stop' : 'fix',
    step: 'power',
    what: exposure === 'outdoors' ? 'An open supply outdoors' : 'An open supply in a damp place',
    why: `${results.circuit.supply!.name} is not sealed; water on ${results.circuit.voltageV} V corrodes, on the mains it kills.`,
    numbers: [{ label: 'unsealed supplies', value: results.circuit.supplyCount, unit: '' }],
    where: null,
    target: {
      label: 'unsealed supplies',
      better: 'lower',
      unit: '',
      read: (tried) => (inTheWet(tried) ? tried.circuit.supplyCount : 0),
      settled: (tried) => !inTheWet(tried) && tried.circuit.supply !== null,
    },
    remedies: [oneChange('auto-supply', 'Let Vitrum choose a sealed one', inDesign.power.supplyId, 'auto')],
  };
};

const openJoints = ({ circuit, design }: SignResults): number =>
  design.brief.exposure !== 'indoors' && circuit.joint.kind !== 'solder' ? circuit.wires.length : 0;

/** Joints that let water in, where it is wet. */
export const jointsInTheWet: SignRule = ({ results }) => {
  const open = openJoints(results);
  if (open === 0) return null;
  return {
    id: 'joints-in-the-wet',
    severity: 'fix',
    step: 'power',
    what: 'Joints that let damp in',
    why: `${open} ${jointWords[results.circuit.joint.kind]}s; their contacts corrode. Solder, sleeved and sealed, keeps.`,
    numbers: [{ label: 'open joints', value: open, unit: '' }],
    where: wholeSign(results),
    target: {
      label: 'open joints',
      better: 'lower',
      unit: '',
      read: openJoints,
      settled: (tried) => openJoints(tried) === 0,
    },
    remedies: [oneChange('solder', 'Solder and sleeve them', inDesign.power.joint, 'solder')],
  };
};

/** One supply is of more than limited power where several would not be. */
export const notLimitedPower: SignRule = ({ results, catalogue }) => {
  const { circuit, design } = results;
  const { supply } = circuit;
  if (supply === null || sourceOf(supply) !== 'mains' || supply.watts <= limitedPowerWatts) return null;
  const choices = supplyChoices(
    catalogue,
    design.brief,
    design.power,
    circuit.voltageV,
    circuit.nominalWatts,
    circuit.segments.length,
  );
  const limited = choices.filter(({ limitedPower, count }) => limitedPower && count > circuit.supplyCount);
  if (limited.length === 0) return null;
  return {
    id: 'not-limited-power',
    severity: 'note',
    step: 'power',
    what: 'More than a limited-power supply',
    why: `${supply.watts} W from one output; up to ${limitedPowerWatts} W counts as limited power by the stricter of the usual rules, with less asked of wires and case. Local codes decide.`,
    numbers: [
      { label: 'one output', value: supply.watts, unit: 'W' },
      { label: 'limited power', value: limitedPowerWatts, unit: 'W' },
    ],
    where: null,
    target: {
      label: 'one output',
      better: 'lower',
      unit: 'W',
      read: (tried) => tried.circuit.supply?.watts ?? Infinity,
      settled: (tried) => (tried.circuit.supply?.watts ?? Infinity) <= limitedPowerWatts,
    },
    remedies: [
      {
        id: 'limited-supplies',
        candidates: limited.map(({ supply: choice, count }) => ({
          label: `${count} × ${choice.name}`,
          change: [set(inDesign.power.supplyCount, count), set(inDesign.power.supplyId, 'auto')],
        })),
      },
    ],
  };
};

const hours = ({ circuit }: SignResults): number => circuit.runTime?.hours ?? Infinity;

/** The battery is empty before the day is over. */
export const batteryEmpty: SignRule = ({ results }) => {
  const { design, circuit } = results;
  const wanted = design.brief.hoursPerDay;
  if (hours(results) >= wanted) return null;
  return {
    id: 'battery-empty',
    severity: 'fix',
    step: 'power',
    what: 'The battery does not last the day',
    why: `Full, it lasts ${hours(results).toFixed(1)} h at ${circuit.watts.toFixed(1)} W; ${wanted} h a day are asked for. In the cold it is less.`,
    numbers: [
      { label: 'lasts', value: hours(results), unit: 'h' },
      { label: 'a day', value: wanted, unit: 'h' },
    ],
    where: null,
    target: {
      label: 'lasts',
      better: 'higher',
      unit: 'h',
      read: (tried) => Math.round(10 * Math.min(999, hours(tried))) / 10,
      settled: (tried) => hours(tried) >= tried.design.brief.hoursPerDay,
    },
    remedies: [
      oneChange(
        'second-battery',
        `${circuit.supplyCount + 1} batteries`,
        inDesign.power.supplyCount,
        circuit.supplyCount + 1,
      ),
      oneChange('mains', 'Feed it by the mains', inDesign.power.source, 'mains'),
    ],
  };
};
