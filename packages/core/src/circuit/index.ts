import type { Catalogue, Strip } from '../catalogue/index.js';
import type { Brief, PowerDesign } from '../design/index.js';
import type { LightRuns, Point3, Segment } from '../light-runs/index.js';
import { groupChains } from './chains.js';
import { chooseFuse, chooseSupply, chooseWire, leadDropShare, pairOhm } from './choose.js';
import {
  bothEndsSiemens,
  inputSiemens,
  join,
  stripPort,
  through,
  unchanged,
  wirePort,
  type Line,
  type State,
} from './ladder.js';
import type { Chain, Circuit, WireRun } from './types.js';

export { fittingSupplies, leadDropShare, pairOhm } from './choose.js';
export type { Chain, Circuit, WireRun } from './types.js';

/** Extra wire at each joint, to tin and bend (mm). */
const jointSlackMm = 40;

const distance = (a: Point3, b: Point3): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** A piece of a chain with the wire that leads to it. */
interface Piece {
  readonly index: number;
  readonly segment: Segment;
  readonly wireMm: number;
}

interface Solved {
  readonly admittance: number;
  /** State at the start of each piece per volt at the node that feeds the chain. */
  readonly starts: readonly State[];
  readonly end: State;
}

const solveChain = (
  pieces: readonly Piece[],
  line: Line,
  ohmOf: (mm: number) => number,
  returnMm: number | null,
): Solved => {
  const ports = pieces.map(({ wireMm, segment }) => ({
    wire: wirePort(ohmOf(wireMm)),
    strip: stripPort(line, segment.lengthMm / 1000),
  }));
  const whole = ports.reduce((port, { wire, strip }) => join(join(port, wire), strip), unchanged);
  const closed = returnMm === null ? null : bothEndsSiemens(join(whole, wirePort(ohmOf(returnMm))));
  const start = closed?.start ?? inputSiemens(whole);
  let state: State = { u: 1, i: start };
  const starts = ports.map(({ wire, strip }) => {
    const here = through(wire, state);
    state = through(strip, here);
    return here;
  });
  return { admittance: closed === null ? start : start - closed.end, starts, end: state };
};

/** Light of each LED against the nominal, given the state where its piece begins. */
const shareAt = (line: Line, start: State, alongMm: number, nominalU: number): number =>
  Math.max(0, through(stripPort(line, alongMm / 1000), start).u / nominalU);

interface Layout {
  readonly pieces: readonly Piece[];
  readonly returnMm: number | null;
}

const layOut = (group: readonly number[], runs: LightRuns, entry: Point3, bothEnds: boolean): Layout => {
  let at = entry;
  const pieces = group.flatMap((index): readonly Piece[] => {
    const segment = runs.segments[index];
    if (segment === undefined) return [];
    const wireMm = distance(at, segment.from) + jointSlackMm;
    at = segment.to;
    return [{ index, segment, wireMm }];
  });
  return { pieces, returnMm: bothEnds ? distance(at, entry) + jointSlackMm : null };
};

const wireRuns = (
  layouts: readonly Layout[],
  circuitWire: (amps: number, mm: number) => WireRun['wire'],
  ampsPerMm: number,
): readonly WireRun[] =>
  layouts.flatMap(({ pieces, returnMm }) => {
    const amps = ampsPerMm * pieces.reduce((sum, { segment }) => sum + segment.lengthMm, 0);
    const hops = pieces.map(({ segment, wireMm }, index): WireRun => {
      const before = pieces[index - 1];
      return {
        from: before === undefined ? 'lead' : `segment ${before.segment.number} end`,
        to: `segment ${segment.number} start`,
        lengthMm: wireMm,
        wire: circuitWire(amps, wireMm),
        amps,
      };
    });
    const last = pieces[pieces.length - 1];
    if (returnMm === null || last === undefined) return hops;
    return [
      ...hops,
      {
        from: 'lead',
        to: `segment ${last.segment.number} end`,
        lengthMm: returnMm,
        wire: circuitWire(amps, returnMm),
        amps,
      },
    ];
  });

/**
 * The circuit stage: chains within the strip's longest run, all in parallel; each supply's lead, chains and drops solved
 * in closed form (see `ladder.ts`), so that every LED gets its own share of light. Strips count as linear above their
 * forward voltage; currents are exact for that law, and the lead is taken at 20 °C. `entry` is where the lead comes in.
 */
