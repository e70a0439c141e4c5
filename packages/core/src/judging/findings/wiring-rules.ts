import { millionth } from '../../base/maths/index.js';
import { set, type DesignChange, type PowerDesign, type SegmentRef } from '../../document/design/index.js';
import { sameSegment, segmentIndexOf, type Chain } from '../../power/circuit/index.js';
import { inDesign, type SignResults } from '../results/index.js';
import { refPlace, segmentPlace, wholeSign } from './places.js';
import type { SignRule } from './types.js';

/** Something asked of the wiring by hand that cannot be. */
interface Clash {
  readonly ref: SegmentRef;
  readonly why: string;
}

const isIn = (list: readonly SegmentRef[], ref: SegmentRef): boolean => list.some((each) => sameSegment(each, ref));

/** What is asked of the wiring that names segments which are not there, or contradicts itself. */
const clashes = ({ design, circuit: { segments } }: SignResults): readonly Clash[] => {
  const { chainsBegin = [], chainsCarryOn = [], injections = [], zones = [] } = design.power;
  const { fedBackward = [], fedForward = [] } = design.power;
  const nameOf = (ref: SegmentRef): string =>
    segments[segmentIndexOf(segments, ref)]?.label ??
    `${ref.segment}${design.assemblies.length > 1 ? ` of ${ref.assembly}` : ''}`;
  const missing = (refs: readonly SegmentRef[], what: string): readonly Clash[] =>
    refs
      .filter((ref) => segmentIndexOf(segments, ref) < 0)
      .map((ref) => ({ ref, why: `${what} names segment ${nameOf(ref)}, which is not there` }));
  const inZones = zones.flatMap((zone) => zone.segments);
  return [
    ...missing(chainsBegin, 'A chain to begin'),
    ...missing(chainsCarryOn, 'A chain to carry on'),
    ...missing([...fedBackward, ...fedForward], 'A chain to turn round'),
    ...missing(injections, 'A feed'),
    ...missing(inZones, 'A zone'),
    ...chainsBegin
      .filter((ref) => isIn(chainsCarryOn, ref))
      .map((ref) => ({ ref, why: `Segment ${nameOf(ref)} is to begin a chain and to carry one on` })),
    ...fedBackward
      .filter((ref) => isIn(fedForward, ref))
      .map((ref) => ({ ref, why: `The chain of segment ${nameOf(ref)} is to be fed at both of its ends first` })),
    ...inZones
      .filter((ref, at) => isIn(inZones.slice(0, at), ref))
      .map((ref) => ({ ref, why: `Segment ${nameOf(ref)} is in two zones` })),
  ];
};

/** The same without what clashes. */
const withoutClashes = (results: SignResults): DesignChange => {
  const bad = clashes(results).map(({ ref }) => ref);
  const { chainsBegin, chainsCarryOn, fedBackward, fedForward, injections, zones } = results.design.power;
  const good = <Ref extends SegmentRef>(refs: readonly Ref[] | undefined): readonly Ref[] =>
    (refs ?? []).filter((ref) => !isIn(bad, ref));
  const { power } = inDesign;
  return [
    set(power.chainsBegin, good(chainsBegin)),
    set(power.chainsCarryOn, good(chainsCarryOn)),
    set(power.fedBackward, good(fedBackward)),
    set(power.fedForward, good(fedForward)),
    set(power.injections, good(injections)),
    set(
      power.zones,
      (zones ?? [])
        .map((zone) => ({ ...zone, segments: good(zone.segments) }))
        .filter(({ segments }) => segments.length > 0),
    ),
  ];
};

/** What was asked of the wiring by hand contradicts itself or the strip that is laid. */
export const wiringContradicts: SignRule = ({ results }) => {
  const found = clashes(results);
  const [first] = found;
  if (first === undefined) return null;
  return {
    id: 'wiring-contradicts',
    severity: 'fix',
    step: 'power',
    what: 'The wiring asked for by hand contradicts itself',
    why: `${found
      .slice(0, 3)
      .map(({ why }) => why)
      .join('. ')}${found.length > 3 ? `, and ${found.length - 3} more` : ''}. What cannot be is passed over.`,
    numbers: [{ label: 'contradictions', value: found.length, unit: '' }],
    where: refPlace(results, first.ref),
    target: {
      label: 'contradictions',
      better: 'lower',
      unit: '',
      read: (tried) => clashes(tried).length,
      settled: (tried) => clashes(tried).length === 0,
    },
    remedies: [{ id: 'drop-clashes', candidates: [{ label: 'Drop what cannot be', change: withoutClashes(results) }] }],
  };
};

