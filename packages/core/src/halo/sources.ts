import { intensityAt, type Distribution } from '../photometry/index.js';
import { horizonFrom, turnOf, wallsOf } from '../tracing/index.js';
import type { HaloScene, Post } from './types.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { acos, floor, hypot, max, min, PI, sqrt } = Math;

const mm2PerM2 = 1e6;
/** Beyond so many heights the light of an LED that faces the wall is less than a thousandth of what it is below it. */
const reachHeights = 12;
/** Beyond a post farther away than so many heights there is less than a five hundredth of an LED’s light to take. */
const shadeHeights = 4.5;

/** Light of one lumen on the wall (lx) at steps of squared distance from the place under the LED, linear between them. */
export interface LightTable {
  readonly lux: Float64Array;
  readonly stepsPerMm2: number;
  readonly steps: number;
}

/** LEDs made ready to light any place of the wall. */
export interface Sources {
  readonly scene: HaloScene;
  /** How far from LED number `led` its light is counted (mm). */
  readonly reachOf: (led: number) => number;
  /** Illuminance at (x, y) from one LED, returns counted, posts not (lx); 0 out of reach. */
  readonly luxFrom: (led: number, x: number, y: number) => number;
  /** LEDs within reach of (x, y), and perhaps some that are not. */
  readonly near: (x: number, y: number) => Int32Array;
  /** Light of one lumen by squared distance, where that is all it depends on. */
  readonly table: LightTable | null;
  /** Posts so near to an LED that their shadow in its light counts. */
  readonly shading: readonly (readonly Post[])[];
}

/** Intensity of one lumen by the cosine of its angle; plain cosine light is asked for so often that it goes straight. */
const byCosine = (distribution: Distribution): ((ahead: number) => number) =>
  distribution.kind === 'cosine' && distribution.exponent === 1
    ? (ahead) => ahead / PI
    : (ahead) => intensityAt(distribution, acos(ahead));

/** Steps of the table: linear between them, it is right to a few parts in ten thousand. */
const tableSteps = 8192;

/** The table of LEDs that are all at one height and face the wall, alike all round, with no returns; else there is none. */
const tableOf = ({ lights, returnMm }: HaloScene): LightTable | null => {
  if (returnMm > 0 || lights.count === 0) return null;
  if (lights.distribution.kind === 'table' && lights.distribution.azimuthDeg.length > 1) return null;
  const height = lights.z[0]!;
  if (!lights.z.every((z, led) => z === height && lights.nz[led] === -1)) return null;
  const candelaAt = byCosine(lights.distribution);
  const stepsPerMm2 = tableSteps / (reachHeights * height) ** 2;
  const lux = Float64Array.from({ length: tableSteps + 2 }, (_, step) => {
    const d = sqrt(step / stepsPerMm2 + height * height);
    return (mm2PerM2 * candelaAt(height / d) * height) / (d * d * d);
  });
  return { lux, stepsPerMm2, steps: tableSteps };
};

/** Whether the way from (x, y) to (px, py) passes through a post. */
export const meetsPost = (x: number, y: number, px: number, py: number, { at, diameterMm }: Post): boolean => {
  const [dx, dy] = [px - x, py - y];
  const length2 = dx * dx + dy * dy;
  const [ox, oy] = [at[0] - x, at[1] - y];
  const share = length2 > 0 ? min(1, max(0, (ox * dx + oy * dy) / length2)) : 0;
  const [nx, ny] = [ox - share * dx, oy - share * dy];
  return nx * nx + ny * ny < (diameterMm * diameterMm) / 4;
};

/** Buckets are so many times smaller than the longest reach: as many of them each way hold all that reach a place. */
const bucketsAReach = 3;

