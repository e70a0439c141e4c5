export { joinEnds, type Joined } from './join-ends.js';
export { repair, type Repaired, type RepairOptions } from './repair.js';
