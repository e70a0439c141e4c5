import { channelsOf, type Catalogue, type Strip } from '../../document/catalogue/index.js';
import type { Brief, PowerDesign } from '../../document/design/index.js';
import type { LightRuns, Point3 } from '../../light/runs/index.js';
import { sum } from '../../base/maths/index.js';
import { chooseWire, leadDropShare, pairOhm } from './choose-supply.js';
import { chooseDrive, type DriveNeeds } from './choose-controller.js';
import { leadCoresOf } from './cores.js';
import { jointOf } from './joints.js';
import { networkOf, type Wiring } from './network-of.js';
import { planWiring, type PlannedWire } from './wiring-plan.js';
import type { Router } from './route.js';
import { assignSupplies } from './assign-supplies.js';

/** What is planned before anything is solved: chains, what each draws, leads, wires, what drives it all. */
export const planCircuit = (
  brief: Brief,
  power: PowerDesign,
  catalogue: Catalogue,
  strip: Strip,
  entry: Point3,
  runs: LightRuns,
  router: Router,
) => {
  const voltageV = strip.voltageV * (power.arrangement === 'series-pairs' ? 2 : 1);
  const nominalWatts = (runs.stripMm / 1000) * strip.wattsPerM;
  const longestMm = strip.maxRunMm * (power.feed === 'both-ends' ? 2 : 1);
  const data = strip.addressable === true;
  const plan = planWiring({ runs, power, longestMm, entry, router, data });
  const ampsOf = (chain: readonly number[]): number =>
    (sum(chain.map((segment) => runs.segments[segment]!.lengthMm)) * strip.wattsPerM) / 1000 / voltageV;
  const chainAmps = plan.chains.map(ampsOf);
  const shares = assignSupplies(chainAmps, power.supplyCount);
  const supplyA = Math.max(...shares.amps);
  const allowedDropV = voltageV * leadDropShare;
  const lead = chooseWire(catalogue.wires, power.wireId, supplyA, brief.leadLengthMm, allowedDropV);
  const gauges = plan.wires.map(({ chain, lengthMm }: PlannedWire) =>
    chooseWire(catalogue.wires, 'auto', chainAmps[chain]!, lengthMm, allowedDropV / 3),
  );
  const zones = plan.zones.levels.length;
  const channels = channelsOf(strip);
  const pixels = data ? sum(runs.segments.map(({ lengthMm }) => Math.round(lengthMm / strip.cutPitchMm))) : 0;
  const needs: DriveNeeds = {
    voltageV,
    outputs: data ? 1 : zones * channels.length,
    outputA: supplyA * Math.max(...channels.map(({ wattsPerM }) => wattsPerM / strip.wattsPerM)),
    totalA: supplyA,
    pixels,
  };
  const drive = chooseDrive(catalogue, brief, power, strip, zones, needs);
  const switching = drive.controller === null || data ? null : { onOhm: drive.controller.onOhm, inside: drive.inside };
  const joint = jointOf(power.joint ?? 'solder');
  const leadOhm = pairOhm(lead, brief.leadLengthMm);
  const wiring: Wiring = {
    wires: plan.wires.map(({ from, to, chain, carries, lengthMm }, wire) => ({
      ends: [from, to],
      carries,
      supply: shares.supplyOf[chain]!,
      zone: plan.zones.ofSegment[plan.chains[chain]![0]!]!,
      ohm: pairOhm(gauges[wire]!, lengthMm),
    })),
    joint,
    leadOhm,
    supplyCount: power.supplyCount,
    voltageV,
    zones,
    switching,
  };
  const placed = networkOf(runs, strip, wiring);
  const leadCores = leadCoresOf(strip, zones, switching !== null && !switching.inside);
  return {
    voltageV,
    nominalWatts,
    supplyA,
    lead,
    leadOhm,
    leadCores,
    plan,
    chainAmps,
    gauges,
    pixels,
    drive,
    joint,
    supplyOf: shares.supplyOf,
    wiring,
    placed,
  };
};

/** Everything that stands before the network is solved. */
export type PlannedCircuit = ReturnType<typeof planCircuit>;
