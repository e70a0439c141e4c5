export { nearestWall } from './nearest-wall.js';
export { wallsOf, type Walls } from './walls.js';
