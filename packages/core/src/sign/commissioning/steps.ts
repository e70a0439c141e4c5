import { channelsOf } from '../../document/catalogue/index.js';
import { networkOf, withChannelsOff, type Circuit } from '../../power/circuit/index.js';
import type { StageResults } from '../evaluate/types.js';
import { solveNetwork } from '../../power/network/index.js';
import type { BenchSetting, CommissionStep, Expected, ReadingVerdict } from './types.js';

/** How far readings may be off what is computed: strips differ, meters too (typical). */
const voltsOff = 0.03;
const ampsOff = 0.12;
/** Below this a meter’s last digit counts (A). */
const ampsStep = 0.02;

const everything: BenchSetting = { pieces: null, channel: 'all', level: 1, pixels: null };

const around = (value: number, share: number, unit: Expected['unit'], least = 0): Expected => ({
  low: value - Math.max(least, value * share),
  high: value + Math.max(least, value * share),
  unit,
});

/** Amperes from all supplies with one channel alone switched on; pixels are told to show it. */
const ampsOfChannel = ({ circuit, runs, materials }: StageResults, channel: number): number => {
  const { strip } = materials;
  const placed = networkOf(runs, strip, circuit.wiring);
  if (strip.addressable === true) {
    const { loadAmps } = solveNetwork(placed.network);
    return loadAmps.reduce((sum, amps, load) => (load % placed.channels === channel ? sum + amps : sum), 0);
  }
  const off = channelsOf(strip).map((_, other) => other !== channel);
  return solveNetwork(withChannelsOff(placed, off)).sourceAmps.reduce((sum, amps) => sum + amps, 0);
};

/** What a supply shows with nothing joined: its voltage; a battery anything between full and its cut-off. */
const supplyVolts = ({ voltageV, supply }: Circuit): Expected =>
  supply?.battery === undefined || supply.voltageV !== voltageV
    ? around(voltageV, voltsOff, 'V')
    : { low: supply.battery.cutOffV, high: supply.battery.fullV, unit: 'V' };

const pieceSteps = ({ runs, materials, circuit }: StageResults): readonly CommissionStep[] =>
  runs.segments.map(({ number, lengthMm }): CommissionStep => {
    const amps = ((lengthMm / 1000) * materials.strip.wattsPerM) / materials.strip.voltageV;
    return {
      id: `piece-${number}`,
      stage: 'pieces',
      title: `Piece ${number} alone`,
      how: `Before it is joined: ${materials.strip.voltageV} V at its start, ${circuit.channels.length > 1 ? 'every colour on' : 'full light'}. Look along it for dark groups.`,
      setting: { ...everything, pieces: [number] },
      expected: around(amps, ampsOff, 'A', ampsStep),
    };
  });

const colourSteps = (results: StageResults): readonly CommissionStep[] => {
  const { channels } = results.circuit;
  if (channels.length < 2) return [];
  return channels.map(({ name }, channel): CommissionStep => ({
    id: `colour-${name}`,
    stage: 'colours',
    title: `Only ${name}`,
    how: `Every piece shows ${name}; a piece of another colour has two conductors crossed.`,
    setting: { ...everything, channel },
    expected: around(ampsOfChannel(results, channel), ampsOff, 'A', ampsStep),
  }));
};

const fullSteps = ({ circuit }: StageResults): readonly CommissionStep[] => {
  const least = circuit.groups.volts.reduce((low, volts) => Math.min(low, volts), Infinity);
  return [
    {
      id: 'full-amps',
      stage: 'full',
      title: circuit.channels.length > 1 ? 'Every colour full' : 'Full light',
      how: 'By clamp round plus of the lead, after a minute; of several supplies the sum.',
      setting: everything,
      expected: around(circuit.amps, ampsOff, 'A', ampsStep),
    },
    ...(Number.isFinite(least)
      ? [
          {
            id: 'full-volts',
            stage: 'full',
            title: 'Volts at the farthest cut',
            how: `Between the pads of the dimmest group${circuit.channels.length > 1 ? ', to the return that reads least' : ''}.`,
            setting: everything,
            expected: around(least, voltsOff, 'V'),
          } as const,
        ]
      : []),
  ];
};

const soakSteps = ({ heat, build }: StageResults): readonly CommissionStep[] => {
  const step = (
    id: string,
    title: string,
    how: string,
    { low, high }: { low: number; high: number },
  ): CommissionStep => ({
    id,
    stage: 'soak',
    title,
    how,
    setting: everything,
    expected: { low, high, unit: '°C' },
  });
  return [
    step('soak-strip', 'Strip after an hour', 'On the board, beside an LED in the middle of the piece.', heat.stripC),
    ...(build === 'halo'
      ? []
      : [
          step(
            'soak-air',
            'Air inside after an hour',
            'Through the lead’s hole, not touching the strip.',
            heat.airInsideC,
          ),
          step('soak-face', 'Face after an hour', 'In its middle, from the front.', heat.faceC),
        ]),
  ];
};

/** What to measure while a new piece is put to work, in its order: supply, each piece, each colour, full light, soak. */
export const commissionSteps = (results: StageResults): readonly CommissionStep[] => {
  const { circuit } = results;
  return [
    {
      id: 'supply-volts',
      stage: 'supply',
      title: 'Supply alone',
      how: 'Nothing joined yet: red tip on plus, black on minus. A minus sign means they are swapped.',
      setting: { ...everything, level: 0 },
      expected: supplyVolts(circuit),
    },
    ...pieceSteps(results),
    ...colourSteps(results),
    ...fullSteps(results),
    ...soakSteps(results),
  ];
};

/** A typed reading held against what was computed. */
export const judgeReading = ({ expected }: CommissionStep, value: number): ReadingVerdict =>
  value < expected.low ? 'low' : value > expected.high ? 'high' : 'fine';

/** What a reading that is off points to, in a sentence. */
export const readingWords = ({ stage, expected }: CommissionStep, value: number, verdict: ReadingVerdict): string => {
  if (verdict === 'fine') return 'as computed';
  if (stage === 'soak')
    return verdict === 'high'
      ? 'hotter than computed: vent it, or give it less'
      : 'cooler than computed, so much the better';
  if (value < 0) return 'plus and minus are swapped';
  if (expected.unit === 'V')
    return verdict === 'low' ? 'too low: a weak supply, a thin wire or a loose joint' : 'too high: the wrong supply';
  if (value === 0) return 'nothing: an open wire, or the wrong way round';
  return verdict === 'low'
    ? 'too little: a dark group, a loose joint or a colour that is off'
    : 'too much: a short, or strip of another power';
};
