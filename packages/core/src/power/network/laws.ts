import { roundOff } from '../../base/maths/index.js';
import { ampsAt, slopeAt } from './law.js';
import type { Network } from './types.js';

/** Currents and slopes of all loads at given voltages. */
export interface LoadColumns {
  readonly amps: (volts: Float64Array, into: Float64Array, offset: number) => void;
  readonly slopes: (volts: Float64Array, into: Float64Array, offset: number) => void;
}

/** Every law is straight between two knees: rising from `from` to `full` by `siemens`, level beyond. */
export const loadColumns = ({ loads, laws }: Network): LoadColumns => {
  const { plus, minus, law } = loads;
  const column = (of: (index: number) => number): Float64Array => Float64Array.from(laws, (_, index) => of(index));
  const from = column((index) => {
    const own = laws[index]!;
    return own.kind === 'resistive' ? own.forwardV : own.fromV;
  });
  const full = column((index) => {
    const own = laws[index]!;
    return own.kind === 'resistive' ? Infinity : own.fullV;
  });
  const siemens = column((index) => slopeAt(laws[index]!, from[index]! + roundOff));
  const most = column((index) => ampsAt(laws[index]!, full[index]!));
  return {
    amps: (volts, into, offset) => {
      for (let load = 0; load < law.length; load += 1) {
        const own = law[load]!;
        const across = volts[plus[load]!]! - volts[minus[load]!]!;
        into[offset + load] =
          across <= from[own]! ? 0 : across >= full[own]! ? most[own]! : (across - from[own]!) * siemens[own]!;
      }
    },
    slopes: (volts, into, offset) => {
      for (let load = 0; load < law.length; load += 1) {
        const own = law[load]!;
        const across = volts[plus[load]!]! - volts[minus[load]!]!;
        into[offset + load] = across > from[own]! && across < full[own]! ? siemens[own]! : 0;
      }
    },
  };
};
