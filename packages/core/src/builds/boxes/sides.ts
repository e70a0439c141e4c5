import { boxSides, type BoxSide, type LightDesign } from './schema.js';

/** The sides that strip runs along, in its order, each as often as it carries strip. */
export const passesOf = ({ sides, turnCount }: Pick<LightDesign, 'sides' | 'turnCount'>): readonly BoxSide[] =>
  Array.from({ length: turnCount }, () => sides ?? boxSides).flat();

/** How often strip runs along each side. */
export const timesAlong = (passes: readonly BoxSide[]): Readonly<Record<BoxSide, number>> => {
  const times = { top: 0, right: 0, bottom: 0, left: 0 };
  for (const side of passes) times[side] += 1;
  return times;
};
