import { capital } from '../../base/words/index.js';
import { set } from '../../document/design/index.js';
import { drivingStrip, suitsDrive, type Circuit } from '../../power/circuit/index.js';
import { inDesign, type SignResults } from '../results/index.js';
import { oneChange } from './candidates.js';
import { wholeSign } from './places.js';
import type { Remedy, SignRule } from './types.js';

/** Outputs that colours and zones ask for. */
const outputsOf = ({ wiring }: Circuit): number => wiring.backs.reduce((sum, backs) => sum + backs, 0);

/** What drives the strip, held against what it needs; null when all is well. */
const misfit = ({ circuit, assemblies }: SignResults): string | null => {
  const { drive, pixels, voltageV } = circuit;
  const strip = drivingStrip(assemblies.map(({ materials }) => materials.strip));
  const { controller } = drive;
  if (controller === null)
    return drive.wanted ? 'nothing dims, mixes or tells it yet, or the catalogue has nothing that suits' : null;
  const data = strip.addressable === true;
  const outputs = data ? 1 : outputsOf(circuit);
  if (suitsDrive(controller, strip, { voltageV, outputs, outputA: 0, totalA: 0, pixels })) return null;
  if (controller.signal !== (data ? 'data' : 'channels'))
    return data
      ? `pixels are told by data; ${controller.name} switches channels`
      : `${controller.name} sends data; this strip is switched`;
  if (!controller.voltagesV.includes(voltageV))
    return `${controller.name} takes ${controller.voltagesV.join(' or ')} V, the strip ${voltageV} V`;
  if (controller.channels < outputs) return `${outputs} outputs are needed; it has ${controller.channels}`;
  return `${pixels} pixels are to be told; it tells ${controller.maxPixels ?? 0}`;
};

const auto: Remedy = oneChange(
  'auto-controller',
  'Let Vitrum choose the controller',
  inDesign.power.controllerId,
  'auto',
);

/** The strip is dimmed, mixed or told by nothing, or by something of the wrong kind. */
export const wrongController: SignRule = ({ results }) => {
  const why = misfit(results);
  if (why === null) return null;
  const misfits = (tried: SignResults): number => (misfit(tried) === null ? 0 : 1);
  return {
    id: 'wrong-controller',
    severity: 'stop',
    step: 'power',
    what:
      results.circuit.drive.controller === null
        ? 'This light needs a controller'
        : 'The controller does not suit the strip',
    why: `${capital(why)}.`,
    numbers: [{ label: 'outputs needed', value: outputsOf(results.circuit), unit: '' }],
    where: null,
    target: {
      label: 'controllers that do not suit',
      better: 'lower',
      unit: '',
      read: misfits,
      settled: (tried) => misfits(tried) === 0,
    },
    remedies: [auto, oneChange('one-zone', 'Switch all segments together', inDesign.power.zones, [])],
  };
};

const hidden = ({ circuit: { drive } }: SignResults): boolean =>
  drive.controller?.remote === 'infrared' && drive.inside && !drive.sensorWindow;

/** An infrared eye behind wood sees no remote. */
export const sensorHidden: SignRule = ({ results, catalogue }) => {
  if (!hidden(results)) return null;
  const { controller } = results.circuit.drive;
  const radio = catalogue.controllers.filter(
    (item) => item.remote === 'radio' && item.signal === controller!.signal && item.channels >= controller!.channels,
  );
  return {
    id: 'sensor-hidden',
    severity: 'fix',
    step: 'power',
    what: 'The remote’s sensor is shut in',
    why: `${controller!.name} sits inside the sign; infrared passes neither wood nor metal, so the remote reaches it from 0 m.`,
    numbers: [{ label: 'remote reaches', value: 0, unit: 'm' }],
    where: wholeSign(results),
    target: {
      label: 'hidden sensors',
      better: 'lower',
      unit: '',
      read: (tried) => (hidden(tried) ? 1 : 0),
      settled: (tried) => !hidden(tried),
    },
    remedies: [
      oneChange('sensor-window', 'Let its eye look out through a hole', inDesign.power.sensorWindow, true),
      oneChange('beside-supply', 'Put the controller beside the supply', inDesign.power.controllerPlace, 'supply'),
      {
        id: 'by-radio',
        candidates: radio.map(({ id, name }) => ({
          label: name,
          change: [set(inDesign.power.controllerId, id)],
        })),
      },
    ],
  };
};

/** Length of wire that data goes along before the first pixel (mm). */
const dataWay = ({ circuit, design }: SignResults): number => {
  const inside = circuit.wires.find(({ from, cores }) => from === 'lead' && cores.some(({ name }) => name === 'data'));
  return (circuit.drive.inside ? 0 : design.brief.leadLengthMm) + (inside?.lengthMm ?? 0);
};

const reach = ({ drive }: Circuit): number => drive.controller?.dataReachMm ?? Infinity;

/** Data does not reach the first pixel cleanly. */
export const dataTooFar: SignRule = ({ results, catalogue }) => {
  if (results.circuit.pixels === 0 || dataWay(results) <= reach(results.circuit)) return null;
  const farther = catalogue.controllers
    .filter(({ dataReachMm }) => (dataReachMm ?? 0) > reach(results.circuit))
    .sort((a, b) => a.price - b.price);
  return {
    id: 'data-too-far',
    severity: 'fix',
    step: 'power',
    what: 'The data wire to the first pixel is too long',
    why: `${(dataWay(results) / 1000).toFixed(2)} m from the controller; it is good for ${(reach(results.circuit) / 1000).toFixed(1)} m (typical). Beyond that pixels flicker and show wrong colours.`,
    numbers: [
      { label: 'data wire', value: dataWay(results) / 1000, unit: 'm' },
      { label: 'good for', value: reach(results.circuit) / 1000, unit: 'm' },
    ],
    where: null,
    target: {
      label: 'data wire',
      better: 'lower',
      unit: 'm',
      read: (tried) => Math.round(dataWay(tried)) / 1000,
      settled: (tried) => dataWay(tried) <= reach(tried.circuit),
    },
    remedies: [
      oneChange('controller-inside', 'Put the controller inside the sign', inDesign.power.controllerPlace, 'inside'),
      {
        id: 'farther-controller',
        candidates: farther.map(({ id, name }) => ({
          label: name,
          change: [set(inDesign.power.controllerId, id)],
        })),
      },
    ],
  };
};

/** Pixels that the controller is not told of. */
const untold = ({ circuit, design }: SignResults): number =>
  circuit.pixels === 0 ? 0 : Math.max(0, circuit.pixels - (design.power.pixelCount ?? circuit.pixels));

/** The controller is set to fewer pixels than there are: the rest stays dark. */
export const pixelCountShort: SignRule = ({ results }) => {
  const missing = untold(results);
  if (missing === 0) return null;
  const { pixels } = results.circuit;
  return {
    id: 'pixel-count',
    severity: 'fix',
    step: 'power',
    what: `${missing} pixel${missing === 1 ? ' is' : 's are'} not told of`,
    why: `The controller is set to ${pixels - missing} pixels; there are ${pixels}. Those beyond stay dark.`,
    numbers: [{ label: 'left dark', value: missing, unit: 'pixels' }],
    where: wholeSign(results),
    target: {
      label: 'left dark',
      better: 'lower',
      unit: 'pixels',
      read: untold,
      settled: (tried) => untold(tried) === 0,
    },
    remedies: [oneChange('all-pixels', `Set it to ${pixels} pixels`, inDesign.power.pixelCount, pixels)],
  };
};
