import { cellMiddle, type Grid } from '../../base/raster/index.js';
import { luminanceOf, type LinearRgb } from '../../light/glow/index.js';
import type { Composed } from './composed.js';

/** Two layers that meet in the picture: how well they are told apart along the edge between them. */
export interface Step {
  readonly front: string;
  readonly behind: string;
  readonly frontIndex: number;
  readonly behindIndex: number | null;
  /** Michelson contrast of luminance across the edge, and how far their hues are apart (0 to 1). */
  readonly contrast: number;
  readonly hues: number;
  readonly at: readonly [number, number];
}

/** How well a step is told: by light, or by hue where that is more. */
export const told = ({ contrast, hues }: Pick<Step, 'contrast' | 'hues'>): number => Math.max(contrast, hues);

/** The contrast between two luminances, and the distance between two hues at the same luminance. */
const apart = (one: number, other: number): number => (one + other > 0 ? Math.abs(one - other) / (one + other) : 0);
const huesApart = (one: LinearRgb, other: LinearRgb): number => {
  const [a, b] = [luminanceOf(one) || 1e-6, luminanceOf(other) || 1e-6];
  return Math.min(1, Math.hypot(...one.map((value, part) => value / a - other[part]! / b)) / 3);
};

/** Fewer cells of an edge than this are no edge that is looked at. */
const leastEdge = 4;
/** More planes than a scene has: sheets and what is let into them. */
const mostPlanes = 64;

/** An edge between two planes: its cells, and the luminances on both sides, summed. */
interface EdgeSum {
  readonly cells: number[];
  front: number;
  behind: number;
}

/** What a plane is called, which sheet it is of, and its colour; the back is −1. */
export interface PlaneWords {
  readonly colourOf: (plane: number) => LinearRgb;
  readonly indexOf: (plane: number) => number;
  readonly nameOf: (plane: number) => string;
}

/** Every two layers that meet in the picture, with the luminances on both sides of their edge. */
export const stepsOf = (
  { top, luminance }: Pick<Composed, 'top' | 'luminance'>,
  grid: Grid,
  { colourOf, indexOf, nameOf }: PlaneWords,
): readonly Step[] => {
  const { columns, rows } = grid;
  const found = new Map<number, EdgeSum>();
  // Two cells off the edge on either side, so that a cell that is half of each counts for none.
  const look = (here: number, there: number, far: number, back: number): void => {
    const [a, b] = [top[here]!, top[there]!];
    if (a === b || top[back] !== a || top[far] !== b) return;
    const [front, behind, frontAt, behindAt] = a > b ? [a, b, back, far] : [b, a, far, back];
    const key = (front + 1) * mostPlanes + behind + 1;
    const sum = found.get(key) ?? { cells: [], front: 0, behind: 0 };
    sum.cells.push(here);
    sum.front += luminance[frontAt]!;
    sum.behind += luminance[behindAt]!;
    found.set(key, sum);
  };
  for (let row = 1; row < rows - 2; row += 1)
    for (let column = 1; column < columns - 2; column += 1) {
      const at = row * columns + column;
      look(at, at + 1, at + 2, at - 1);
      look(at, at + columns, at + 2 * columns, at - columns);
    }
  return [...found]
    .filter(([, { cells }]) => cells.length >= leastEdge)
    .map(([key, sum]): Step => {
      const [front, behind] = [Math.floor(key / mostPlanes) - 1, (key % mostPlanes) - 1];
      return {
        front: nameOf(front),
        behind: nameOf(behind),
        frontIndex: indexOf(front),
        behindIndex: behind < 0 ? null : indexOf(behind),
        contrast: apart(sum.front, sum.behind),
        hues: huesApart(colourOf(front), colourOf(behind)),
        // Its middle along the way it is walked: a place that lies on it.
        at: cellMiddle(grid, sum.cells[sum.cells.length >> 1]!),
      };
    });
};
