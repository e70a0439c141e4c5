export { repair, type Repaired, type RepairOptions } from './repair.js';
