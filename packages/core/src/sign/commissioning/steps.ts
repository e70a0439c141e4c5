import { networkOf, withOutputsOff, type Circuit } from '../../power/circuit/index.js';
import { buildOf } from '../../builds/index.js';
import { sum } from '../../base/maths/index.js';
import type { AssemblyResults, SignResults } from '../../judging/results/index.js';
import { solveNetwork } from '../../power/network/index.js';
import type { BenchSetting, CommissionStep, Expected, ReadingVerdict, TakenReading } from './types.js';

/** How far readings may be off what is computed: strips differ, meters too (typical). */
const voltsOff = 0.03;
const ampsOff = 0.12;
/** Below this a meter’s last digit counts (A). */
const ampsStep = 0.02;
/** Strip’s flux is stated to a tenth or so, what lets light through to another, and meters add theirs (typical). */
const luminanceOff = 0.25;

const everything: BenchSetting = { segments: null, channel: 'all', level: 1, pixels: null };

const around = (value: number, share: number, unit: Expected['unit'], least = 0): Expected => ({
  low: value - Math.max(least, value * share),
  high: value + Math.max(least, value * share),
  unit,
});

/** Amperes from all supplies with one channel alone switched on; pixels are told to show it. */
const ampsOfChannel = ({ circuit }: SignResults, channel: number): number => {
  const placed = networkOf(circuit.segments, circuit.wiring);
  if (circuit.pixels > 0) {
    const { loadAmps } = solveNetwork(placed.network);
    let amps = 0;
    placed.firstLoad.forEach((first, segment) => {
      const channels = placed.channels[segment]!;
      for (let group = 0; group < placed.groups[segment]!; group += 1)
        amps += loadAmps[first + group * channels + channel] ?? 0;
    });
    return amps;
  }
  const isOff = (_: number, other: number): boolean => other !== channel;
  return sum([...solveNetwork(withOutputsOff(placed, isOff)).sourceAmps]);
};

/** What a supply shows with nothing joined: its voltage; a battery anything between full and its cut-off. */
const supplyVolts = ({ voltageV, supply }: Circuit): Expected =>
  supply?.battery === undefined || supply.voltageV !== voltageV
    ? around(voltageV, voltsOff, 'V')
    : { low: supply.battery.cutOffV, high: supply.battery.fullV, unit: 'V' };

const segmentSteps = ({ circuit }: SignResults): readonly CommissionStep[] =>
  circuit.segments.map(({ label, ref, lengthMm, strip }): CommissionStep => {
    const amps = ((lengthMm / 1000) * strip.wattsPerM) / strip.voltageV;
    return {
      key: `segment-${label}`,
      id: 'segment',
      at: ref,
      stage: 'segments',
      title: `Segment ${label} alone`,
      how: `Before it is joined: ${strip.voltageV} V at its start, ${strip.colour === 'white' && strip.addressable !== true ? 'full light' : 'every colour on'}. Look along it for dark groups.`,
      setting: { ...everything, segments: [ref] },
      expected: around(amps, ampsOff, 'A', ampsStep),
      roomC: null,
    };
  });

const colourSteps = (results: SignResults): readonly CommissionStep[] => {
  const { channels } = results.circuit;
  if (channels.length < 2) return [];
  return channels.map(({ name }, channel): CommissionStep => ({
    key: `colour-${name}`,
    id: `colour-${name}`,
    at: null,
    stage: 'colours',
    title: `Only ${name}`,
    how: `Every segment shows ${name}; a segment of another colour has two conductors crossed.`,
    setting: { ...everything, channel },
    expected: around(ampsOfChannel(results, channel), ampsOff, 'A', ampsStep),
    roomC: null,
  }));
};

const fullSteps = ({ circuit }: SignResults): readonly CommissionStep[] => {
  const least = circuit.groups.volts.reduce((low, volts) => Math.min(low, volts), Infinity);
  return [
    {
      key: 'full-amps',
      id: 'full-amps',
      at: null,
      stage: 'full',
      title: circuit.channels.length > 1 ? 'Every colour full' : 'Full light',
      how: 'By clamp round plus of the lead, after a minute; of several supplies the sum.',
      setting: everything,
      expected: around(circuit.amps, ampsOff, 'A', ampsStep),
      roomC: null,
    },
    ...(Number.isFinite(least)
      ? [
          {
            key: 'full-volts',
            id: 'full-volts',
            at: null,
            stage: 'full',
            title: 'Volts at the farthest cut',
            how: `Between the pads of the dimmest group${circuit.channels.length > 1 ? ', to the return that reads least' : ''}.`,
            setting: everything,
            expected: around(least, voltsOff, 'V'),
            roomC: null,
          } as const,
        ]
      : []),
  ];
};

