import { channelsOf, type Catalogue, type Strip } from '../../document/catalogue/index.js';
import type { Brief, PowerDesign } from '../../document/design/index.js';
import { sum } from '../../base/maths/index.js';
import { stripsOf, wattsOfRuns } from '../../light/runs/index.js';
import { chooseWire, leadDropShare, pairOhm } from './choose-supply.js';
import { chooseDrive, type DriveNeeds } from './choose-controller.js';
import { backsOf, leadCoresOf } from './cores.js';
import { jointOf } from './joints.js';
import { networkOf, type Wiring } from './network-of.js';
import { drivingStrip } from './driving-strip.js';
import { isInSeries, planWiring, type PlannedWire } from './wiring-plan.js';
import { assignSupplies } from './assign-supplies.js';
import type { SignRuns } from './sign-runs.js';

/** What is planned before anything is solved: chains, what each draws, leads, wires, what drives it all. */
export const planCircuit = (brief: Brief, power: PowerDesign, catalogue: Catalogue, sign: SignRuns) => {
  const { segments, assemblies } = sign;
  const strips = assemblies.flatMap(({ strip, runs }) => stripsOf(strip, runs).map((each) => each.strip));
  const [first] = strips;
  if (first === undefined) throw new Error('a sign without assemblies has no circuit');
  const voltageV = first.voltageV * (isInSeries(power) ? 2 : 1);
  const nominalWatts = sum(assemblies.map(({ runs, strip }) => wattsOfRuns(strip, runs)));
  const longestMm = ({ maxRunMm }: Strip): number => maxRunMm * (power.feed === 'both-ends' ? 2 : 1);
  const planned = planWiring({ sign, power, longestMm });
  const ampsOf = (chain: readonly number[]): number =>
    (sum(chain.map((segment) => segments[segment]!.lengthMm)) * segments[chain[0]!]!.strip.wattsPerM) / 1000 / voltageV;
  const chainAmps = planned.chains.map(ampsOf);
  const supplies = assignSupplies(chainAmps, power.supplyCount);
  const supplyA = Math.max(...supplies.amps);
  const allowedDropV = voltageV * leadDropShare;
  const lead = chooseWire(catalogue.wires, power.wireId, supplyA, brief.leadLengthMm, allowedDropV);
  const gauges = planned.wires.map(({ chain, lengthMm }: PlannedWire) =>
    chooseWire(catalogue.wires, 'auto', chainAmps[chain]!, lengthMm, allowedDropV / 3),
  );
  const driving = drivingStrip(strips);
  const data = driving.addressable === true;
  const pixels = sum(
    segments.map(({ lengthMm, strip }) => (strip.addressable === true ? Math.round(lengthMm / strip.cutPitchMm) : 0)),
  );
  const backs = planned.zones.strips.map(backsOf);
  const needs: DriveNeeds = {
    voltageV,
    outputs: data ? 1 : sum(planned.zones.strips.map((strip) => channelsOf(strip).length)),
    outputA:
      supplyA *
      Math.max(...strips.flatMap((strip) => channelsOf(strip).map(({ wattsPerM }) => wattsPerM / strip.wattsPerM))),
    totalA: supplyA,
    pixels,
  };
  const drive = chooseDrive(catalogue, brief, power, driving, planned.zones.levels.length, needs);
  const switching = drive.controller === null || data ? null : { onOhm: drive.controller.onOhm, inside: drive.inside };
  const joint = jointOf(catalogue, power.joint ?? 'solder', power.jointId);
  const leadOhm = pairOhm(lead, brief.leadLengthMm);
  const wiring: Wiring = {
    wires: planned.wires.map(({ from, to, chain, carries, lengthMm }, wire) => ({
      ends: [from, to],
      carries,
      supply: supplies.supplyOf[chain]!,
      zone: planned.zones.ofSegment[planned.chains[chain]![0]!]!,
      ohm: pairOhm(gauges[wire]!, lengthMm),
    })),
    joint,
    leadOhm,
    supplyCount: power.supplyCount,
    voltageV,
    backs,
    switching,
  };
  const placed = networkOf(segments, wiring);
  const leadCores = leadCoresOf(planned.zones.strips, switching !== null && !switching.inside);
  return {
    strips,
    voltageV,
    nominalWatts,
    supplyA,
    lead,
    leadOhm,
    leadCores,
    plan: planned,
    chainAmps,
    gauges,
    pixels,
    drive,
    joint,
    supplyOf: supplies.supplyOf,
    wiring,
    placed,
  };
};

/** Everything that stands before the network is solved. */
export type PlannedCircuit = ReturnType<typeof planCircuit>;
