export { benchStandingOf, doneByLog, type BenchStanding } from './bench-standing.js';
export { entryProblem, logWhats, type LogEntry, type LogWhat } from './entry.js';
