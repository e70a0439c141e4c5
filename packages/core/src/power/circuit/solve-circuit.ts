import { channelsOf, type Catalogue, type Strip } from '../../document/catalogue/index.js';
import { mixOf } from '../../light/colour/index.js';
import type { Brief, PowerDesign } from '../../document/design/index.js';
import type { LightRuns, Point3 } from '../../light/runs/index.js';
import { sum } from '../../base/maths/index.js';
import { solveNetwork, type Solution } from '../network/index.js';
import { runTimeOf } from './battery.js';
import { carriersOf, type Switched } from './carriers.js';
import { chainsOf } from './chain-figures.js';
import { withChannelsOff, withPixelsOff } from './channels-off.js';
import { chooseFuse, chooseSupply } from './choose-supply.js';
import { coresOf } from './cores.js';
import { fluxShares, groupOfLeds, groupsOf, setWattsOf } from './groups.js';
import { planCircuit, type PlannedCircuit } from './plan-circuit.js';
import type { WireEnd, WiringPlan } from './wiring-plan.js';
import type { Router } from './route.js';
import type { Circuit, Groups, SharedPair, WireRun } from './types.js';

const endName = (end: WireEnd, { segments }: LightRuns): string =>
  end === 'lead' ? 'lead' : `piece ${segments[end.piece]!.number} ${end.end}`;

/** How two pieces in series share what they are given. */
const sharedPairs = ({ pairs }: WiringPlan, { segments }: LightRuns, groups: Groups): readonly SharedPair[] => {
  const most = (piece: number): number =>
    groups.volts.reduce((high, volts, group) => (groups.segment[group] === piece ? Math.max(high, volts) : high), 0);
  return pairs.map(([first, second]) => ({
    pieces: [segments[first]!.number, segments[second]!.number],
    lengthsMm: [segments[first]!.lengthMm, segments[second]!.lengthMm],
    volts: [most(first), most(second)],
  }));
};

/** Each wire of the plan with its gauge and what its cores carry. */
const wireRuns = (
  { plan, gauges, placed }: PlannedCircuit,
  { resistorAmps }: Solution,
  runs: LightRuns,
  strip: Strip,
): readonly WireRun[] =>
  plan.wires.map((wire, index): WireRun => {
    const coreAmps = placed.wireCores[index]!.map((resistor) => Math.abs(resistorAmps[resistor]!));
    const { path, holes } = wire.route;
    return {
      ends: [wire.from, wire.to],
      from: endName(wire.from, runs),
      to: endName(wire.to, runs),
      lengthMm: wire.lengthMm,
      wire: gauges[index]!,
      amps: Math.max(0, ...coreAmps),
      carries: wire.carries,
      cores: coresOf(strip, wire.carries),
      coreAmps,
      at: [path[0]!, path[path.length - 1]!],
      path,
      holes,
      chain: wire.chain + 1,
      injected: wire.injected,
    };
  });

/**
 * The circuit stage: chains within the strip’s longest run, all in parallel or two and two in series, fed as the maker
 * wishes; the whole network of groups, copper, wires, joints, switches and leads solved at full light, and once more with
 * only the channels on that the brief’s light needs, so that every LED gets its own share of it. A channel that is turned
 * down is on for part of the time and then takes its full current. Groups count as linear above their forward voltage,
 * copper is taken at 20 °C. `entry` is where the lead comes in, `router` finds the ways of the wires.
 */
