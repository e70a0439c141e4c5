import type { LightRuns, Segment } from '../light/runs/index.js';

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
