import type { Catalogue, Strip } from '../catalogue/index.js';
import type { Brief, PowerDesign } from '../design/index.js';
import type { LightRuns, Point3 } from '../light-runs/index.js';
import { ampsAt, solveNetwork, type Solution } from '../network/index.js';
import { carriersOf, trackRatedA } from './carriers.js';
import { chooseFuse, chooseSupply, chooseWire, leadDropShare, pairOhm } from './choose.js';
import { jointOf } from './joints.js';
import { groupLaw, networkOf, type PlacedNetwork } from './network-of.js';
import { planWiring, type PlannedWire, type WireEnd, type WiringPlan } from './plan.js';
import type { Chain, Circuit, Groups, WireRun } from './types.js';

export { hardestUsed, ratingShare } from './carriers.js';
export { fittingSupplies, leadDropShare, pairOhm } from './choose.js';
export { joints, type Joint, type JointKind } from './joints.js';
export { groupLaw, networkOf, type Pair, type PlacedNetwork, type Wiring } from './network-of.js';
export type { PieceEnd, WireEnd } from './plan.js';
export type { Carrier, Chain, Circuit, Groups, WireRun } from './types.js';

/** Volts and amperes of every group, in the order of the segments. */
const groupsOf = (placed: PlacedNetwork, solution: Solution, cutPitchMm: number): Groups => {
  const { network, firstLoad, groups } = placed;
  const count = network.loads.plus.length;
  const found = {
    segment: new Uint32Array(count),
    alongMm: new Float64Array(count),
    volts: new Float64Array(count),
    amps: solution.loadAmps,
  };
  firstLoad.forEach((first, segment) => {
    for (let group = 0; group < groups[segment]!; group += 1) {
      const load = first + group;
      found.segment[load] = segment;
      found.alongMm[load] = (group + 0.5) * cutPitchMm;
      found.volts[load] = solution.volts[network.loads.plus[load]!]! - solution.volts[network.loads.minus[load]!]!;
    }
  });
  return found;
};

/** Light of each LED: its group’s current over what that is at the strip’s own voltage. */
const fluxShares = (
  { leds }: LightRuns,
  { firstLoad, groups }: PlacedNetwork,
  { loadAmps }: Solution,
  strip: Strip,
): Float64Array => {
  const nominal = ampsAt(groupLaw(strip), strip.voltageV);
  const shares = new Float64Array(leds.count);
  for (let led = 0; led < leds.count; led += 1) {
    const segment = leds.segment[led]!;
    const group = Math.min(groups[segment]! - 1, Math.max(0, Math.floor(leds.along[led]! / strip.cutPitchMm)));
    shares[led] = loadAmps[firstLoad[segment]! + group]! / nominal;
  }
  return shares;
};

const endName = (end: WireEnd, { segments }: LightRuns): string =>
  end === 'lead' ? 'lead' : `piece ${segments[end.piece]!.number} ${end.end}`;

/** The most that the copper of a chain’s pieces carries at any end of them. */
const trackAmps = (chain: number, wires: readonly WireRun[]): number =>
  wires.reduce((most, run) => (run.chain === chain ? Math.max(most, run.amps) : most), 0);

const chainsOf = (
  plan: WiringPlan,
  runs: LightRuns,
  wires: readonly WireRun[],
  placed: PlacedNetwork,
  { loadAmps }: Solution,
  groups: Groups,
  strip: Strip,
  supplyOf: (chain: number) => number,
): readonly Chain[] => {
  const nominal = ampsAt(groupLaw(strip), strip.voltageV);
  return plan.chains.map((segments, index): Chain => {
    let [least, most, volts, dimmest] = [Infinity, 0, strip.voltageV, 0];
    for (const segment of segments)
      for (let group = 0; group < placed.groups[segment]!; group += 1) {
        const load = placed.firstLoad[segment]! + group;
        if (loadAmps[load]! < least) [least, dimmest] = [loadAmps[load]!, load];
        most = Math.max(most, loadAmps[load]!);
        volts = Math.min(volts, groups.volts[load]!);
      }
    const feeds = wires.filter(({ chain, from }) => chain === index + 1 && from === 'lead');
    const stripMm = segments.reduce((sum, segment) => sum + runs.segments[segment]!.lengthMm, 0);
    const amps = feeds.reduce((sum, feed) => sum + feed.amps, 0);
    const trackA = trackAmps(index + 1, wires);
    return {
      number: index + 1,
      supply: supplyOf(index),
      segments,
      stripMm,
      amps,
      trackA,
      fedMm: amps > 0 ? (stripMm * trackA) / amps : stripMm,
      trackRatedA: trackRatedA(strip),
      dropV: strip.voltageV - volts,
      dimmestShare: least / nominal,
      brightestShare: most / nominal,
      dimmestGroup: dimmest,
      injections: feeds.length - 1,
    };
  });
};

