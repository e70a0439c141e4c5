import type { FontBook } from '../artwork/lettering/index.js';
import { createEvaluator, createJudge, evaluate, type Evaluator } from '../sign/evaluate/index.js';
import { solveSign } from '../sign/solving/index.js';
import { fullGrid } from '../light/glow/index.js';
import { buildOf } from '../builds/index.js';
import type { Catalogue } from '../document/catalogue/index.js';
import { checkAxes, solve, sweep, type TryPoint } from '../sign/tryouts/index.js';
import type { SessionReply, SessionRequest } from './protocol.js';

// Writing files and reading drawings weigh as much as all the rest; a thread that only lights never loads them.
const filesOut = () => import('../files/exports/index.js');
const drawingsIn = () => import('../artwork/intake/index.js');

/** What the thread lends the session. */
export interface SessionHost {
  readonly fonts: FontBook;
  readonly post: (reply: SessionReply) => void;
  /** Lets waiting messages in; called often during long work. */
  readonly pause: () => Promise<void>;
}

/** Points of a sweep that are sent together. */
const pointsALot = 4;

interface Opened {
  readonly catalogue: Catalogue;
  readonly evaluator: Evaluator;
}

/**
 * The evaluation thread’s side of the protocol: evaluates at once, then tries fixes in small turns, giving up as soon as a
 * newer design or a cancel arrives.
 */
