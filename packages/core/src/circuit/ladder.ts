// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { cosh, sinh, sqrt } = Math;

/**
 * A strip as a loaded line: each metre has `ohmPerM` of copper (out and back) and `siemensPerM` of LEDs and resistors
 * above their forward voltage. With u the voltage above forward and i the current, du/dx = −r·i and di/dx = −g·u, whose
 * solution is the hyperbolic two-port below (the telegrapher's equations at zero frequency).
 */
export interface Line {
  readonly ohmPerM: number;
  readonly siemensPerM: number;
}

/** Voltage above forward (V) and current (A) at one place, in the direction of the run. */
export interface State {
  readonly u: number;
  readonly i: number;
}

/** Maps the state at the start of a stretch to the state at its end. */
export type TwoPort = readonly [number, number, number, number];

export const unchanged: TwoPort = [1, 0, 0, 1];

/** `lengthM` of strip. */
export const stripPort = ({ ohmPerM, siemensPerM }: Line, lengthM: number): TwoPort => {
  const k = sqrt(ohmPerM * siemensPerM);
  const impedance = sqrt(ohmPerM / siemensPerM);
  const [c, s] = [cosh(k * lengthM), sinh(k * lengthM)];
  return [c, -impedance * s, -s / impedance, c];
};

/** A wire of `ohm` (both conductors) in series. */
export const wirePort = (ohm: number): TwoPort => [1, -ohm, 0, 1];

/** `first`, then `second`. */
export const join = (first: TwoPort, second: TwoPort): TwoPort => {
  const [a, b, c, d] = second;
  const [e, f, g, h] = first;
  return [a * e + b * g, a * f + b * h, c * e + d * g, c * f + d * h];
};

export const through = ([a, b, c, d]: TwoPort, { u, i }: State): State => ({ u: a * u + b * i, i: c * u + d * i });

/** Current into the start per volt at it, when nothing leaves at the end. */
export const inputSiemens = ([, , c, d]: TwoPort): number => -c / d;

/**
 * Currents per volt of a run whose both ends hang on the same node: `start` flows in at the start, `end` flows out at
 * the end (negative: in).
 */
export const bothEndsSiemens = ([a, b, c, d]: TwoPort): { readonly start: number; readonly end: number } => {
  const start = (1 - a) / b;
  return { start, end: c + d * start };
};
