import { sum } from '../../base/maths/index.js';
import { outlineArea, outlineBounds, outlineCentroid, type Outline, type Point } from '../../base/outlines/index.js';
import type { HungBody } from '../../making/hanging/index.js';
import type { BoughtPart, CutPart } from '../../making/parts/index.js';

/** One letter that hangs by itself; where it is fixed, where its parts do not say so. */
export interface HungLetter {
  readonly outline: Outline;
  readonly fixedAt?: readonly Point[];
}

/** The number of the letter that a part is of: 3 of “letter-3a-back”; 0 of what is of none. */
const letterOf = ({ id }: CutPart): number => Number(/^letter-(\d+)/.exec(id)?.[1] ?? 0);

/** The parts of each letter by its number. */
const partsByLetter = (cut: readonly CutPart[]): ReadonlyMap<number, readonly CutPart[]> => {
  const found = new Map<number, CutPart[]>();
  for (const part of cut) {
    const own = found.get(letterOf(part));
    if (own === undefined) found.set(letterOf(part), [part]);
    else own.push(part);
  }
  return found;
};

/** Letters from left to right, each a body: its own parts, and of what is bought its share by area. */
export const hungLetters = (
  letters: readonly HungLetter[],
  cut: readonly CutPart[],
  bought: readonly BoughtPart[],
  depthMm: number,
): readonly HungBody[] => {
  const areas = letters.map(({ outline }) => Math.abs(outlineArea(outline)));
  const area = sum(areas);
  const parts = partsByLetter(cut);
  const boughtKg = sum(bought.map(({ hangs, kg }) => (hangs ? kg : 0)));
  return letters.map(({ outline, fixedAt }, index): HungBody => {
    const bounds = outlineBounds(outline) ?? { x: 0, y: 0, width: 0, height: 0 };
    const [x, y] = outlineCentroid(outline) ?? [bounds.x, bounds.y];
    const own = parts.get(index + 1) ?? [];
    return {
      id: `letter-${index + 1}`,
      name: `Letter ${index + 1}`,
      bounds,
      depthMm,
      kg: sum(own.map(({ kg, count }) => kg * count)) + (area > 0 ? (boughtKg * areas[index]!) / area : 0),
      centre: [x, y, depthMm / 2],
      hold: bounds,
      recessMm: 0,
      own: fixedAt ?? own.flatMap((part) => part.fixedAt ?? []),
      carrier: null,
      backer: null,
      rails: null,
    };
  });
};
