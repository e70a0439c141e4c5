import type { Chain } from '../../power/circuit/index.js';
import type { DesignChange, PowerDesign } from '../../document/design/index.js';
import type { StageResults } from '../../sign/evaluate/types.js';
import { pieceRect, wholeFront } from './strip-rules.js';
import type { Rule } from './types.js';

/** Something asked of the wiring by hand that cannot be. */
interface Clash {
  readonly piece: number;
  readonly why: string;
}

/** Wishes for the wiring that name pieces which are not there, or contradict each other. */
const clashes = ({ design, runs }: StageResults): readonly Clash[] => {
  const { chainsBegin = [], chainsCarryOn = [], injections = [], zones = [] } = design.power;
  const { fedBackward = [], fedForward = [] } = design.power;
  const there = new Set(runs.segments.map(({ number }) => number));
  const missing = (pieces: readonly number[], what: string): readonly Clash[] =>
    pieces
      .filter((piece) => !there.has(piece))
      .map((piece) => ({ piece, why: `${what} names piece ${piece}, which is not there` }));
  const inZones = zones.flatMap(({ pieces }) => pieces);
  return [
    ...missing(chainsBegin, 'A chain to begin'),
    ...missing(chainsCarryOn, 'A chain to carry on'),
    ...missing([...fedBackward, ...fedForward], 'A chain to turn round'),
    ...missing(
      injections.map(({ piece }) => piece),
      'A feed',
    ),
    ...missing(inZones, 'A zone'),
    ...chainsBegin
      .filter((piece) => chainsCarryOn.includes(piece))
      .map((piece) => ({ piece, why: `Piece ${piece} is to begin a chain and to carry one on` })),
    ...fedBackward
      .filter((piece) => fedForward.includes(piece))
      .map((piece) => ({ piece, why: `The chain of piece ${piece} is to be fed at both of its ends first` })),
    ...inZones
      .filter((piece, at) => inZones.indexOf(piece) !== at)
      .map((piece) => ({ piece, why: `Piece ${piece} is in two zones` })),
  ];
};

/** The same wishes without those that clash. */
const withoutClashes = (results: StageResults): DesignChange => {
  const bad = new Set(clashes(results).map(({ piece }) => piece));
  const { chainsBegin, chainsCarryOn, fedBackward, fedForward, injections, zones } = results.design.power;
  const good = (pieces: readonly number[] | undefined): readonly number[] =>
    (pieces ?? []).filter((piece) => !bad.has(piece));
  return [
    { path: 'power.chainsBegin', value: good(chainsBegin) },
    { path: 'power.chainsCarryOn', value: good(chainsCarryOn) },
    { path: 'power.fedBackward', value: good(fedBackward) },
    { path: 'power.fedForward', value: good(fedForward) },
    { path: 'power.injections', value: (injections ?? []).filter(({ piece }) => !bad.has(piece)) },
    {
      path: 'power.zones',
      value: (zones ?? [])
        .map((zone) => ({ ...zone, pieces: good(zone.pieces) }))
        .filter(({ pieces }) => pieces.length > 0),
    },
  ];
};

/** What was asked of the wiring by hand contradicts itself or the strip that is laid. */
export const wiringContradicts: Rule = ({ results }) => {
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
    where: pieceRect(results, first.piece),
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
const detourMm = ({ circuit, runs }: StageResults, chain: Chain): number => {
  const feed = circuit.wires.find(
    (run) => run.chain === chain.number && run.from === 'lead' && !run.injected && run.carries !== 'data',
  );
  const [end] = feed?.ends.slice(1) ?? [];
  if (feed === undefined || end === undefined || end === 'lead' || chain.injections > 0) return 0;
  const last = runs.segments[chain.segments[chain.segments.length - 1]!]!;
  const [x, y] = end.end === 'start' ? last.to : last.from;
  const [lx, ly] = feed.at[0];
  return feed.lengthMm - Math.hypot(x - lx, y - ly) - 40;
};

/** A chain, by its name, fed at its far end or at its first piece. */
const turnedRound = ({ fedBackward, fedForward }: PowerDesign, name: number, backward: boolean): DesignChange => {
  const others = (list: readonly number[] | undefined): readonly number[] =>
    (list ?? []).filter((each) => each !== name);
  return [
    { path: 'power.fedBackward', value: backward ? [...others(fedBackward), name] : others(fedBackward) },
    { path: 'power.fedForward', value: backward ? others(fedForward) : [...others(fedForward), name] },
  ];
};

/** A chain is fed at the end that lies farther from the lead: more wire, and more of it to lose volts in. */
export const fedAtWrongEnd: Rule = ({ results }) => {
  const { circuit, runs, design } = results;
  if (circuit.pairs.length > 0) return null;
  const worst = circuit.chains.reduce<Chain | null>(
    (most, chain) => (most === null || detourMm(results, chain) > detourMm(results, most) ? chain : most),
    null,
  );
  if (worst === null || detourMm(results, worst) <= noticedMm) return null;
  const numbers = worst.segments.map((segment) => runs.segments[segment]!.number);
  const name = Math.min(...numbers);
  const wireM = ({ circuit: { wires } }: StageResults): number =>
    Math.round(wires.reduce((sum, { lengthMm }) => sum + lengthMm, 0)) / 1000;
  return {
    id: 'fed-at-wrong-end',
    severity: 'note',
    step: 'power',
    what: `Chain ${worst.number} is fed at the farther end`,
    why: `Its other end lies ${Math.round(detourMm(results, worst))} mm nearer to the lead.`,
    numbers: [{ label: 'wire to save', value: detourMm(results, worst), unit: 'mm' }],
    where: pieceRect(results, numbers[0]!),
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
const mostResidualA = 1e-6;

/** The solver gave up before its currents added up: the figures of this circuit are not to be trusted. */
export const notSolved: Rule = ({ results }) => {
  const { settled, residualA } = results.circuit;
  if (settled && residualA <= mostResidualA) return null;
  return {
    id: 'not-solved',
    severity: 'stop',
    step: 'power',
    what: 'This circuit could not be worked out',
    why: `After all rounds ${residualA.toExponential(1)} A are left over at a joint; its volts and amperes are only near the truth. Look for a loop or a joint that no supply reaches.`,
    numbers: [{ label: 'left over', value: residualA, unit: 'A' }],
    where: wholeFront(results),
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
