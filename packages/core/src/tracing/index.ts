export { createTracer, type Tracer } from './tracer.js';
export type { Lining, Scene, Traced, TracedLights, Window } from './types.js';
