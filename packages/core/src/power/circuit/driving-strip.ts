import type { Strip } from '../../document/catalogue/index.js';

/** The strip whose kind of controller the sign needs: pixels before colours, colours before white. */
export const drivingStrip = (strips: readonly Strip[]): Strip =>
  strips.find(({ addressable }) => addressable === true) ??
  strips.find(({ colour }) => colour !== 'white') ??
  strips[0]!;
