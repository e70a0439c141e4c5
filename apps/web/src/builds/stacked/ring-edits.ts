import { mostRings, type PlatesDesign } from '@vitrum/core';

export type Rings = PlatesDesign['rings'];

/** A name that no ring has yet. */
const freeId = (rings: Rings): string => {
  const taken = new Set(rings.map(({ id }) => id));
  let at = rings.length + 1;
  while (taken.has(`ring-${at}`)) at += 1;
  return `ring-${at}`;
};

/** One more ring on the one given, of the same stuff; as they are where there are as many as there may be. */
export const ringOn = (rings: Rings, index: number): Rings =>
  rings.length >= mostRings
    ? rings
    : [...rings.slice(0, index + 1), { ...rings[index]!, id: freeId(rings) }, ...rings.slice(index + 1)];

/** Without one; the last one stays. */
export const withoutRing = (rings: Rings, index: number): Rings =>
  rings.length === 1 ? rings : rings.filter((_, at) => at !== index);

/** One moved past its neighbour, up toward the lid or down toward the base; as they are at an end. */
export const movedRing = (rings: Rings, index: number, way: 1 | -1): Rings => {
  const other = index + way;
  if (other < 0 || other >= rings.length) return rings;
  const next = [...rings];
  [next[index], next[other]] = [rings[other]!, rings[index]!];
  return next;
};

/** One of another stuff. */
export const ringFrom = (rings: Rings, index: number, materialId: string): Rings =>
  rings.map((ring, at) => (at === index ? { ...ring, materialId } : ring));
