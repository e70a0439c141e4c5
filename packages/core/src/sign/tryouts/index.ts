export { faceOptions } from './face-options.js';
export { standingOf, tryoutOf, type TryEvaluator, type TryStanding } from './point.js';
export { solve, type SolveRoom } from './solve.js';
export { checkAxes, mostSweepPoints, sweep, sweepSize } from './sweep.js';
export type { Demand, FaceOption, Solution, SweepAxes, TryPoint, Goal } from './types.js';