/**
 * The circuit stage: chains within the strip’s longest run, all in parallel, fed as the maker wishes; the whole network of
 * groups, copper, wires, joints and leads solved, so that every LED gets its own share of light. Groups count as linear
 * above their forward voltage, copper is taken at 20 °C. `entry` is where the lead comes in.
 */
export const wireUp = (
  brief: Brief,
  power: PowerDesign,
  catalogue: Catalogue,
  strip: Strip,
  entry: Point3,
  runs: LightRuns,
): Circuit => {
  const ampsPerMm = strip.wattsPerM / strip.voltageV / 1000;
  const nominalWatts = (runs.stripMm / 1000) * strip.wattsPerM;
  const neededWatts = (nominalWatts * (1 + power.headroomShare)) / power.supplyCount;
  const perSupplyAmps = nominalWatts / strip.voltageV / power.supplyCount;
  const allowedDropV = strip.voltageV * leadDropShare;
  const lead = chooseWire(catalogue.wires, power.wireId, perSupplyAmps, brief.leadLengthMm, allowedDropV);
  const supplyOf = (chain: number): number => (chain % power.supplyCount) + 1;
  const joint = jointOf(power.joint ?? 'solder');

  const plan = planWiring(runs, power, strip.maxRunMm * (power.feed === 'both-ends' ? 2 : 1), entry);
  const chainAmps = plan.chains.map(
    (chain) => ampsPerMm * chain.reduce((sum, segment) => sum + runs.segments[segment]!.lengthMm, 0),
  );
  const gauge = ({ chain, lengthMm }: PlannedWire) =>
    chooseWire(catalogue.wires, 'auto', chainAmps[chain]!, lengthMm, allowedDropV / 3);
  const gauges = plan.wires.map(gauge);
  const leadOhm = pairOhm(lead, brief.leadLengthMm);
  const placed = networkOf(runs, strip, {
    wires: plan.wires.map(({ from, to, chain, lengthMm }, wire) => ({
      ends: [from, to],
      supply: supplyOf(chain),
      ohm: pairOhm(gauges[wire]!, lengthMm),
    })),
    joint,
    leadOhm,
    supplyCount: power.supplyCount,
  });
  const solution = solveNetwork(placed.network);

  const wires = plan.wires.map((wire, index): WireRun => ({
    ends: [wire.from, wire.to],
    from: endName(wire.from, runs),
    to: endName(wire.to, runs),
    lengthMm: wire.lengthMm,
    wire: gauges[index]!,
    amps: Math.abs(solution.resistorAmps[placed.wireAt[index]!]!),
    at: wire.at,
    chain: wire.chain + 1,
    injected: wire.injected,
  }));
  const groups = groupsOf(placed, solution, strip.cutPitchMm);
  const chains = chainsOf(plan, runs, wires, placed, solution, groups, strip, supplyOf);
  const supplyAmps = Array.from(placed.leadAt, (resistor) => solution.resistorAmps[resistor]!);
  const amps = supplyAmps.reduce((sum, own) => sum + own, 0);
  const supply = chooseSupply(catalogue, power, strip.voltageV, neededWatts, brief);
  const { resistors } = placed.network;
  return {
    chains,
    groups,
    fluxShare: fluxShares(runs, placed, solution, strip),
    nominalWatts,
    watts: amps * strip.voltageV,
    amps,
    neededWatts,
    supply,
    supplyCount: power.supplyCount,
    lead,
    leadDropV: Math.max(0, ...supplyAmps) * leadOhm,
    wires,
    joint,
    copperWatts: solution.resistorAmps.reduce((sum, own, branch) => sum + own * own * resistors.ohm[branch]!, 0),
    carriers: carriersOf(chains, wires, lead, joint, supply, supplyAmps),
    fuseA: chooseFuse(perSupplyAmps),
    residualA: solution.residualA,
    settled: solution.settled,
  };
};