export const solveCircuit = (
  brief: Brief,
  power: PowerDesign,
  catalogue: Catalogue,
  strip: Strip,
  entry: Point3,
  runs: LightRuns,
  router: Router,
): Circuit => {
  const laid = planCircuit(brief, power, catalogue, strip, entry, runs, router);
  const { voltageV, supplyA, lead, leadOhm, plan, placed, drive, joint, chainAmps } = laid;
  const neededWatts = supplyA * voltageV * (1 + power.headroomShare);
  const solution = solveNetwork(placed.network);
  const mix = mixOf(brief.light, strip);
  const off = mix.map((level) => level <= 0);
  const set = (strip.addressable === true ? withPixelsOff : withChannelsOff)(placed, off);
  const setSolution = set === placed.network ? solution : solveNetwork(set);
  const groups = groupsOf(placed, solution, strip);
  const setGroups = setSolution === solution ? groups : groupsOf(placed, setSolution, strip);
  const channels = channelsOf(strip).map((channel, index) => ({ ...channel, level: mix[index]! }));
  const zoneLevels = plan.zones.levels.map((level) => level * (power.level ?? 1));
  const levelOf = (segment: number): number => zoneLevels[plan.zones.ofSegment[segment]!]!;
  const groupOfLed = groupOfLeds(runs, placed, strip);
  const wires = wireRuns(laid, solution, runs, strip);
  const supplyFuseA = chooseFuse(supplyA);
  // The supply’s fuse protects a branch only when its wire may carry that much.
  const fuseOf = (chain: number): number | null =>
    plan.wires.some((wire, index) => wire.chain === chain && laid.gauges[index]!.ampacityA < supplyFuseA)
      ? chooseFuse(chainAmps[chain]!)
      : null;
  const chains = chainsOf({
    plan,
    runs,
    wires,
    groups,
    setGroups,
    strip,
    levels: mix,
    supplyOf: laid.supplyOf,
    fuseOf,
  });
  const leads = placed.leadCores.map((cores) => cores.map((core) => Math.abs(solution.resistorAmps[core]!)));
  const supplyAmps = leads.map(([plus]) => plus!);
  const switched = placed.switches.map((outputs): Switched => {
    const amps = outputs.map((resistor) => Math.abs(solution.resistorAmps[resistor]!));
    return { outputs: amps, total: sum(amps) };
  });
  const amps = sum(supplyAmps);
  const supply = chooseSupply(catalogue, power, voltageV, neededWatts, brief);
  const { resistors } = placed.network;
  const drawnAt = (volts: number) => {
    const { network } = placed;
    const at = solveNetwork({ ...network, sources: network.sources.map((source) => ({ ...source, volts })) });
    const light = groupsOf(placed, at, strip).light;
    return { amps: Math.max(...at.sourceAmps), light: sum([...light]) };
  };
  return {
    wiring: laid.wiring,
    chains,
    groups,
    channels,
    setGroups,
    groupOfLed,
    fluxShare: fluxShares(
      groupOfLed,
      setGroups,
      channels.map(({ lumensPerM, level }) => lumensPerM * level),
      levelOf,
      laid.pixels > 0 ? (power.pixelCount ?? Infinity) : Infinity,
    ),
    zoneLevels,
    voltageV,
    nominalWatts: laid.nominalWatts,
    watts: amps * voltageV,
    amps,
    setWatts: setWattsOf(setGroups, mix, levelOf, strip),
    neededWatts,
    supply,
    supplyCount: power.supplyCount,
    // Of another voltage it is no supply for this; the findings say so.
    runTime:
      supply?.battery === undefined || supply.voltageV !== voltageV || amps <= 0
        ? null
        : runTimeOf(supply.battery, drawnAt),
    drive,
    pixels: laid.pixels,
    lead,
    leadCores: laid.leadCores,
    leadDropV: Math.max(...leads.map(([plus, ...returns]) => ((plus! + Math.max(...returns)) * leadOhm) / 2)),
    leadWatts: (sum(leads.flat().map((own) => own * own)) * leadOhm) / 2,
    supplyAmps,
    wires,
    joint,
    copperWatts: solution.resistorAmps.reduce((total, own, branch) => total + own * own * resistors.ohm[branch]!, 0),
    carriers: carriersOf(chains, wires, lead, joint, supply, supplyAmps, drive, switched),
    pairs: sharedPairs(plan, runs, groups),
    alone: plan.alone.map((piece) => runs.segments[piece]!.number),
    contradictions: plan.contradictions,
    fuseA: supplyFuseA,
    residualA: solution.residualA,
    settled: solution.settled,
  };
};
