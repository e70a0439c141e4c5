import type { SegmentRef } from '../../document/design/index.js';
import { set } from '../../document/design/index.js';
import { isInSeries, matchOf, segmentIndexOf, type SharedPair } from '../../power/circuit/index.js';
import { fieldsIn, inDesign, type SignResults } from '../results/index.js';
import { allInParallel, oneChange } from './candidates.js';
import { segmentPlace } from './places.js';
import { splitToMatch } from './split-to-match.js';
import type { Remedy, SignRule } from './types.js';

/** More than its own voltage by this share shortens a strip’s life; by this it burns (typical). */
const harms = 1.05;
const burns = 1.1;

const byLength: Remedy = oneChange('pair-by-length', 'Pair segments of like length', inDesign.power.seriesPairs, []);

/** All segments in two groups of the same total, which need no mates. */
const inGroups: Remedy = oneChange(
  'in-groups',
  'Wire them in two groups of the same total',
  inDesign.power.arrangement,
  'series-groups',
);

/** Segments cut at a mark, one of each pair whose groups do not come to the same. */
const cutForGroups = ({ circuit, assemblies, design }: SignResults): readonly Remedy[] => {
  if (design.power.arrangement !== 'series-groups') return [];
  const cuts = circuit.pairs.flatMap(({ groups }) => {
    const { cut } = matchOf(circuit.segments, groups);
    return cut === null ? [] : [{ ...cut, of: circuit.segments[cut.index]! }];
  });
  if (cuts.length === 0) return [];
  const change = assemblies.flatMap((own) => {
    const mine = cuts.filter(({ of }) => of.ref.assembly === own.id);
    return mine.length === 0
      ? []
      : [
          set(fieldsIn(own).light.cuts, [
            ...(own.assembly.light.cuts ?? []),
            ...mine.map(({ of, atMm }) => ({ segment: of.ref.segment, atMm })),
          ]),
        ];
  });
  const words = cuts.map(({ of, atMm }) => `segment ${of.label} at ${Math.round(atMm)} mm`).join(' and ');
  return [{ id: 'cut-for-groups', candidates: [{ label: `Cut ${words}, for groups that match`, change }] }];
};

/** The segments of both sides of a pair, by their labels: “1 and 3”, or “1, 4, 5 and 2, 3”. */
const namesOf = ({ groups }: SharedPair, { circuit }: SignResults): string =>
  groups.map((group) => group.map((each) => circuit.segments[each]!.label).join(', ')).join(' and ');

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
    what: `Segments ${namesOf(worst, results)} share their voltage unequally`,
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
    remedies: [
      ...cutForGroups(results),
      ...(results.design.power.arrangement === 'series-groups' ? [] : [byLength, inGroups, ...splitToMatch(results)]),
      allInParallel,
    ],
  };
};

/** What of a wish for pairs cannot be, in sentences. */
const contradictions = ({ circuit, design }: SignResults): readonly string[] => {
  if (!isInSeries(design.power)) return [];
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
    remedies: [byLength, inGroups, ...splitToMatch(results), allInParallel],
  };
};

/** Pairs of groups whose cuts add up to an odd number. */
const oddPairs = ({ circuit, design }: SignResults): readonly SharedPair[] =>
  design.power.arrangement === 'series-groups'
    ? circuit.pairs.filter(({ groups }) => matchOf(circuit.segments, groups).totalCuts % 2 === 1)
    : [];

/** Two groups whose cuts add up to an odd number: one of them is a cut longer, whatever is done. */
export const oddTotal: SignRule = ({ results }) => {
  const { circuit } = results;
  const odd = oddPairs(results);
  const [pair] = odd;
  if (pair === undefined) return null;
  const { totalCuts } = matchOf(circuit.segments, pair.groups);
  const longer = pair.lengthsMm[0] >= pair.lengthsMm[1] ? 0 : 1;
  const longest = pair.groups[longer].reduce((a, b) =>
    circuit.segments[b]!.lengthMm > circuit.segments[a]!.lengthMm ? b : a,
  );
  const offV = Math.max(...pair.volts) - circuit.voltageV / 2;
  return {
    id: 'odd-total',
    severity: 'note',
    step: 'power',
    what: `${totalCuts} cuts make no two groups of the same total${odd.length > 1 ? `, nor do those of ${odd.length - 1} more` : ''}`,
    why: `One group is a cut longer, and the other gets ${offV.toFixed(2)} V too much. Give up a cut of segment ${circuit.segments[longest]!.label}, the longest, and both have their ${(circuit.voltageV / 2).toFixed(0)} V.`,
    numbers: [
      { label: 'cuts in all', value: totalCuts, unit: '' },
      { label: 'too much', value: Math.round(100 * offV) / 100, unit: 'V' },
    ],
    where: segmentPlace(results, longest),
    target: {
      label: 'odd totals',
      better: 'lower',
      unit: '',
      read: (tried) => oddPairs(tried).length,
      settled: (tried) => oddPairs(tried).length === 0,
    },
    remedies: [],
  };
};
