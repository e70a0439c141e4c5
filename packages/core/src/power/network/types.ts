/** How much current a load takes at a voltage across it, from its plus to its minus. Backward it takes none. */
export type LoadLaw =
  /** LEDs with a resistor: nothing up to `forwardV`, then in proportion to what is above it. */
  | { readonly kind: 'resistive'; readonly forwardV: number; readonly siemens: number }
  /** A regulator: from `fromV` rising to `amps` at `fullV`, and no more beyond. */
  | { readonly kind: 'regulated'; readonly fromV: number; readonly fullV: number; readonly amps: number };

/** A supply: `volts` from its minus to its plus when nothing is drawn, less `ohm` times what is. */
export interface Source {
  readonly minus: number;
  readonly plus: number;
  readonly volts: number;
  readonly ohm: number;
}

/** Branches as columns: nodes at both ends, and one number or law each. */
export interface Resistors {
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly ohm: Float64Array;
}
export interface Loads {
  readonly plus: Int32Array;
  readonly minus: Int32Array;
  /** Index into `laws`. */
  readonly law: Int32Array;
}

/** A direct-current network. Nodes are numbered from 0. */
export interface Network {
  readonly nodes: number;
  readonly resistors: Resistors;
  readonly loads: Loads;
  readonly laws: readonly LoadLaw[];
  readonly sources: readonly Source[];
}

/** A network solved. */
export interface Solution {
  /** Of each node against the minus of the first supply of its part; 0 where there is none (V). */
  readonly volts: Float64Array;
  /** Into the plus of each load, along each resistor from its first node to its second, and out of each source’s plus (A). */
  readonly loadAmps: Float64Array;
  readonly resistorAmps: Float64Array;
  readonly sourceAmps: Float64Array;
  /** The largest sum of currents left over at any node (A): how exactly Kirchhoff’s law holds. */
  readonly residualA: number;
  readonly rounds: number;
  /** False when the rounds ran out first; the volts are then the best found. */
  readonly settled: boolean;
  /** Nodes that no supply is joined to. */
  readonly unfed: Uint8Array;
}
