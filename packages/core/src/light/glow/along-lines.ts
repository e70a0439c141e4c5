import type { MeasuredLine, Point } from '../../base/outlines/index.js';

/** The strongest ripple along lines: its Michelson contrast within one LED pitch, and where. */
export interface LineRipple {
  readonly contrast: number;
  readonly at: Point;
}

/** Places at which ripples are looked for, evenly along all lines. */
const stations = 80;
/** Samples over one pitch. */
const perPitch = 8;
/** Where a line turns more than this within the stretch, it is the corner that is seen (cosine of 15°). */
const straightCosine = 0.966;

/** Means over one pitch round each sample that has a whole pitch round it. */
const running = (values: readonly number[]): readonly number[] =>
  values.slice(0, values.length - perPitch).map((_, from) => {
    // The two ends count half, so that the window is one pitch and stands in the middle.
    let sum = (values[from]! + values[from + perPitch]!) / 2;
    for (let step = 1; step < perPitch; step += 1) sum += values[from + step]!;
    return sum / perPitch;
  });

/** What repeats at the pitch: the running mean taken away `times`, after which no slope, no bow, no gap’s edge is left. */
const ripple = (values: readonly number[], times: number): readonly number[] => {
  const half = perPitch / 2;
  let series = values;
  for (let time = 0; time < times; time += 1) {
    const means = running(series);
    const before = series;
    series = means.map((mean, at) => before[at + half]! - mean);
  }
  return series;
};

/** How strictly a place is looked at: running means taken away, and whether the line must be straight there. */
interface Strictness {
  readonly times: number;
  readonly straight: boolean;
}

/** As strictly as the lines allow: wide pitches on small letters find no straight stretch long enough. */
const strictest: readonly Strictness[] = [
  { times: 3, straight: true },
  { times: 1, straight: true },
  { times: 1, straight: false },
];

/** Light along lines, and how finely it ripples. */
export interface RippleProbe {
  readonly pitchMm: number;
  /** Straight from the LEDs, which alone ripples, and all of it, which that is held against (lx). */
  readonly directAt: (at: Point) => number;
  readonly allAt: (at: Point) => number;
}

/** The ripple at one place of a line; null where that bends too much to tell. */
const rippleAt = (
  line: MeasuredLine,
  middle: number,
  { times, straight }: Strictness,
  { pitchMm, directAt, allAt }: RippleProbe,
): LineRipple | null => {
  const steps = (times + 1) * perPitch;
  const samples = Array.from({ length: steps + 1 }, (_, step) =>
    line.station(middle + ((step - steps / 2) * pitchMm) / perPitch),
  );
  const [ax, ay] = samples[0]!.along;
  if (straight && samples.some(({ along }) => along[0] * ax + along[1] * ay < straightCosine)) return null;
  const { at } = line.station(middle);
  const all = allAt(at);
  if (all <= 0) return null;
  const rest = ripple(
    samples.map((sample) => directAt(sample.at)),
    times,
  );
  return { contrast: (Math.max(...rest) - Math.min(...rest)) / (2 * all), at };
};

/** A line, and whether it closes on itself. */
export interface RippleLine {
  readonly line: MeasuredLine;
  readonly closed: boolean;
}

/** On lines too short for anything else: brightest against darkest of all between their first and last LED. */
const wholeLines = (lines: readonly RippleLine[], { pitchMm, directAt, allAt }: RippleProbe): LineRipple =>
  lines.reduce<LineRipple>(
    (strongest, { line }) => {
      const inset = line.lengthMm >= 2 * pitchMm ? pitchMm / 2 : 0;
      const room = line.lengthMm - 2 * inset;
      const count = Math.max(perPitch, Math.round((room * perPitch) / pitchMm));
      const places = Array.from({ length: count + 1 }, (_, step) => line.station(inset + (step * room) / count).at);
      const direct = places.map(directAt);
      const at = places[count >> 1]!;
      const all = allAt(at);
      const contrast = all > 0 ? (Math.max(...direct) - Math.min(...direct)) / (2 * all) : 0;
      return contrast > strongest.contrast ? { contrast, at } : strongest;
    },
    { contrast: 0, at: [0, 0] },
  );

/** The strongest ripple along lines; corners are passed over where there is enough else to look at. */
export const strongestRipple = (lines: readonly RippleLine[], probe: RippleProbe): LineRipple => {
  const total = lines.reduce((sum, { line }) => sum + line.lengthMm, 0);
  for (const strictness of strictest) {
    // Samples reach so far to both sides; an open line has none beyond its ends.
    const reach = ((strictness.times + 1) / 2) * probe.pitchMm;
    const found = lines.flatMap(({ line, closed }) => {
      const room = closed ? line.lengthMm : line.lengthMm - 2 * reach;
      if (room <= 0) return [];
      const count = Math.max(2, Math.round((stations * line.lengthMm) / Math.max(1, total)));
      const from = closed ? 0 : reach;
      return Array.from({ length: count }, (_, station) =>
        rippleAt(line, from + ((station + 0.5) * room) / count, strictness, probe),
      ).filter((ripple) => ripple !== null);
    });
    if (found.length > 0) return found.reduce((a, b) => (b.contrast > a.contrast ? b : a));
  }
  return wholeLines(lines, probe);
};
