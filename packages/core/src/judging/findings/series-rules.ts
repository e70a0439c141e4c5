import type { SegmentRef } from '../../document/design/index.js';
import { segmentIndexOf } from '../../power/circuit/index.js';
import { inDesign, type SignResults } from '../results/index.js';
import { oneChange } from './candidates.js';
import { segmentPlace } from './places.js';
import { splitToMatch } from './split-to-match.js';
import type { Remedy, SignRule } from './types.js';

/** More than its own voltage by this share shortens a strip’s life; by this it burns (typical). */
const harms = 1.05;
const burns = 1.1;

const parallel: Remedy = oneChange(
  'all-parallel',
  'Wire all segments in parallel',
  inDesign.power.arrangement,
  'parallel',
);
const byLength: Remedy = oneChange('pair-by-length', 'Pair segments of like length', inDesign.power.seriesPairs, []);

/** The highest voltage over a segment in series, against the strip’s own. */
const worstShare = ({ circuit }: SignResults): number =>
  Math.max(
    0,
    ...circuit.pairs.flatMap(({ volts, segments }) =>
      volts.map((each, at) => each / circuit.segments[segments[at]!]!.strip.voltageV),
    ),
  );

/** Two segments of unlike length in series: the shorter takes more than its share of the voltage. */
export const unequalSeries: SignRule = ({ results }) => {
  const share = worstShare(results);
  if (share <= harms) return null;
  const { circuit } = results;
  const worst = circuit.pairs.reduce((most, pair) => (Math.max(...pair.volts) > Math.max(...most.volts) ? pair : most));
  const at = worst.volts[0] >= worst.volts[1] ? 0 : 1;
  return {
    id: 'unequal-series',
    severity: share > burns ? 'stop' : 'fix',
    step: 'power',
    what: `Segments ${worst.segments.map((each) => circuit.segments[each]!.label).join(' and ')} share their voltage unequally`,
    why: `${worst.lengthsMm.map((mm) => Math.round(mm)).join(' and ')} mm in series: segment ${circuit.segments[worst.segments[at]]!.label} gets ${worst.volts[at].toFixed(1)} V and may have ${circuit.segments[worst.segments[at]]!.strip.voltageV} V.`,
    numbers: [
      { label: 'shorter segment', value: worst.volts[at], unit: 'V' },
      { label: 'longer segment', value: worst.volts[1 - at]!, unit: 'V' },
    ],
    where: segmentPlace(results, worst.segments[at]),
    target: {
      label: 'most on a segment',
      better: 'lower',
      unit: 'V',
      read: (tried) => Math.round(10 * Math.max(...tried.circuit.groups.volts)) / 10,
      settled: (tried) => worstShare(tried) <= harms,
    },
    remedies: [byLength, ...splitToMatch(results), parallel],
  };
};

/** What of a wish for pairs cannot be, in sentences. */
const contradictions = ({ circuit, design }: SignResults): readonly string[] => {
  if (design.power.arrangement !== 'series-pairs') return [];
  const { channels, alone, voltageV, segments } = circuit;
  const nameOf = (ref: SegmentRef): string => segments[segmentIndexOf(segments, ref)]?.label ?? String(ref.segment);
  return [
    ...(channels.length > 1
      ? ['Strip of several colours has no single minus to go on from: it cannot be in series']
      : []),
    ...circuit.contradictions.map(
      ({ first, second, why }) => `Segments ${nameOf(first)} and ${nameOf(second)}: ${why}`,
    ),
    ...alone.map((segment) => `Segment ${segments[segment]!.label} has no mate and would get all ${voltageV} V`),
  ];
};

/** Groups in series that contradict each other, or leave a segment alone on double voltage. */
export const seriesImpossible: SignRule = ({ results }) => {
  const found = contradictions(results);
  if (found.length === 0) return null;
  const { alone, contradictions: pairs, segments } = results.circuit;
  const [pair] = pairs;
  const at = alone[0] ?? (pair === undefined ? -1 : segmentIndexOf(segments, pair.first));
  return {
    id: 'series-impossible',
    severity: 'stop',
    step: 'power',
    what: 'These segments cannot be wired in pairs',
    why: `${found.slice(0, 3).join('. ')}.`,
    numbers: [{ label: 'contradictions', value: found.length, unit: '' }],
    where: segmentPlace(results, at),
    target: {
      label: 'contradictions',
      better: 'lower',
      unit: '',
      read: (tried) => contradictions(tried).length,
      settled: (tried) => contradictions(tried).length === 0,
    },
    remedies: [byLength, ...splitToMatch(results), parallel],
  };
};