export const wireUp = (
  brief: Brief,
  power: PowerDesign,
  catalogue: Catalogue,
  strip: Strip,
  entry: Point3,
  runs: LightRuns,
): Circuit => {
  const bothEnds = power.feed === 'both-ends';
  const nominalU = strip.voltageV - strip.forwardV;
  const ampsPerM = strip.wattsPerM / strip.voltageV;
  const line: Line = { ohmPerM: strip.trackOhmPerM, siemensPerM: ampsPerM / nominalU };
  const nominalWatts = (runs.stripMm / 1000) * strip.wattsPerM;
  const neededWatts = (nominalWatts * (1 + power.headroomShare)) / power.supplyCount;
  const nominalAmps = nominalWatts / strip.voltageV;
  const perSupplyAmps = nominalAmps / power.supplyCount;
  const allowedDropV = strip.voltageV * leadDropShare;
  const lead = chooseWire(catalogue.wires, power.wireId, perSupplyAmps, brief.leadLengthMm, allowedDropV);
  const innerWire = (amps: number, mm: number) => chooseWire(catalogue.wires, 'auto', amps, mm, allowedDropV / 3);

  const groups = groupChains(runs.segments, strip.maxRunMm * (bothEnds ? 2 : 1));
  const layouts = groups.map((group) => layOut(group, runs, entry, bothEnds));
  const solved = layouts.map(({ pieces, returnMm }) => {
    const amps = (ampsPerM / 1000) * pieces.reduce((sum, { segment }) => sum + segment.lengthMm, 0);
    return solveChain(pieces, line, (mm) => pairOhm(innerWire(amps, mm), mm), returnMm);
  });
  const supplyOf = (chain: number): number => (chain % power.supplyCount) + 1;
  const leadOhm = pairOhm(lead, brief.leadLengthMm);
  const nodeU = Array.from({ length: power.supplyCount }, (_, supply) => {
    const siemens = solved.reduce(
      (sum, { admittance }, chain) => sum + (supplyOf(chain) === supply + 1 ? admittance : 0),
      0,
    );
    return nominalU / (1 + leadOhm * siemens);
  });

  const fluxShare = new Float64Array(runs.leds.count);
  const startOf = new Map<number, State>();
  const chains = layouts.map(({ pieces }, index): Chain => {
    const chainSolved = solved[index];
    const u = nodeU[supplyOf(index) - 1] ?? 0;
    const scaled = ({ u: u1, i }: State): State => ({ u: u1 * u, i: i * u });
    chainSolved?.starts.forEach((start, place) => startOf.set(pieces[place]?.index ?? -1, scaled(start)));
    return {
      number: index + 1,
      supply: supplyOf(index),
      segments: pieces.map((piece) => piece.index),
      stripMm: pieces.reduce((sum, { segment }) => sum + segment.lengthMm, 0),
      amps: (chainSolved?.admittance ?? 0) * u,
      dropV: 0,
      dimmestShare: 1,
      brightestShare: 1,
    };
  });
  for (let led = 0; led < runs.leds.count; led += 1) {
    const start = startOf.get(runs.leds.segment[led] ?? -1);
    fluxShare[led] = start === undefined ? 0 : shareAt(line, start, runs.leds.along[led] ?? 0, nominalU);
  }
  const rated = rateChains(chains, runs, fluxShare, nominalU);
  const amps = rated.reduce((sum, chain) => sum + chain.amps, 0);
  return {
    chains: rated,
    fluxShare,
    nominalWatts,
    watts: amps * strip.voltageV,
    amps,
    neededWatts,
    supply: chooseSupply(catalogue, power, strip.voltageV, neededWatts, brief),
    supplyCount: power.supplyCount,
    lead,
    leadDropV: (amps / power.supplyCount) * leadOhm,
    wires: wireRuns(layouts, innerWire, ampsPerM / 1000),
    fuseA: chooseFuse(perSupplyAmps),
  };
};

const rateChains = (
  chains: readonly Chain[],
  runs: LightRuns,
  fluxShare: Float64Array,
  nominalU: number,
): readonly Chain[] => {
  const chainOf = new Map(chains.flatMap((chain, index) => chain.segments.map((segment) => [segment, index] as const)));
  const low = chains.map(() => 1);
  const high = chains.map(() => 0);
  for (let led = 0; led < runs.leds.count; led += 1) {
    const chain = chainOf.get(runs.leds.segment[led] ?? -1) ?? 0;
    const share = fluxShare[led] ?? 0;
    low[chain] = Math.min(low[chain] ?? 1, share);
    high[chain] = Math.max(high[chain] ?? 0, share);
  }
  return chains.map((chain, index) => ({
    ...chain,
    dimmestShare: low[index] ?? 1,
    brightestShare: high[index] ?? 1,
    dropV: (1 - (low[index] ?? 1)) * nominalU,
  }));
};
