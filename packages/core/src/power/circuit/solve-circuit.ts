import { channelsOf, type Catalogue, type Strip } from '../../document/catalogue/index.js';
import { mixOf } from '../../light/colour/index.js';
import type { Brief, PowerDesign } from '../../document/design/index.js';
import type { LightShare, SetChannel } from '../../light/runs/index.js';
import { sum } from '../../base/maths/index.js';
import { solveNetwork, type Network, type Solution } from '../network/index.js';
import { runTimeOf } from './battery.js';
import { carriersOf, type Switched } from './carriers.js';
import { chainsOf } from './chain-figures.js';
import { withOutputsOff, withPixelsOff } from './channels-off.js';
import { chooseFuse, chooseSupply } from './choose-supply.js';
import { coresOf } from './cores.js';
import { fluxShares, groupOfLeds, groupsOf, setWattsOf } from './groups.js';
import { drivingStrip } from './driving-strip.js';
import { planCircuit, type PlannedCircuit } from './plan-circuit.js';
import type { WireEnd, WiringPlan } from './wiring-plan.js';
import type { SignRuns, WiredSegment } from './sign-runs.js';
import type { Circuit, Groups, SharedPair, WireRun } from './types.js';

const endName = (end: WireEnd, { segments }: SignRuns): string =>
  end === 'lead' ? 'lead' : `segment ${segments[end.segment]!.label} ${end.end}`;

/** How two segments, or groups of them, in series share what they are given. */
const sharedPairs = ({ pairs }: WiringPlan, { segments }: SignRuns, groups: Groups): readonly SharedPair[] => {
  const most = new Float64Array(segments.length);
  groups.volts.forEach((volts, group) => {
    const segment = groups.segment[group]!;
    most[segment] = Math.max(most[segment]!, volts);
  });
  const highest = (group: readonly number[]): number => group.reduce((a, b) => (most[b]! > most[a]! ? b : a));
  const lengthOf = (group: readonly number[]): number => group.reduce((sum, at) => sum + segments[at]!.lengthMm, 0);
  return pairs.map((both): SharedPair => {
    const [one, other] = both;
    const [first, second] = [highest(one), highest(other)];
    return {
      groups: both,
      segments: [first, second],
      lengthsMm: [lengthOf(one), lengthOf(other)],
      volts: [most[first]!, most[second]!],
    };
  });
};

