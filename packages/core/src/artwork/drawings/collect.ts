import type { Problem } from '../../base/result.js';
import { limits } from './limits.js';
import type { DrawnPath, DrawnShape } from './types.js';

/** Gathers shapes and notes, and watches over the limits. Mutable; one for each file read. */
export interface Collector {
  readonly add: (shape: DrawnShape) => void;
  /** Counts steps of reading; beyond all reason the drawing is refused. */
  readonly spend: (steps: number) => void;
  /** Says something once, with how often it came. */
  readonly note: (sentence: string) => void;
  readonly shapes: () => readonly DrawnShape[];
  readonly notes: () => readonly string[];
  /** What went over a limit, if anything. */
  readonly broken: () => Problem | null;
}

const isSound = ({ points }: DrawnPath): boolean =>
  points.every(([x, y]) => Math.abs(x) <= limits.farMm && Math.abs(y) <= limits.farMm);

/** Without points on top of each other, and without a last point that is the first again. */
const thinned = ({ points, closed }: DrawnPath): DrawnPath => {
  const kept = points.filter(([x, y], at) => at === 0 || x !== points[at - 1]![0] || y !== points[at - 1]![1]);
  const [first, last] = [kept[0], kept[kept.length - 1]];
  const back = closed && kept.length > 1 && first![0] === last![0] && first![1] === last![1];
  return { points: back ? kept.slice(0, -1) : kept, closed };
};

export const createCollector = (): Collector => {
  const shapes: DrawnShape[] = [];
  const notes = new Map<string, number>();
  let points = 0;
  let work = 0;
  let problem: Problem | null = null;
  const note = (sentence: string): void => void notes.set(sentence, (notes.get(sentence) ?? 0) + 1);
  return {
    spend: (steps) => {
      work += steps;
      if (work > limits.work)
        problem ??= {
          path: '',
          message: `the drawing takes too long to read, ${shapes.length.toLocaleString('en')} shapes in: it copies or styles too much; save it as plain paths`,
        };
    },
    note,
    add: (shape) => {
      if (problem !== null) return;
      const sound = shape.paths.map(thinned).filter((path) => path.points.length > 1);
      const kept = sound.filter(isSound);
      if (kept.length < sound.length)
        note(`a line that runs out of reach (beyond ${limits.farMm / 1000} m, or no number) was left out`);
      points += kept.reduce((sum, path) => sum + path.points.length, 0);
      if (points > limits.points)
        problem = {
          path: '',
          message: `the drawing has more than ${limits.points.toLocaleString('en')} points; simplify it in the program that drew it`,
        };
      else if (kept.length > 0) shapes.push({ ...shape, paths: kept });
    },
    shapes: () => shapes,
    notes: () => [...notes].map(([sentence, count]) => (count > 1 ? `${sentence} (${count} times)` : sentence)),
    broken: () => problem,
  };
};
