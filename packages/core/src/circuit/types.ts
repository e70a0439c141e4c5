import type { Supply, Wire } from '../catalogue/index.js';

/** Pieces of strip wired one after the other and fed together. */
export interface Chain {
  readonly number: number;
  /** Which supply feeds it, counted from 1. */
  readonly supply: number;
  /** Indices into the segments of the light runs, in wiring order. */
  readonly segments: readonly number[];
  readonly stripMm: number;
  readonly amps: number;
  /** From the supply's terminals to the last LED (V). */
  readonly dropV: number;
  /** Light of the dimmest and of the brightest group against the nominal. */
  readonly dimmestShare: number;
  readonly brightestShare: number;
}

/** A wire between two pieces of strip, or from the lead's entry to a piece. */
export interface WireRun {
  readonly from: string;
  readonly to: string;
  readonly lengthMm: number;
  readonly wire: Wire;
  readonly amps: number;
}

/** The supply, the wires and what the LEDs get. */
export interface Circuit {
  readonly chains: readonly Chain[];
  /** Light of each LED against its nominal, by the current that reaches it. */
  readonly fluxShare: Float64Array;
  /** At nominal voltage, which is what the supply must carry. */
  readonly nominalWatts: number;
  /** What is drawn after all drops. */
  readonly watts: number;
  readonly amps: number;
  readonly neededWatts: number;
  /** Null when no supply in the catalogue will do. */
  readonly supply: Supply | null;
  readonly supplyCount: number;
  readonly lead: Wire;
  /** Lost in the lead to the supply (V). */
  readonly leadDropV: number;
  readonly wires: readonly WireRun[];
  /** In-line fuse for each supply's output (A): the next usual size above the current. */
  readonly fuseA: number;
}
