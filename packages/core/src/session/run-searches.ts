import { buildOf } from '../builds/index.js';
import { compareWays, type ComparedWay } from '../sign/compare/index.js';
import { shelfFor } from '../document/catalogue/index.js';
import { createJudge } from '../sign/evaluate/index.js';
import { solveSign } from '../sign/solving/index.js';
import { checkAxes, solve, sweep, type TryPoint } from '../sign/tryouts/index.js';
import { inTurns, type Asked, type Run } from './turns.js';

/** Points of a sweep that are sent together: a message for each would cost more than trying it. */
const pointsALot = 4;

/** The same light of one assembly by tracing photons, until its error is small. */
export const runTrace = async (run: Run, { id, design, assembly }: Asked<'trace'>): Promise<void> => {
  const { post, evaluator } = run;
  const evaluation = evaluator.quick(design);
  if (!evaluation.ok) return post({ kind: 'refused', id, problems: evaluation.problems });
  const own = evaluation.value.assemblies[assembly];
  const trace = own === undefined ? null : buildOf(own).work.trace;
  if (own === undefined || trace === null) {
    const message = 'is not a case; only the light in a case is traced';
    return post({ kind: 'refused', id, problems: [{ path: `assemblies.${assembly}.build`, message }] });
  }
  await inTurns(run, id, trace(own), (report) => post({ kind: 'tracing', id, report, done: report.done }));
  return undefined;
};

/** Every combination of a plan, tried on a design. */
export const runSweep = async (run: Run, { id, design, plan }: Asked<'sweep'>): Promise<void> => {
  const { post, evaluator } = run;
  const checked = checkAxes(plan, design);
  if (!checked.ok) return post({ kind: 'refused', id, problems: checked.problems });
  let [done, lot] = [0, [] as TryPoint[]];
  const send = (): void => {
    post({ kind: 'tried', id, points: lot, done });
    lot = [];
  };
  const swept = await inTurns(run, id, sweep(design, checked.value, evaluator.quick), (point) => {
    done += 1;
    if (point !== null) lot.push(point);
    if (lot.length >= pointsALot) send();
  });
  if (swept === null) return undefined;
  send();
  return post({ kind: 'swept', id });
};

/** The best within bounds. */
export const runSolve = async (run: Run, { id, design, goal, room }: Asked<'solve'>): Promise<void> => {
  const { post, evaluator } = run;
  const solved = await inTurns(run, id, solve(design, goal, room, evaluator.quick), (done) =>
    post({ kind: 'progress', id, done, what: `looking for the ${goal}` }),
  );
  if (solved !== null) post({ kind: 'solved', id, solution: solved.result });
};

/** An assembly solved: strip, layout, depth, faces and supplies chosen anew. */
export const runChoose = async (run: Run, { id, design, assembly }: Asked<'choose'>): Promise<void> => {
  const { post, catalogue, fonts } = run;
  const chosen = await inTurns(
    run,
    id,
    solveSign(design, assembly, createJudge(shelfFor(design, catalogue), fonts)),
    (_, done) => post({ kind: 'progress', id, done, what: 'choosing' }),
  );
  if (chosen !== null) post({ kind: 'chosen', id, solved: chosen.result });
};

/** Ways to make an assembly, looked at beside one another; told as they come. */
export const runCompare = async (run: Run, { id, design, assembly, ways }: Asked<'compare'>): Promise<void> => {
  const { post, evaluator } = run;
  const found: ComparedWay[] = [];
  const compared = await inTurns(run, id, compareWays(design, assembly, ways, evaluator.quick), (way) => {
    found.push(way);
    post({ kind: 'compared', id, ways: [...found], done: false });
  });
  if (compared !== null) post({ kind: 'compared', id, ways: found, done: true });
};
