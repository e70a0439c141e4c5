import { nearbyLeds } from '../photometry/index.js';
import { horizonFrom, turnOf } from '../tracing/index.js';
import { farLuxOf } from './far.js';
import { byCosine, lightTable, ownShare, reachHeights, wholePerLumen, type LightTable } from './light-table.js';
import type { HaloScene, Post } from './types.js';

const mm2PerM2 = 1e6;
/** Beyond a post farther away than so many heights there is less than a five hundredth of an LED’s light to take. */
const shadeHeights = 4.5;

/** LEDs made ready to light any place of the wall. */
export interface Sources {
  readonly scene: HaloScene;
  /** How far from LED number `led` its light is counted (mm). */
  readonly reachOf: (led: number) => number;
  /** Illuminance at (x, y) from all LEDs beyond their reach, taken together in groups (lx). */
  readonly farLux: (x: number, y: number) => number;
  /** Illuminance at (x, y) from one LED, returns counted, posts not (lx); it fades into `farLux` toward its reach. */
  readonly luxFrom: (led: number, x: number, y: number) => number;
  /** LEDs within reach of (x, y), and perhaps some that are not. */
  readonly near: (x: number, y: number) => Int32Array;
  /** Light of one lumen by squared distance, where that is all it depends on. */
  readonly table: LightTable | null;
  /** Posts so near to an LED that their shadow in its light counts. */
  readonly shading: readonly (readonly Post[])[];
}

/** Whether the way from (x, y) to (px, py) passes through a post. */
export const meetsPost = (x: number, y: number, px: number, py: number, { at, diameterMm }: Post): boolean => {
  const [dx, dy] = [px - x, py - y];
  const length2 = dx * dx + dy * dy;
  const [ox, oy] = [at[0] - x, at[1] - y];
  const share = length2 > 0 ? Math.min(1, Math.max(0, (ox * dx + oy * dy) / length2)) : 0;
  const [nx, ny] = [ox - share * dx, oy - share * dy];
  return nx * nx + ny * ny < (diameterMm * diameterMm) / 4;
};

/**
 * Makes LEDs ready: I cos γ / d² to any place in reach, less what a return keeps off, which blocks what would cross it
 * above its lower edge, the standoff.
 */
export const sourcesOf = (scene: HaloScene): Sources => {
  const { lights, standoffMm, returnMm, posts } = scene;
  const { x, y, z, nx, ny, nz, fluxLm } = lights;
  const horizons: (Float64Array | undefined)[] = [];
  const candelaAt = byCosine(lights.distribution);
  const reachOf = (led: number): number => reachHeights * z[led]!;
  const table = lightTable(scene);
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
  const lumenFrom = (led: number, px: number, py: number): number => {
    const [dx, dy, h] = [px - x[led]!, py - y[led]!, z[led]!];
    const flat2 = dx * dx + dy * dy;
    if (returnMm > 0) {
      const horizon = (horizons[led] ??= horizonFrom(scene.outline, x[led]!, y[led]!));
      const wall = horizon[turnOf(dx, dy)]!;
      const way = Math.sqrt(flat2);
      if (wall < way && h * (1 - wall / way) > standoffMm) return 0;
    }
    const d2 = flat2 + h * h;
    const d = Math.sqrt(d2);
    const ahead = (dx * nx[led]! + dy * ny[led]! - h * nz[led]!) / d;
    return ahead <= 0 ? 0 : (mm2PerM2 * candelaAt(Math.min(1, ahead)) * h) / (d2 * d);
  };
  const oneByOne = (led: number, px: number, py: number): number => {
    const [dx, dy, h] = [px - x[led]!, py - y[led]!, z[led]!];
    const own = ownShare((dx * dx + dy * dy) / (h * h));
    return own === 0 ? 0 : own * fluxLm[led]! * lumenFrom(led, px, py);
  };
  const luxFrom = table === null ? oneByOne : byTable(table);
  const widest = z.reduce((most, height) => Math.max(most, reachHeights * height), 1);
  const shading = Array.from({ length: lights.count }, (_, led) =>
    posts.filter(({ at }) => Math.hypot(at[0] - x[led]!, at[1] - y[led]!) < shadeHeights * z[led]!),
  );
  return {
    scene,
    reachOf,
    luxFrom,
    farLux: farLuxOf(lights, lumenFrom, table === null ? null : wholePerLumen(scene)),
    near: nearbyLeds(lights, widest),
    table,
    shading,
  };
};

/** The same LEDs as if there were no posts. */
export const withoutPosts = (sources: Sources): Sources => ({
  ...sources,
  scene: { ...sources.scene, posts: [] },
  shading: sources.shading.map(() => []),
});

/** Whether any of the posts near an LED stands between it and (px, py). */
const isShaded = ({ scene: { lights }, shading }: Sources, led: number, px: number, py: number): boolean => {
  const posts = shading[led]!;
  for (let post = 0; post < posts.length; post += 1)
    if (meetsPost(lights.x[led]!, lights.y[led]!, px, py, posts[post]!)) return true;
  return false;
};

/** The sum over LEDs that share a table: nothing is called but where posts are near. */
const luxFromTable = (
  sources: Sources,
  leds: Int32Array,
  { lux: byDistance, stepsPerMm2, steps }: LightTable,
  px: number,
  py: number,
): number => {
  const { x, y, fluxLm } = sources.scene.lights;
  const { shading } = sources;
  let lux = sources.farLux(px, py);
  for (let place = 0; place < leds.length; place += 1) {
    const led = leds[place]!;
    const [dx, dy] = [px - x[led]!, py - y[led]!];
    const far = (dx * dx + dy * dy) * stepsPerMm2;
    if (far >= steps || (shading[led]!.length > 0 && isShaded(sources, led, px, py))) continue;
    const step = far | 0;
    const low = byDistance[step]!;
    lux += fluxLm[led]! * (low + (far - step) * (byDistance[step + 1]! - low));
  }
  return lux;
};

/** Illuminance of the wall at one place, straight from all LEDs, posts counted (lx). */
export const luxAt = (sources: Sources, px: number, py: number): number => {
  const leds = sources.near(px, py);
  if (sources.table !== null) return luxFromTable(sources, leds, sources.table, px, py);
  let lux = sources.farLux(px, py);
  for (let place = 0; place < leds.length; place += 1) {
    const led = leds[place]!;
    const own = sources.luxFrom(led, px, py);
    if (own > 0 && !isShaded(sources, led, px, py)) lux += own;
  }
  return lux;
};
