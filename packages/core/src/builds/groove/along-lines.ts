import { measureLine, type Point } from '../../base/outlines/index.js';
import type { LightShare } from '../../light/runs/index.js';
import { NearCells } from './near-cells.js';
import type { GrooveGeometry } from './geometry.js';
import type { LightOut } from './light-out.js';
import type { GrooveRuns } from './runs.js';

/** Light along all lines at even places: one column a quantity. */
export interface AlongLines {
  readonly count: number;
  readonly x: Float64Array;
  readonly y: Float64Array;
  /** Index of the line; and what of it a place stands for (mm). */
  readonly line: Uint16Array;
  readonly stepMm: Float64Array;
  /** What leaves there (lm/mm). */
  readonly lmPerMm: Float64Array;
}

/** What an LED of a segment gives as it is set (lm), how wide it is, and where its light goes. */
export interface SegmentLight {
  readonly lmPerLed: number;
  readonly emitterMm: number;
  readonly way: Pick<LightOut, 'out' | 'straight'>;
}

/** So many places over one LED pitch, so far apart at the most (mm), and so many in all. */
const placesPerPitch = 6;
const farthestMm = 2;
const mostPlaces = 40_000;
/** The light of a point under a cover is followed to so many times its depth: beyond, 0.2 % of it is left. */
const reachDepths = 6;

/**
 * What leaves along the lines: of every LED its light that gets out, spread along its line as by a Lambertian point under a cover at depth
 * d, (2 d³ / π) / (s² + d²)², and what comes straight as wide as the emitter.
 */
export const alongLines = (
  { lines, groove }: GrooveGeometry,
  runs: GrooveRuns,
  lights: readonly SegmentLight[],
  { fluxShare }: LightShare,
): AlongLines => {
  const measured = lines.map(({ points, closed }) => ({ line: measureLine(points, closed), closed }));
  const total = measured.reduce((sum, { line }) => sum + line.lengthMm, 0);
  const step = Math.max(Math.min(runs.ledPitchMm / placesPerPitch, farthestMm), total / mostPlaces);
  const counts = measured.map(({ line }) => Math.max(2, Math.round(line.lengthMm / step)));
  const count = counts.reduce((sum, each) => sum + each, 0);
  const field = {
    count,
    x: new Float64Array(count),
    y: new Float64Array(count),
    line: new Uint16Array(count),
    stepMm: new Float64Array(count),
    lmPerMm: new Float64Array(count),
  };
  const starts: number[] = [];
  let next = 0;
  measured.forEach(({ line }, index) => {
    starts.push(next);
    for (let at = 0; at < counts[index]!; at += 1) {
      const place = line.station(((at + 0.5) * line.lengthMm) / counts[index]!).at;
      [field.x[next], field.y[next]] = place;
      field.line[next] = index;
      field.stepMm[next] = line.lengthMm / counts[index]!;
      next += 1;
    }
  });
  const find = placeFinder(field, 4 * step);
  const depth = Math.max(0.5, groove.overStripMm);
  const kernels = measured.map((_, index) => kernelOf(depth, field.stepMm[starts[index]!]!));
  for (let led = 0; led < runs.leds.count; led += 1) {
    const at = find([runs.leds.x[led]!, runs.leds.y[led]!]);
    if (at === null) continue;
    const index = field.line[at]!;
    const [start, own, { closed }] = [starts[index]!, counts[index]!, measured[index]!];
    const mm = field.stepMm[at]!;
    const { lmPerLed, emitterMm, way } = lights[runs.leds.segment[led]!]!;
    const { out, straight } = way;
    const lm = lmPerLed * fluxShare[led]! * out;
    const place = at - start;
    spread(field.lmPerMm, { start, own, closed }, place, kernels[index]!, (lm * (1 - straight)) / mm);
    if (straight === 0) continue;
    const half = Math.max(0, Math.round(Math.max(emitterMm, step) / mm / 2 - 0.5));
    for (let by = -half; by <= half; by += 1) {
      const raw = Math.min(own - 1, Math.max(0, place + by));
      field.lmPerMm[start + raw]! += (lm * straight) / ((2 * half + 1) * mm);
    }
  }
  return field;
};

/** How the light of one LED lies along a line, place by place to both sides; and what of it lies up to each place. */
interface Kernel {
  readonly weights: Float64Array;
  /** Of the first so many weights. */
  readonly sums: Float64Array;
  readonly reach: number;
}

const kernelOf = (depth: number, stepMm: number): Kernel => {
  const reach = Math.ceil((reachDepths * depth) / stepMm);
  const weights = Float64Array.from({ length: 2 * reach + 1 }, (_, at) => {
    const s = (at - reach) * stepMm;
    return depth ** 3 / (s * s + depth * depth) ** 2;
  });
  const sums = new Float64Array(weights.length + 1);
  weights.forEach((weight, at) => (sums[at + 1] = sums[at]! + weight));
  return { weights, sums, reach };
};

/** Adds the light of one LED to a line; all of it stays on the line, wherever that ends. */
const spread = (
  lmPerMm: Float64Array,
  { start, own, closed }: { readonly start: number; readonly own: number; readonly closed: boolean },
  place: number,
  { weights, sums, reach }: Kernel,
  amount: number,
): void => {
  if (amount === 0) return;
  const [from, to] = closed
    ? [place - reach, place + reach]
    : [Math.max(0, place - reach), Math.min(own - 1, place + reach)];
  const [first, last] = [from - place + reach, to - place + reach];
  const scale = amount / (sums[last + 1]! - sums[first]!);
  for (let at = first; at <= last; at += 1) {
    let cell = place - reach + at;
    if (closed) cell = ((cell % own) + own) % own;
    lmPerMm[start + cell]! += scale * weights[at]!;
  }
};

/** Finds the place nearest to a point within a cell of so many mm round it; null where there is none. */
const placeFinder = ({ count, x, y }: Pick<AlongLines, 'count' | 'x' | 'y'>, cellMm: number) => {
  const cells = new NearCells(cellMm);
  for (let at = 0; at < count; at += 1) cells.add(x[at]!, y[at]!, at);
  return ([px, py]: Point): number | null => {
    let [best, nearest] = [null as number | null, Infinity];
    cells.near(px, py, (at) => {
      const away = Math.hypot(x[at]! - px, y[at]! - py);
      if (away < nearest) [best, nearest] = [at, away];
    });
    return best;
  };
};