export const createSession = ({ fonts, post, pause }: SessionHost) => {
  let opened: Opened | null = null;
  let newest = -1;
  const cancelled = new Set<number>();

  const isOver = (id: number): boolean => id < newest || cancelled.has(id);

  const tryFixes = async (evaluator: Evaluator, id: number): Promise<void> => {
    const work = evaluator.fixes();
    for (let turns = 0; ; turns += 1) {
      await pause();
      if (isOver(id)) return post({ kind: 'cancelled', id });
      const turn = work.next();
      if (turn.done === true) return post({ kind: 'fixes', id, findings: turn.value });
      post({ kind: 'progress', id, done: turns, what: 'trying fixes' });
    }
  };

  const runEvaluate = async ({ id, design }: Extract<SessionRequest, { kind: 'evaluate' }>): Promise<void> => {
    newest = Math.max(newest, id);
    if (opened === null) return post({ kind: 'crashed', id, message: 'evaluate came before open' });
    await pause();
    if (isOver(id)) return post({ kind: 'cancelled', id });
    const evaluation = opened.evaluator.evaluate(design);
    if (!evaluation.ok) return post({ kind: 'refused', id, problems: evaluation.problems });
    post({ kind: 'evaluated', id, evaluation: evaluation.value });
    return tryFixes(opened.evaluator, id);
  };

  const runPack = async ({ id, design }: Extract<SessionRequest, { kind: 'pack' }>): Promise<void> => {
    if (opened === null) return post({ kind: 'crashed', id, message: 'pack came before open' });
    post({ kind: 'progress', id, done: 0, what: 'drawing the parts' });
    const evaluation = evaluate(design, opened.catalogue, fonts);
    if (!evaluation.ok) return post({ kind: 'refused', id, problems: evaluation.problems });
    const { benchZip } = await filesOut();
    const zip = await benchZip(evaluation.value);
    post(cancelled.has(id) ? { kind: 'cancelled', id } : { kind: 'packed', id, zip });
  };

  const runMaps = async ({ id, design }: Extract<SessionRequest, { kind: 'maps' }>): Promise<void> => {
    if (opened === null) return post({ kind: 'crashed', id, message: 'maps came before open' });
    post({ kind: 'progress', id, done: 0, what: 'lighting it in full' });
    await pause();
    const evaluation = createEvaluator(opened.catalogue, fonts, { grid: fullGrid }).evaluate(design);
    if (!evaluation.ok) return post({ kind: 'refused', id, problems: evaluation.problems });
    await pause();
    if (cancelled.has(id)) return post({ kind: 'cancelled', id });
    const { lightZip } = await filesOut();
    post({ kind: 'packed', id, zip: lightZip(evaluation.value) });
  };

  const runTrace = async ({ id, design, assembly }: Extract<SessionRequest, { kind: 'trace' }>): Promise<void> => {
    if (opened === null) return post({ kind: 'crashed', id, message: 'trace came before open' });
    const evaluation = opened.evaluator.quick(design);
    if (!evaluation.ok) return post({ kind: 'refused', id, problems: evaluation.problems });
    const own = evaluation.value.assemblies[assembly];
    const trace = own === undefined ? null : buildOf(own).work.trace;
    if (own === undefined || trace === null)
      return post({
        kind: 'refused',
        id,
        problems: [
          { path: `assemblies.${assembly}.build`, message: 'is not a case; only the light in a case is traced' },
        ],
      });
    for (const report of trace(own)) {
      post({ kind: 'tracing', id, report, done: report.done });
      await pause();
      if (cancelled.has(id)) return post({ kind: 'cancelled', id });
    }
  };

  /** Points are sent in small lots: a message for each would cost more than trying it. */
  const runSweep = async ({ id, design, plan }: Extract<SessionRequest, { kind: 'sweep' }>): Promise<void> => {
    if (opened === null) return post({ kind: 'crashed', id, message: 'sweep came before open' });
    const checked = checkAxes(plan, design);
    if (!checked.ok) return post({ kind: 'refused', id, problems: checked.problems });
    const work = sweep(design, checked.value, opened.evaluator.quick);
    let [done, lot] = [0, [] as TryPoint[]];
    const send = (): void => {
      post({ kind: 'tried', id, points: lot, done });
      lot = [];
    };
    for (;;) {
      await pause();
      if (cancelled.has(id)) return post({ kind: 'cancelled', id });
      const turn = work.next();
      if (turn.done === true) break;
      done += 1;
      if (turn.value !== null) lot.push(turn.value);
      if (lot.length >= pointsALot) send();
    }
    send();
    post({ kind: 'swept', id });
  };

  const runSolve = async (request: Extract<SessionRequest, { kind: 'solve' }>): Promise<void> => {
    const { id, design, goal, room } = request;
    if (opened === null) return post({ kind: 'crashed', id, message: 'solve came before open' });
    const work = solve(design, goal, room, opened.evaluator.quick);
    for (;;) {
      await pause();
      if (cancelled.has(id)) return post({ kind: 'cancelled', id });
      const turn = work.next();
      if (turn.done === true) return post({ kind: 'solved', id, solution: turn.value });
      post({ kind: 'progress', id, done: turn.value, what: `looking for the ${goal}` });
    }
  };

  const runChoose = async ({ id, design, assembly }: Extract<SessionRequest, { kind: 'choose' }>): Promise<void> => {
    if (opened === null) return post({ kind: 'crashed', id, message: 'choose came before open' });
    const work = solveSign(design, assembly, createJudge(opened.catalogue, fonts));
    for (let done = 0; ; done += 1) {
      await pause();
      if (cancelled.has(id)) return post({ kind: 'cancelled', id });
      const turn = work.next();
      if (turn.done === true) return post({ kind: 'chosen', id, solved: turn.value });
      post({ kind: 'progress', id, done, what: 'choosing' });
    }
  };

  const runTake = async ({ id, file, options }: Extract<SessionRequest, { kind: 'take' }>): Promise<void> => {
    const { takeDrawing } = await drawingsIn();
    const taken = takeDrawing(file, options);
    post(taken.ok ? { kind: 'taken', id, drawing: taken.value } : { kind: 'refused', id, problems: taken.problems });
  };

  const answer = async (request: SessionRequest): Promise<void> => {
    switch (request.kind) {
      case 'open':
        opened = { catalogue: request.catalogue, evaluator: createEvaluator(request.catalogue, fonts) };
        return post({ kind: 'opened', id: request.id });
      case 'evaluate':
        return runEvaluate(request);
      case 'pack':
        return runPack(request);
      case 'maps':
        return runMaps(request);
      case 'trace':
        return runTrace(request);
      case 'sweep':
        return runSweep(request);
      case 'solve':
        return runSolve(request);
      case 'choose':
        return runChoose(request);
      case 'take':
        return runTake(request);
      case 'cancel':
        cancelled.add(request.id);
        return;
    }
  };

  /** Handles one request to its end; never rejects. */
  return async (request: SessionRequest): Promise<void> => {
    try {
      await answer(request);
    } catch (error) {
      post({ kind: 'crashed', id: request.id, message: error instanceof Error ? error.message : String(error) });
    }
  };
};
