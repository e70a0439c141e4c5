import type { DesignChange } from '../../document/design/index.js';
import type { Design } from '../design/index.js';
import { failure, success, type Problem, type Result } from '../../base/result.js';
import { tryoutOf, tryPoint, type TryEvaluator } from './point.js';
import type { FaceOption, SweepAxes, TryPoint } from './types.js';

/** The most combinations of one sweep in the browser; more is for the server. */
export const mostSweepPoints = 2000;

/** How many combinations a plan has. */
export const sweepSize = ({ depthsMm, rowCounts, faces, liningIds }: SweepAxes): number =>
  depthsMm.length * rowCounts.length * faces.length * liningIds.length;

/** Whether a plan can be run on a design with at most `most` combinations; problems name its part. */
export const checkAxes = (plan: SweepAxes, design: Design, most = mostSweepPoints): Result<SweepAxes> => {
  const empty = (['depthsMm', 'rowCounts', 'faces', 'liningIds'] as const).filter((part) => plan[part].length === 0);
  const problems: Problem[] = empty.map((path) => ({ path, message: 'nothing is chosen here to try' }));
  const finite = (values: readonly number[]): boolean => values.every((value) => Number.isFinite(value) && value > 0);
  if (!finite(plan.depthsMm)) problems.push({ path: 'depthsMm', message: 'every depth must be a length above 0' });
  if (!finite(plan.rowCounts)) problems.push({ path: 'rowCounts', message: 'every number of rows must be above 0' });
  const size = sweepSize(plan);
  if (size > most)
    problems.push({ path: '', message: `${size} combinations are more than ${most}; take wider steps or fewer faces` });
  const tryout = tryoutOf(design, plan.assembly);
  const facePath = tryout?.facePath(plan.assembly) ?? null;
  if (facePath === null) problems.push({ path: 'assembly', message: 'there is nothing to try out in this assembly' });
  else
    plan.faces.forEach(({ change }, face) =>
      change.forEach(({ path }, field) => {
        if (!path.startsWith(facePath))
          problems.push({
            path: `faces.${face}.change.${field}.path`,
            message: `must begin with ${facePath}, and is “${path}”`,
          });
      }),
    );
  return problems.length > 0 ? failure(...problems) : success(plan);
};

/** The change that sets depth, rows, face and lining of an assembly at once. */
export const combination = (
  design: Design,
  index: number,
  depthMm: number,
  rows: number,
  face: FaceOption,
  liningId: string,
): DesignChange => {
  const [tryout, assembly] = [tryoutOf(design, index), design.assemblies[index]];
  if (tryout === null || assembly === undefined) throw new Error('there is nothing to try out in this assembly');
  return [...tryout.set({ index, assembly }, depthMm, rows, liningId), ...face.change];
};

/**
 * Every combination of a plan tried on a design, one by one: a generator that yields each point as it is found (or null
 * where it makes no case), so that the caller can show, pause or stop it. The first `from` are passed over.
 */
export function* sweep(
  design: Design,
  plan: SweepAxes,
  evaluate: TryEvaluator,
  from = 0,
): Generator<TryPoint | null, void> {
  let place = 0;
  for (const face of plan.faces)
    for (const liningId of plan.liningIds)
      for (const rows of plan.rowCounts)
        for (const depthMm of plan.depthsMm) {
          const id = place++;
          if (id >= from)
            yield tryPoint(
              design,
              plan.assembly,
              combination(design, plan.assembly, depthMm, rows, face, liningId),
              id,
              face.name,
              evaluate,
            );
        }
}
