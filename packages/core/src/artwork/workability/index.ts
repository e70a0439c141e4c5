export { thinByShape, workabilityOf, type LostPlace, type Workability } from './workability.js';
