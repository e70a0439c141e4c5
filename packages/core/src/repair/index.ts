export { repair, type Repaired, type RepairWish } from './repair.js';
