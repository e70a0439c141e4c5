import type { LightRuns, Point3, Segment } from '../runs/index.js';

/** A segment cut once more by hand, so far from where current enters it (mm). */
export interface SegmentCut {
  readonly segment: number;
  readonly atMm: number;
}

/** A path up to a place on it, and on from there. */
const cutPath = (path: readonly Point3[], atMm: number): readonly [readonly Point3[], readonly Point3[]] => {
  let gone = 0;
  for (let next = 1; next < path.length; next += 1) {
    const [from, to] = [path[next - 1]!, path[next]!];
    const step = Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]);
    if (gone + step >= atMm && step > 0) {
      const share = (atMm - gone) / step;
      const at: Point3 = [
        from[0] + share * (to[0] - from[0]),
        from[1] + share * (to[1] - from[1]),
        from[2] + share * (to[2] - from[2]),
      ];
      return [
        [...path.slice(0, next), at],
        [at, ...path.slice(next)],
      ];
    }
    gone += step;
  }
  return [path, path.slice(-1)];
};

/** The cut mark nearest to a place within a segment, and not at its ends; null where there is none. */
const markNear = (lengthMm: number, atMm: number, cutPitchMm: number): number | null => {
  const marks = Math.round(lengthMm / cutPitchMm);
  return marks < 2 ? null : cutPitchMm * Math.min(marks - 1, Math.max(1, Math.round(atMm / cutPitchMm)));
};

/**
 * Runs with segments cut in two at the cut mark nearest to where a design asks for it. LEDs stay where they are: the first
 * part keeps the number, the rest comes next in order and takes the first number that is free. Cuts of what is not there,
 * or too short, do nothing.
 */
export const withCuts = <Runs extends LightRuns>(runs: Runs, cuts: readonly SegmentCut[], cutPitchMm: number): Runs => {
  let cut = runs;
  for (const { segment: wanted, atMm } of cuts) {
    const index = cut.segments.findIndex(({ number }) => number === wanted);
    const own = cut.segments[index];
    const at = own === undefined ? null : markNear(own.lengthMm, atMm, own.own?.strip.cutPitchMm ?? cutPitchMm);
    if (own === undefined || at === null) continue;
    const { leds } = cut;
    const segment = leds.segment.slice();
    const along = leds.along.slice();
    let kept = 0;
    for (let led = 0; led < leds.count; led += 1) {
      if (segment[led] === index && along[led]! < at) kept += 1;
      else if (segment[led]! >= index) {
        if (segment[led] === index) along[led]! -= at;
        segment[led]! += 1;
      }
    }
    const [before, after] = cutPath(own.path, at);
    const first: Segment = { ...own, to: before.at(-1)!, path: before, lengthMm: at, ledCount: kept };
    const rest: Segment = {
      ...own,
      number: 1 + cut.segments.reduce((most, { number }) => Math.max(most, number), 0),
      from: after[0]!,
      path: after,
      lengthMm: own.lengthMm - at,
      leftoverMm: 0,
      ledCount: own.ledCount - kept,
    };
    cut = {
      ...cut,
      segments: [...cut.segments.slice(0, index), first, rest, ...cut.segments.slice(index + 1)],
      leds: { ...leds, segment, along },
    };
  }
  return cut;
};
