import { roundOff } from '../../base/maths/index.js';
import type { Design } from '../design/index.js';
import { tryPoint, type TryEvaluator } from './point.js';
import { combination } from './sweep.js';
import type { Demand, FaceOption, Solution, TryPoint, Goal } from './types.js';

/** What may be changed to reach the goal. */
export interface SolveRoom {
  /** Index of the assembly that is solved. */
  readonly assembly: number;
  readonly faces: readonly FaceOption[];
  readonly liningIds: readonly string[];
  readonly fewestRows: number;
  readonly mostRows: number;
  readonly shallowestMm: number;
  readonly deepestMm: number;
}

const depthStepMm = 1;

/** Lower is better; ties by price, then by depth. */
const order: Readonly<Record<Goal, (point: TryPoint) => readonly [number, number, number]>> = {
  shallowest: ({ depthMm, costPerSign, ledCount }) => [depthMm, costPerSign, ledCount],
  'fewest LEDs': ({ ledCount, depthMm, costPerSign }) => [ledCount, depthMm, costPerSign],
  cheapest: ({ costPerSign, depthMm, ledCount }) => [costPerSign, depthMm, ledCount],
};

const better = (goal: Goal, point: TryPoint, best: TryPoint | null): boolean => {
  if (best === null) return true;
  const [a, b] = [order[goal](point), order[goal](best)];
  const differs = a.findIndex((value, index) => Math.abs(value - b[index]!) > roundOff);
  return differs >= 0 && a[differs]! < b[differs]!;
};

const listed = (demands: readonly Demand[]): string => demands.join(' and ');

const sentenceOf = (goal: Goal, point: TryPoint | null, binding: readonly Demand[]): string => {
  if (point === null) return 'Nothing within these bounds will do; allow more depth, more rows or other faces.';
  const what = `${Math.round(point.depthMm)} mm deep, ${point.rows} row${point.rows === 1 ? '' : 's'}, ${point.face.toLowerCase()}, ${point.lining.toLowerCase()}`;
  const limit =
    binding.length > 0 ? `; one step further fails: ${listed(binding)}` : '; the bounds end here, nothing else binds';
  return `The ${goal} that will do: ${what}${limit}.`;
};

/** Tried depths of one column of the search, kept so that none is computed twice. */
type Column = (depthMm: number) => TryPoint | null;

const fine = (point: TryPoint | null): boolean => point !== null && point.fails.length === 0;

/**
 * The least depth of a column that will do, by halving: deeper hides more. Deeper is dimmer, too, so that the deepest may
 * fail for light alone; then depths are stepped through from the shallow end. Yields before each trial.
 */
function* leastDepth(column: Column, low: number, high: number): Generator<void, number | null> {
  yield;
  if (fine(column(low))) return low;
  yield;
  if (!fine(column(high))) {
    const step = Math.max(depthStepMm, Math.round((high - low) / 12));
    for (let depth = low + step; depth < high; depth += step) {
      yield;
      if (fine(column(depth))) return yield* leastDepth(column, depth - step, depth);
    }
    return null;
  }
  let [fails, does] = [low, high];
  while (does - fails > depthStepMm) {
    const middle = Math.round((fails + does) / 2 / depthStepMm) * depthStepMm;
    if (middle <= fails || middle >= does) break;
    yield;
    if (fine(column(middle))) does = middle;
    else fails = middle;
  }
  return does;
}

/**
 * The shallowest case, the fewest LEDs or the cheapest that meets the demands at the reading distance and in the light of
 * the place, over faces, linings, rows and depth. A generator: it yields before every trial, and returns what it found
 * with what binds: the demand that fails one step shallower (or a row fewer).
 */
export function* solve(
  design: Design,
  goal: Goal,
  room: SolveRoom,
  evaluate: TryEvaluator,
): Generator<number, Solution> {
  let [tried, best, bestColumn] = [0, null as TryPoint | null, null as Column | null];
  let fewer: readonly Demand[] = [];
  for (const face of room.faces)
    for (const liningId of room.liningIds)
      for (let rows = room.fewestRows; rows <= room.mostRows; rows += 1) {
        const known = new Map<number, TryPoint | null>();
        const column: Column = (depthMm) => {
          const found = known.get(depthMm);
          if (found !== undefined) return found;
          tried += 1;
          const point = tryPoint(
            design,
            room.assembly,
            combination(design, room.assembly, depthMm, rows, face, liningId),
            tried,
            face.name,
            evaluate,
          );
          known.set(depthMm, point);
          return point;
        };
        const high = goal === 'shallowest' && best !== null ? Math.min(room.deepestMm, best.depthMm) : room.deepestMm;
        const search = leastDepth(column, room.shallowestMm, high);
        let turn = search.next();
        for (; turn.done !== true; turn = search.next()) yield tried;
        const point = turn.value === null ? null : column(turn.value);
        if (point === null) {
          // The reason that this many rows will not do, for the case that one more does.
          const nearest = known.get(high);
          fewer = nearest?.fails ?? fewer;
          continue;
        }
        if (!better(goal, point, best)) {
          // More rows at the same face only cost more once the first has been found.
          if (goal !== 'shallowest' && point.ledCount > (best?.ledCount ?? 0)) break;
          continue;
        }
        [best, bestColumn] = [point, column];
      }
  let binding: readonly Demand[] = [];
  if (best !== null && bestColumn !== null) {
    yield tried;
    const shallower = best.depthMm > room.shallowestMm ? bestColumn(best.depthMm - depthStepMm) : null;
    binding = shallower?.fails ?? (goal === 'fewest LEDs' ? fewer : []);
  }
  return { goal, point: best, binding, tried, sentence: sentenceOf(goal, best, binding) };
}
