import { unplaced, type AssemblyEvaluation } from '@vitrum/core';

/** The foremost assembly of a sign whose front a place lies on; null where there is only the wall. */
export const assemblyAt = (
  assemblies: readonly AssemblyEvaluation[],
  at: readonly [number, number],
): AssemblyEvaluation | null =>
  assemblies.findLast(({ placing, geometry: { outside } }) => {
    const [x, y] = unplaced(placing, at);
    return Math.abs(x) <= outside.widthMm / 2 && Math.abs(y) <= outside.heightMm / 2;
  }) ?? null;
