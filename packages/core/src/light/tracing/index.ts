export { createTracer, type Tracer } from './tracer.js';
export type { Lining, Scene, Traced, Window } from './types.js';
export { horizonFrom, turnOf } from './horizon.js';
