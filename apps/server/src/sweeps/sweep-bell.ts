/** Rings in PostgreSQL whenever a sweep comes in; the tables hold the truth. */
export const sweepBell = 'vitrum_sweeps';