/** The light of each assembly, set as the brief says. */
const luminanceSteps = ({ assemblies, design }: SignResults): readonly CommissionStep[] =>
  assemblies.flatMap((own): readonly CommissionStep[] => {
    const { meanCdM2 } = own.glow.evenness;
    const { id: assembly, label } = own;
    if (meanCdM2 <= 0) return [];
    const { title, how } = buildOf(own).meterSpot;
    return [
      {
        key: `luminance-${assembly}`,
        id: 'luminance',
        at: { assembly },
        stage: 'full',
        title: label === '' ? title : `${label}: ${title}`,
        how,
        setting: { segments: null, channel: null, level: design.power.level ?? 1, pixels: null },
        expected: around(meanCdM2, luminanceOff, 'cd/m²'),
        roomC: null,
      },
    ];
  });

const soakSteps = (own: AssemblyResults): readonly CommissionStep[] => {
  const { heat, id: assembly, label } = own;
  const ranges = { strip: heat.stripC, air: heat.airInsideC, face: heat.faceC } as const;
  return buildOf(own).soakPoints.map(({ id, place, title, how }): CommissionStep => ({
    key: label === '' ? id : `${id}-${assembly}`,
    id,
    at: { assembly },
    stage: 'soak',
    title: label === '' ? title : `${label}: ${title}`,
    how,
    setting: everything,
    expected: { low: ranges[place].low, high: ranges[place].high, unit: '°C' },
    roomC: heat.surroundingC,
  }));
};

/** What to measure while a new sign is put to work, in its order: supply, each segment, each colour, full light, soak. */
export const commissionSteps = (results: SignResults): readonly CommissionStep[] => {
  const { circuit } = results;
  return [
    {
      key: 'supply-volts',
      id: 'supply-volts',
      at: null,
      stage: 'supply',
      title: 'Supply alone',
      how: 'Nothing joined yet: red tip on plus, black on minus. A minus sign means they are swapped.',
      setting: { ...everything, level: 0 },
      expected: supplyVolts(circuit),
      roomC: null,
    },
    ...segmentSteps(results),
    ...colourSteps(results),
    ...fullSteps(results),
    ...luminanceSteps(results),
    ...results.assemblies.flatMap(soakSteps),
  ];
};

/**
 * What should be read where it is so warm round the sign (°C): what is lit is so much warmer than its room, whatever that
 * is. As computed where the room was not told, or does not matter.
 */
export const expectedIn = ({ expected, roomC }: CommissionStep, actualC: number | undefined): Expected => {
  if (roomC === null || actualC === undefined) return expected;
  const { low, high, unit } = expected;
  return { low: low + actualC - roomC, high: high + actualC - roomC, unit };
};

/** A typed reading held against what was computed. */
export const judgeReading = (step: CommissionStep, { value, roomC }: TakenReading): ReadingVerdict => {
  const { low, high } = expectedIn(step, roomC);
  return value < low ? 'low' : value > high ? 'high' : 'fine';
};

/** What a reading that is off points to, in a sentence. */
export const readingWords = ({ stage, expected }: CommissionStep, value: number, verdict: ReadingVerdict): string => {
  if (verdict === 'fine') return 'as computed';
  if (stage === 'soak')
    return verdict === 'high'
      ? 'hotter than computed: vent it, or give it less'
      : 'cooler than computed, so much the better';
  if (expected.unit === 'cd/m²')
    return verdict === 'high'
      ? 'brighter than computed: strip of another flux, or light of the room'
      : 'dimmer than computed: strip of another flux, a sheet that lets less through, or dust';
  if (value < 0) return 'plus and minus are swapped';
  if (expected.unit === 'V')
    return verdict === 'low' ? 'too low: a weak supply, a thin wire or a loose joint' : 'too high: the wrong supply';
  if (value === 0) return 'nothing: an open wire, or the wrong way round';
  return verdict === 'low'
    ? 'too little: a dark group, a loose joint or a colour that is off'
    : 'too much: a short, or strip of another power';
};
