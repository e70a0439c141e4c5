import { coreWords, jointWords } from '../../power/circuit/index.js';
import type { Evaluation } from '../../sign/evaluate/index.js';

/** A wire of the wiring table, leads first. */
export interface WiringRow {
  readonly from: string;
  readonly to: string;
  /** Which chain it feeds; null for a lead. */
  readonly chain: number | null;
  readonly cores: string;
  readonly areaMm2: number;
  readonly awg: number;
  readonly lengthMm: number;
  /** Wire bared at each end (mm). */
  readonly bareMm: number;
  /** How it is joined; of a lead, the volts it brings. */
  readonly joint: string;
  /** Of a lead, what dims, mixes or tells, and where that sits; null without. */
  readonly controller: string | null;
  /** Null for a wire that carries no power. */
  readonly amps: number | null;
  readonly ratedA: number;
  /** The fuse at its beginning; null without. */
  readonly fuseA: number | null;
}

/** Every wire from joint to joint, its conductors, how it is joined, and what it carries of what it may. */
export const wiringRows = ({ circuit, design }: Evaluation): readonly WiringRow[] => {
  const { joint, lead, leadCores, wires, drive, voltageV, chains, supplyAmps } = circuit;
  const controller =
    drive.controller === null ? null : `${drive.controller.name} ${drive.inside ? 'inside' : 'beside the supply'}`;
  return [
    ...supplyAmps.map((amps, supply): WiringRow => ({
      from: supplyAmps.length > 1 ? `supply ${supply + 1}` : 'supply',
      to: 'lead',
      chain: null,
      cores: coreWords(leadCores),
      areaMm2: lead.areaMm2,
      awg: lead.awg,
      lengthMm: design.brief.leadLengthMm,
      bareMm: joint.stripMm,
      joint: `${voltageV} V`,
      controller,
      amps,
      ratedA: lead.ampacityA,
      fuseA: circuit.fuseA,
    })),
    ...wires.map(({ from, to, chain, wire, lengthMm, amps, cores, carries }): WiringRow => ({
      from,
      to,
      chain,
      cores: coreWords(cores),
      areaMm2: wire.areaMm2,
      awg: wire.awg,
      // A wire cut short is waste.
      lengthMm: Math.ceil(lengthMm),
      bareMm: joint.stripMm,
      joint: jointWords[joint.kind],
      controller: null,
      amps: carries === 'data' ? null : amps,
      ratedA: wire.ampacityA,
      fuseA: from === 'lead' ? chains[chain - 1]!.fuseA : null,
    })),
  ];
};