/** Each wire of the plan with its gauge and what its cores carry. */
const wireRuns = (
  { plan, gauges, placed }: PlannedCircuit,
  { resistorAmps }: Solution,
  sign: SignRuns,
): readonly WireRun[] =>
  plan.wires.map((wire, index): WireRun => {
    const coreAmps = placed.wireCores[index]!.map((resistor) => Math.abs(resistorAmps[resistor]!));
    const { path, holes } = wire.route;
    const { strip } = sign.segments[plan.chains[wire.chain]![0]!]!;
    return {
      ends: [wire.from, wire.to],
      from: endName(wire.from, sign),
      to: endName(wire.to, sign),
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

/** Strip and what it is set to; null: the light of the brief. */
type LitStrip = Pick<WiredSegment, 'strip' | 'light'>;

/** How far each channel is turned up. */
type MixOf = (lit: LitStrip) => readonly number[];

/** Mixes by what lights alike. By the ids of strips: what is memoized from the run before may hold a copy of one. */
const mixes = (brief: Brief): MixOf => {
  const known = new Map<string, readonly number[]>();
  return ({ strip, light }) => {
    const key = light === null ? strip.id : `${strip.id} ${JSON.stringify(light)}`;
    const found = known.get(key) ?? mixOf(light ?? brief.light, strip);
    known.set(key, found);
    return found;
  };
};

/** The network with only those channels on that the brief’s light needs; the same when it needs them all. */
const asSet = ({ placed, plan }: PlannedCircuit, sign: SignRuns, mixOfLight: MixOf): Network => {
  const isOff = (lit: LitStrip, channel: number): boolean => (mixOfLight(lit)[channel] ?? 1) <= 0;
  const pixels = withPixelsOff(placed, (segment, channel) => {
    const own = sign.segments[segment]!;
    return own.strip.addressable === true && isOff(own, channel);
  });
  return withOutputsOff({ ...placed, network: pixels }, (zone, channel) => {
    const strip = plan.zones.strips[zone]!;
    const light = plan.zones.lights[zone] ?? null;
    return strip.addressable !== true && channelsOf(strip).length > 1 && isOff({ strip, light }, channel);
  });
};

/** Pixels by group: the controller knows of so many, counted along the data. Groups that are no pixels are not counted. */
const toldGroups = (groups: Groups, { segments }: SignRuns, told: number): ((group: number) => boolean) => {
  if (!Number.isFinite(told)) return () => true;
  let pixel = 0;
  const isTold = Uint8Array.from(groups.segment, (segment) =>
    segments[segment]!.strip.addressable === true ? Number(pixel++ < told) : 1,
  );
  return (group) => isTold[group] === 1;
};

/**
 * The circuit stage: chains within the strip’s longest run, all in parallel or two and two in series, fed as the maker
 * wishes; the whole network of groups, copper, wires, joints, switches and leads solved at full light, and once more with
 * only the channels on that the brief’s light needs, so that every LED gets its own share of it. A channel that is turned
 * down is on for part of the time and then takes its full current. Groups count as linear above their forward voltage,
 * copper is taken at 20 °C.
 */
export const solveCircuit = (brief: Brief, power: PowerDesign, catalogue: Catalogue, sign: SignRuns): Circuit => {
  const planned = planCircuit(brief, power, catalogue, sign);
  const { voltageV, supplyA, lead, leadOhm, plan, placed, drive, joint, chainAmps } = planned;
  const { segments, assemblies } = sign;
  const neededWatts = supplyA * voltageV * (1 + power.headroomShare);
  const solution = solveNetwork(placed.network);
  const mixOfLight = mixes(brief);
  const set = asSet(planned, sign, mixOfLight);
  const setSolution = set === placed.network ? solution : solveNetwork(set);
  const groups = groupsOf(placed, solution, segments);
  const setGroups = setSolution === solution ? groups : groupsOf(placed, setSolution, segments);
  const channelsAsSet = (strip: Strip): readonly SetChannel[] =>
    channelsOf(strip).map((channel, index) => ({ ...channel, level: mixOfLight({ strip, light: null })[index]! }));
  const weights = segments.map((each) =>
    channelsOf(each.strip).map(({ lumensPerM }, channel) => lumensPerM * mixOfLight(each)[channel]!),
  );
  const zoneLevels = plan.zones.levels.map((level) => level * (power.level ?? 1));
  const levelOf = (segment: number): number => zoneLevels[plan.zones.ofSegment[segment]!]!;
  const isTold = toldGroups(groups, sign, planned.pixels > 0 ? (power.pixelCount ?? Infinity) : Infinity);
  const shares = assemblies.map(({ runs, strip }, assembly): LightShare => {
    const channels = channelsAsSet(strip);
    const groupOfLed = groupOfLeds(runs.leds, sign.firstSegment[assembly]!, sign, placed);
    const own = groups.amps.reduce(
      (total, amps, group) => (segments[groups.segment[group]!]!.assembly === assembly ? total + amps : total),
      0,
    );
    return {
      fluxShare: fluxShares(groupOfLed, setGroups, (segment) => weights[segment]!, levelOf, isTold),
      groupOfLed,
      groupShares: setGroups.shares,
      channels,
      watts: own * voltageV,
    };
  });
  const wires = wireRuns(planned, solution, sign);
  const supplyFuseA = chooseFuse(supplyA);
  // The supply’s fuse protects a branch only when its wire may carry that much.
  const fuseOf = (chain: number): number | null =>
    plan.wires.some((wire, index) => wire.chain === chain && planned.gauges[index]!.ampacityA < supplyFuseA)
      ? chooseFuse(chainAmps[chain]!)
      : null;
  const chains = chainsOf({
    plan,
    segments,
    wires,
    groups,
    setGroups,
    levelsOf: mixOfLight,
    supplyOf: planned.supplyOf,
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
    const light = groupsOf(placed, at, segments).light;
    return { amps: Math.max(...at.sourceAmps), light: sum([...light]) };
  };
  return {
    segments,
    wiring: planned.wiring,
    chains,
    groups,
    channels: channelsAsSet(drivingStrip(planned.strips)),
    setGroups,
    shares,
    zoneLevels,
    voltageV,
    nominalWatts: planned.nominalWatts,
    watts: amps * voltageV,
    amps,
    setWatts: setWattsOf(setGroups, (segment) => mixOfLight(segments[segment]!), levelOf, segments),
    neededWatts,
    supply,
    supplyCount: power.supplyCount,
    // Of another voltage it is no supply for this; the findings say so.
    runTime:
      supply?.battery === undefined || supply.voltageV !== voltageV || amps <= 0
        ? null
        : runTimeOf(supply.battery, drawnAt),
    drive,
    pixels: planned.pixels,
    lead,
    leadCores: planned.leadCores,
    leadDropV: Math.max(...leads.map(([plus, ...returns]) => ((plus! + Math.max(...returns)) * leadOhm) / 2)),
    leadWatts: (sum(leads.flat().map((own) => own * own)) * leadOhm) / 2,
    supplyAmps,
    wires,
    joint,
    copperWatts: solution.resistorAmps.reduce((total, own, branch) => total + own * own * resistors.ohm[branch]!, 0),
    carriers: carriersOf(chains, wires, lead, joint, supply, supplyAmps, drive, switched),
    pairs: sharedPairs(plan, sign, groups),
    alone: plan.alone,
    contradictions: plan.contradictions,
    fuseA: supplyFuseA,
    residualA: solution.residualA,
    settled: solution.settled,
  };
};
