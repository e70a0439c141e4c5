import type { Strip } from '../../document/catalogue/index.js';
import { segmentOfLaid, withCuts, type LaidSegment, type SegmentCut } from '../../light/laying/index.js';
import type { LightRuns, Point3, Segment } from '../../light/runs/index.js';

/** A segment that was laid along a line: how high, on what, and which way it looks where it runs that way. */
export interface LaidAt {
  readonly segment: LaidSegment;
  readonly zMm: number;
  readonly on: Segment['on'];
  readonly lookOf: (along: readonly [number, number]) => Point3;
}

/** Strip that bends: its segments, and every LED with the way that it looks and runs along; cuts by hand made. */
export const runsOfLaid = (
  laid: readonly LaidAt[],
  { ledsPerM, cutPitchMm }: Pick<Strip, 'ledsPerM' | 'cutPitchMm'>,
  throwMm: number,
  cuts: readonly SegmentCut[],
): LightRuns => {
  const leds = laid.flatMap(({ segment, ...rest }, index) => segment.leds.map((led) => ({ ...led, ...rest, index })));
  const [looks, along] = [new Float64Array(3 * leds.length), new Float64Array(3 * leds.length)];
  leds.forEach((led, at) => {
    looks.set(led.lookOf(led.along), 3 * at);
    along.set([...led.along, 0], 3 * at);
  });
  const segments = laid.map(({ segment, zMm, on, lookOf }, index) =>
    segmentOfLaid(segment, { number: index + 1, zMm, normal: lookOf(segment.leds[0]?.along ?? [1, 0]), on, ledsPerM }),
  );
  return withCuts(
    {
      segments,
      leds: {
        count: leds.length,
        x: Float64Array.from(leds, ({ at }) => at[0]),
        y: Float64Array.from(leds, ({ at }) => at[1]),
        z: Float64Array.from(leds, ({ zMm }) => zMm),
        segment: Uint32Array.from(leds, ({ index }) => index),
        along: Float64Array.from(leds, ({ mm }) => mm),
      },
      ways: { looks, along },
      stripMm: segments.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
      ledPitchMm: 1000 / ledsPerM,
      rowPitchMm: null,
      throwMm: Math.max(1, throwMm),
    },
    cuts,
    cutPitchMm,
  );
};
