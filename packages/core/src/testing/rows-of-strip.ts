import { inPlace } from '../base/placing/index.js';
import type { Strip } from '../document/catalogue/index.js';
import type { LightRuns, Point3, Segment } from '../light/runs/index.js';
import { signRunsOf, straight, type SignRuns } from '../power/circuit/index.js';

/** Strip of one assembly, named `box`, as a whole sign: wires go straight from where the lead comes in. */
export const signOfRuns = (runs: LightRuns, strip: Strip, entry: Point3 = [0, 0, 0]): SignRuns =>
  signRunsOf([{ id: 'box', strip, runs, entry, router: straight, placing: inPlace }]);

/** A segment of that sign by its number. */
export const inRows = (segment: number) => ({ assembly: 'box', segment });

/** Rows of strip of the given lengths, one above the other, run there and back. */
export const rowsOfStrip = (lengths: readonly number[], rowPitchMm: number, pitchMm: number): LightRuns => {
  const segments = lengths.map((lengthMm, row): Segment => {
    const y = rowPitchMm * row;
    const [from, to] = row % 2 === 0 ? [0, lengthMm] : [lengthMm, 0];
    return {
      number: row + 1,
      from: [from, y, 0],
      to: [to, y, 0],
      path: [
        [from, y, 0],
        [to, y, 0],
      ],
      lengthMm,
      normal: [0, 0, 1],
      on: 'back',
      leftoverMm: 0,
      ledCount: Math.round(lengthMm / pitchMm),
    };
  });
  const leds = segments.flatMap(({ ledCount }, segment) =>
    Array.from({ length: ledCount }, (_, led) => ({ segment, along: (led + 0.5) * pitchMm })),
  );
  const column = (of: (led: (typeof leds)[number]) => number) => Float64Array.from(leds, of);
  return {
    segments,
    leds: {
      count: leds.length,
      x: column(({ along }) => along),
      y: column(({ segment }) => rowPitchMm * segment),
      z: column(() => 0),
      segment: Uint32Array.from(leds, ({ segment }) => segment),
      along: column(({ along }) => along),
    },
    stripMm: lengths.reduce((sum, length) => sum + length, 0),
    ledPitchMm: pitchMm,
    rowPitchMm,
    throwMm: 60,
  };
};