/** Wire that a chain would save by being fed at its other end (mm). */
const noticedMm = 250;

/** From the lead to the end that a chain is fed at, less that to its other end (mm). */
const detourMm = ({ circuit }: SignResults, chain: Chain): number => {
  const feed = circuit.wires.find(
    (run) => run.chain === chain.number && run.from === 'lead' && !run.injected && run.carries !== 'data',
  );
  const [end] = feed?.ends.slice(1) ?? [];
  if (feed === undefined || end === undefined || end === 'lead' || chain.injections > 0) return 0;
  const last = circuit.segments[chain.segments[chain.segments.length - 1]!]!;
  const [x, y] = end.end === 'start' ? last.to : last.from;
  const [lx, ly] = feed.at[0];
  return feed.lengthMm - Math.hypot(x - lx, y - ly) - 40;
};

/** A chain, by its name, fed at its far end or at its first segment. */
const turnedRound = ({ fedBackward, fedForward }: PowerDesign, name: SegmentRef, backward: boolean): DesignChange => {
  const others = (list: readonly SegmentRef[] | undefined): readonly SegmentRef[] =>
    (list ?? []).filter((each) => !sameSegment(each, name));
  return [
    set(inDesign.power.fedBackward, backward ? [...others(fedBackward), name] : others(fedBackward)),
    set(inDesign.power.fedForward, backward ? others(fedForward) : [...others(fedForward), name]),
  ];
};

/** Chains whose end the maker chose: of the tool’s own choice nobody needs to be told. */
const chosenByHand = ({ circuit, design }: SignResults): readonly Chain[] => {
  const { fedBackward = [], fedForward = [] } = design.power;
  const named = [...fedBackward, ...fedForward];
  return circuit.chains.filter(({ segments }) =>
    named.some((name) => segments.some((segment) => sameSegment(circuit.segments[segment]!.ref, name))),
  );
};

/** A chain is fed by hand at the end that lies farther from the lead: more wire, and more of it to lose volts in. */
export const fedAtWrongEnd: SignRule = ({ results }) => {
  const { circuit, design } = results;
  if (circuit.pairs.length > 0) return null;
  const worst = chosenByHand(results).reduce<Chain | null>(
    (most, chain) => (most === null || detourMm(results, chain) > detourMm(results, most) ? chain : most),
    null,
  );
  if (worst === null || detourMm(results, worst) <= noticedMm) return null;
  const name = circuit.segments[Math.min(...worst.segments)]!.ref;
  const wireM = ({ circuit: { wires } }: SignResults): number =>
    Math.round(wires.reduce((sum, { lengthMm }) => sum + lengthMm, 0)) / 1000;
  return {
    id: 'fed-at-wrong-end',
    severity: 'note',
    step: 'power',
    what: `Chain ${worst.number} is fed at the farther end`,
    why: `Its other end lies ${Math.round(detourMm(results, worst))} mm nearer to the lead.`,
    numbers: [{ label: 'wire to save', value: detourMm(results, worst), unit: 'mm' }],
    where: segmentPlace(results, worst.segments[0]!),
    target: {
      label: 'wire inside',
      better: 'lower',
      unit: 'm',
      read: wireM,
      settled: (tried) => wireM(tried) < wireM(results),
    },
    remedies: [
      {
        id: 'turn-round',
        candidates: [
          {
            label: `Turn chain ${worst.number} round`,
            change: turnedRound(design.power, name, !worst.backward),
          },
        ],
      },
    ],
  };
};

/** Currents left over at a joint beyond this are no solution (A). */
const mostResidualA = millionth;

/** The solver gave up before its currents added up: the figures of this circuit are not to be trusted. */
export const notSolved: SignRule = ({ results }) => {
  const { settled, residualA } = results.circuit;
  if (settled && residualA <= mostResidualA) return null;
  return {
    id: 'not-solved',
    severity: 'stop',
    step: 'power',
    what: 'This circuit could not be worked out',
    why: `After all rounds ${residualA.toExponential(1)} A are left over at a joint; its volts and amperes are only near the truth. Look for a loop or a joint that no supply reaches.`,
    numbers: [{ label: 'left over', value: residualA, unit: 'A' }],
    where: wholeSign(results),
    target: {
      label: 'left over',
      better: 'lower',
      unit: 'A',
      read: (tried) => tried.circuit.residualA,
      settled: (tried) => tried.circuit.settled && tried.circuit.residualA <= mostResidualA,
    },
    remedies: [],
  };
};
