export { nearestWall } from './nearest-wall.js';
export { createTracer, type Tracer } from './tracer.js';
export type { Lining, Scene, Traced, Window } from './types.js';
export { wallsOf, type Walls } from './walls.js';
export { horizonFrom, turnOf } from './horizon.js';
