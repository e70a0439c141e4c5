import { fullGrid } from '../light/glow/index.js';
import { createEvaluator, evaluate } from '../sign/evaluate/index.js';
import type { Asked, Run } from './turns.js';

// Writing files and reading drawings weigh as much as all the rest; a thread that only lights never loads them.
const filesOut = () => import('../files/exports/index.js');
const drawingsIn = () => import('../artwork/intake/index.js');

/** Everything that goes to the bench, as a ZIP. */
export const runPack = async (run: Run, { id, design }: Asked<'pack'>): Promise<void> => {
  const { post, catalogue, fonts, paper, isCancelled } = run;
  post({ kind: 'progress', id, done: 0, what: 'drawing the parts' });
  const evaluation = evaluate(design, catalogue, fonts);
  if (!evaluation.ok) return post({ kind: 'refused', id, problems: evaluation.problems });
  const { benchZip, packNote } = await filesOut();
  const stuff = { catalogue, fonts: await paper() };
  const zip = await benchZip(evaluation.value, stuff);
  return post(isCancelled(id) ? { kind: 'cancelled', id } : { kind: 'packed', id, zip, note: packNote(design, stuff) });
};

/** The light maps in full resolution, as a ZIP. */
export const runMaps = async (run: Run, { id, design }: Asked<'maps'>): Promise<void> => {
  const { post, pause, catalogue, fonts, isCancelled } = run;
  post({ kind: 'progress', id, done: 0, what: 'lighting it in full' });
  await pause();
  const evaluation = createEvaluator(catalogue, fonts, { grid: fullGrid }).evaluate(design);
  if (!evaluation.ok) return post({ kind: 'refused', id, problems: evaluation.problems });
  await pause();
  if (isCancelled(id)) return post({ kind: 'cancelled', id });
  const { lightZip } = await filesOut();
  return post({ kind: 'packed', id, zip: lightZip(evaluation.value), note: null });
};

/** A drawing file made into an outline; it needs no catalogue. */
export const runTake = async ({ post }: Pick<Run, 'post'>, { id, file, options }: Asked<'take'>): Promise<void> => {
  const { takeDrawing } = await drawingsIn();
  const taken = takeDrawing(file, options);
  post(taken.ok ? { kind: 'taken', id, drawing: taken.value } : { kind: 'refused', id, problems: taken.problems });
};

/** A drawing file layer by layer. */
export const runTakeLayers = async (
  { post }: Pick<Run, 'post'>,
  { id, file, options }: Asked<'take-layers'>,
): Promise<void> => {
  const { takeLayers } = await drawingsIn();
  const taken = takeLayers(file, options);
  post(taken.ok ? { kind: 'layers-taken', id, taken: taken.value } : { kind: 'refused', id, problems: taken.problems });
};

/** The strokes of a drawing file as lines. */
export const runTakeLines = async (
  { post }: Pick<Run, 'post'>,
  { id, file, options }: Asked<'take-lines'>,
): Promise<void> => {
  const { takeLines } = await drawingsIn();
  const taken = takeLines(file, options);
  post(taken.ok ? { kind: 'lines-taken', id, taken: taken.value } : { kind: 'refused', id, problems: taken.problems });
};
