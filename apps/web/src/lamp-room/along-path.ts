import { measureLine, type Point } from '@vitrum/core';

/** Length of a path of straight stretches. */
export const lengthOf = (path: readonly Point[]): number => measureLine(path, false).lengthMm;

/** The place so far along a path, as a share of its length. */
export const alongPath = (path: readonly Point[], share: number): Point => {
  const line = measureLine(path, false);
  return line.station(share * line.lengthMm).at;
};
