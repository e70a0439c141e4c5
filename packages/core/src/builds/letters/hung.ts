import { sum } from '../../base/maths/index.js';
import { outlineArea, outlineBounds, outlineCentroid, type Outline, type Point } from '../../base/outlines/index.js';
import type { HungBody } from '../../making/hanging/index.js';
import type { BoughtPart, CutPart } from '../../making/parts/index.js';

/** One letter that hangs by itself, and where it is fixed. */
export interface HungLetter {
  readonly outline: Outline;
  readonly fixedAt: readonly Point[];
}

/** The parts of a letter by its number: “letter-3”, “letter-3a-back”. */
const isOf = (number: number, { id }: CutPart): boolean => new RegExp(`^letter-${number}(?!\\d)`).test(id);

/** Letters from left to right, each a body: its own parts, and of what is bought its share by area. */
export const hungLetters = (
  letters: readonly HungLetter[],
  cut: readonly CutPart[],
  bought: readonly BoughtPart[],
  depthMm: number,
): readonly HungBody[] => {
  const areas = letters.map(({ outline }) => Math.abs(outlineArea(outline)));
  const area = sum(areas);
  const boughtKg = sum(bought.map(({ hangs, kg }) => (hangs ? kg : 0)));
  return letters.map(({ outline, fixedAt }, index): HungBody => {
    const bounds = outlineBounds(outline) ?? { x: 0, y: 0, width: 0, height: 0 };
    const [x, y] = outlineCentroid(outline) ?? [bounds.x, bounds.y];
    const own = sum(cut.filter((part) => isOf(index + 1, part)).map(({ kg, count }) => kg * count));
    return {
      id: `letter-${index + 1}`,
      name: `Letter ${index + 1}`,
      bounds,
      depthMm,
      kg: own + (area > 0 ? (boughtKg * areas[index]!) / area : 0),
      centre: [x, y, depthMm / 2],
      hold: bounds,
      recessMm: 0,
      own: fixedAt,
      carrier: null,
      rails: null,
    };
  });
};
