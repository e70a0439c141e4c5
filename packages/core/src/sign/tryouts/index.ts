export { faceOptions } from './face-options.js';
export { tryoutOf, type TryEvaluator } from './point.js';
export { solve, type SolveRoom } from './solve.js';
export { checkAxes, mostSweepPoints, sweep, sweepSize } from './sweep.js';
export type { Demand, FaceOption, Solution, SweepAxes, TryPoint, Goal } from './types.js';
