import type { Battery } from '../../document/catalogue/index.js';

/** How long a battery lasts, and what it gives at its end. */
export interface RunTime {
  readonly hours: number;
  /** Light at the cut-off against light at full charge. */
  readonly lightAtEnd: number;
}

/** What a circuit draws and gives at a voltage of its supply. */
export interface Drawn {
  readonly amps: number;
  readonly light: number;
}

/** Equal parts that a discharge is summed over. */
const parts = 8;

/**
 * Hours from full to cut-off: the usable charge given out in equal parts, each at the current the circuit draws at that
 * part’s mean voltage, which falls in a straight line. Stops being true in the cold, at more current than an hour’s
 * discharge, and for old cells.
 */
export const runTimeOf = (battery: Battery, drawnAt: (volts: number) => Drawn): RunTime => {
  const { ampHours, fullV, cutOffV, usableShare } = battery;
  let hours = 0;
  for (let part = 0; part < parts; part += 1) {
    const volts = fullV + ((part + 0.5) / parts) * (cutOffV - fullV);
    const { amps } = drawnAt(volts);
    hours += amps > 0 ? (ampHours * usableShare) / parts / amps : Infinity;
  }
  const [full, last] = [drawnAt(fullV).light, drawnAt(cutOffV).light];
  return { hours, lightAtEnd: full > 0 ? last / full : 0 };
};
