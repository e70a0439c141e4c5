/** Which supply feeds each chain, and what each supply carries. */
export interface SupplyAssignment {
  /** By chain, counted from 1. */
  readonly supplyOf: readonly number[];
  /** By supply, at nominal voltage (A). */
  readonly amps: readonly number[];
}

/** Hands chains out to supplies one after the other, each to the one that carries least so far. */
export const assignSupplies = (chainAmps: readonly number[], supplyCount: number): SupplyAssignment => {
  const amps = Array.from({ length: supplyCount }, () => 0);
  const supplyOf = chainAmps.map((own) => {
    const least = amps.indexOf(Math.min(...amps));
    amps[least]! += own;
    return least + 1;
  });
  return { supplyOf, amps };
};
