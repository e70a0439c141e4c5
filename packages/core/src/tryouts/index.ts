export { faceOptions } from './options.js';
export type { TryEvaluator } from './point.js';
export { solve, type SolveRoom } from './solve.js';
export { checkPlan, mostSweepPoints, sweep, sweepSize } from './sweep.js';
export type { Demand, FaceOption, Solution, SweepPlan, TryPoint, Wish } from './types.js';