/** LEDs sorted into square buckets, and gathered for the bucket of a place from all that may reach it. */
const bucketsOf = ({ lights }: HaloScene, reach: number): Sources['near'] => {
  const cell = reach / bucketsAReach;
  const keyOf = (column: number, row: number): string => `${column},${row}`;
  const buckets = new Map<string, number[]>();
  for (let led = 0; led < lights.count; led += 1) {
    const key = keyOf(floor(lights.x[led]! / cell), floor(lights.y[led]! / cell));
    const bucket = buckets.get(key);
    if (bucket === undefined) buckets.set(key, [led]);
    else bucket.push(led);
  }
  const gathered = new Map<string, Int32Array>();
  const gather = (column: number, row: number): Int32Array => {
    const found: number[] = [];
    for (let i = -bucketsAReach; i <= bucketsAReach; i += 1)
      for (let j = -bucketsAReach; j <= bucketsAReach; j += 1)
        found.push(...(buckets.get(keyOf(column + i, row + j)) ?? []));
    return Int32Array.from(found);
  };
  return (x, y) => {
    const [column, row] = [floor(x / cell), floor(y / cell)];
    const key = keyOf(column, row);
    const known = gathered.get(key) ?? gather(column, row);
    gathered.set(key, known);
    return known;
  };
};

/**
 * Makes LEDs ready: I cos γ / d² to any place in reach, less what a return keeps off, which blocks what would cross it
 * above its lower edge, the standoff.
 */
export const sourcesOf = (scene: HaloScene): Sources => {
  const { lights, standoffMm, returnMm, posts } = scene;
  const { x, y, z, nx, ny, nz, fluxLm } = lights;
  const walls = returnMm > 0 ? wallsOf(scene.outline) : null;
  const horizons: (Float64Array | undefined)[] = [];
  const candelaAt = byCosine(lights.distribution);
  const reachOf = (led: number): number => reachHeights * z[led]!;
  const table = tableOf(scene);
  const byTable =
    ({ lux, stepsPerMm2, steps }: LightTable) =>
    (led: number, px: number, py: number): number => {
      const [dx, dy] = [px - x[led]!, py - y[led]!];
      const place = (dx * dx + dy * dy) * stepsPerMm2;
      if (place >= steps) return 0;
      const step = place | 0;
      const low = lux[step]!;
      return fluxLm[led]! * (low + (place - step) * (lux[step + 1]! - low));
    };
  const oneByOne = (led: number, px: number, py: number): number => {
    const [dx, dy, h] = [px - x[led]!, py - y[led]!, z[led]!];
    const flat2 = dx * dx + dy * dy;
    if (flat2 > reachHeights * reachHeights * h * h) return 0;
    if (walls !== null) {
      const horizon = (horizons[led] ??= horizonFrom(walls, x[led]!, y[led]!));
      const wall = horizon[turnOf(dx, dy)]!;
      const way = sqrt(flat2);
      if (wall < way && h * (1 - wall / way) > standoffMm) return 0;
    }
    const d2 = flat2 + h * h;
    const d = sqrt(d2);
    const ahead = (dx * nx[led]! + dy * ny[led]! - h * nz[led]!) / d;
    return ahead <= 0 ? 0 : (fluxLm[led]! * mm2PerM2 * candelaAt(min(1, ahead)) * h) / (d2 * d);
  };
  const luxFrom = table === null ? oneByOne : byTable(table);
  const widest = z.reduce((most, height) => max(most, reachHeights * height), 1);
  const shading = Array.from({ length: lights.count }, (_, led) =>
    posts.filter(({ at }) => hypot(at[0] - x[led]!, at[1] - y[led]!) < shadeHeights * z[led]!),
  );
  return { scene, reachOf, luxFrom, near: bucketsOf(scene, widest), table, shading };
};

/** Illuminance of the wall at one place, straight from all LEDs, posts counted (lx). */
export const luxAt = ({ scene, near, luxFrom, shading }: Sources, px: number, py: number): number => {
  const { x, y } = scene.lights;
  const leds = near(px, py);
  let lux = 0;
  for (let place = 0; place < leds.length; place += 1) {
    const led = leds[place]!;
    const own = luxFrom(led, px, py);
    if (own <= 0) continue;
    const posts = shading[led]!;
    let free = true;
    for (let post = 0; post < posts.length && free; post += 1)
      free = !meetsPost(x[led]!, y[led]!, px, py, posts[post]!);
    if (free) lux += own;
  }
  return lux;
};
