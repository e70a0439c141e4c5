import { seededRandom } from '../base/maths/index.js';
import { rectRing } from '../base/outlines/index.js';
import { gridOver, smoothMapValue } from '../base/raster/index.js';
import { lightWall, type HaloScene } from '../light/wall/index.js';
import { cosineLaw, ledsAt } from './bench.js';
import type { ValidationCase } from './types.js';

/** An upright stroke of a letter about the middle, with strip along both long sides. */
interface Stroke {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly standoffMm: number;
  /** How far LEDs stand below the backs. */
  readonly belowMm: number;
  readonly looking: 'wall' | 'out';
}

const [setbackMm, pitchMm, fluxLm, reflectance] = [10, 10, 2, 0.8];

const placesOf = ({ widthMm, heightMm, standoffMm, belowMm }: Stroke) =>
  [-1, 1].flatMap((side) =>
    Array.from(
      { length: Math.floor(heightMm / pitchMm) },
      (_, led) =>
        [side * (widthMm / 2 - setbackMm), (led + 0.5) * pitchMm - heightMm / 2, standoffMm - belowMm] as const,
    ),
  );

const sceneOf = (stroke: Stroke): HaloScene => {
  const { widthMm, heightMm, standoffMm, looking } = stroke;
  const lights = ledsAt(placesOf(stroke), cosineLaw(1), fluxLm, [0, 0, -1]);
  return {
    outline: [rectRing({ x: -widthMm / 2, y: -heightMm / 2, width: widthMm, height: heightMm })],
    standoffMm,
    returnMm: 0,
    posts: [],
    lights: looking === 'wall' ? lights : { ...lights, nx: lights.x.map(Math.sign), nz: lights.z.map(() => 0) },
    wallReflectance: reflectance,
    backReflectance: reflectance,
  };
};

type Place = readonly [x: number, y: number];

/** What is seen beside the stroke within a standoff of it. */
const isSeen = ({ widthMm, heightMm, standoffMm }: Stroke, [x, y]: Place): boolean => {
  const [outX, outY] = [Math.abs(x) - widthMm / 2, Math.abs(y) - heightMm / 2];
  return (outX > 0 || outY > 0) && outX < standoffMm && outY < standoffMm;
};

/** Light that falls there by way of the back (lm), photon by photon between wall and back, each with a weight. */
const traced = (stroke: Stroke, photons: number): number => {
  const { widthMm, heightMm, standoffMm, looking } = stroke;
  const random = seededRandom(20);
  const leds = placesOf(stroke);
  const meetsBack = ([x, y]: Place): boolean => Math.abs(x) < widthMm / 2 && Math.abs(y) < heightMm / 2;
  /** A way by the cosine law about an axis: along it, and two aside. */
  const way = (): readonly [number, number, number] => {
    const [radius, turn] = [Math.sqrt(random()), 2 * Math.PI * random()];
    return [Math.sqrt(1 - radius * radius), radius * Math.cos(turn), radius * Math.sin(turn)];
  };
  let seen = 0;
  for (let photon = 0; photon < photons; photon += 1) {
    const [ledX, ledY, ledZ] = leds[photon % leds.length]!;
    const [ahead, aside, other] = way();
    const up = looking === 'wall' ? -ahead : other;
    const [dx, dy] = looking === 'wall' ? [aside, other] : [Math.sign(ledX) * ahead, aside];
    const far = up > 0 ? (standoffMm - ledZ) / up : -ledZ / up;
    let at: Place = [ledX + dx * far, ledY + dy * far];
    let onWall = up <= 0;
    let weight = 1;
    while (weight > 1e-4 && (onWall || meetsBack(at))) {
      const [height, across, along] = way();
      weight *= reflectance;
      at = [at[0] + (standoffMm * across) / height, at[1] + (standoffMm * along) / height];
      onWall = !onWall;
      if (onWall && isSeen(stroke, at)) seen += weight;
    }
  }
  return (seen * leds.length * fluxLm) / photons;
};

/** The same from the map (lm). */
const mapped = (stroke: Stroke, cellMm: number): number => {
  const { widthMm, heightMm, standoffMm } = stroke;
  const margin = 11 * standoffMm;
  const [width, height] = [widthMm + 2 * margin, heightMm + 2 * margin];
  const grid = gridOver(
    { x: -width / 2, y: -height / 2, width, height },
    Math.round(width / cellMm),
    Math.round(height / cellMm),
  );
  const { bouncedLux } = lightWall(sceneOf(stroke), grid);
  let sum = 0;
  // Millimetre by millimetre: the light falls steeply at the rim.
  const [reachX, reachY] = [widthMm / 2 + standoffMm, heightMm / 2 + standoffMm];
  for (let x = 0.5 - reachX; x < reachX; x += 1)
    for (let y = 0.5 - reachY; y < reachY; y += 1)
      if (isSeen(stroke, [x, y])) sum += smoothMapValue(bouncedLux, grid, [x, y]);
  return sum / 1e6;
};

const photons = 400_000;

const bounced = (name: string, stroke: Stroke, cellMm: number): ValidationCase => ({
  group: 'wall',
  name: `bounced light beside a stroke, ${name}, cells of ${cellMm} mm`,
  against: `${photons / 1000}k photons between wall and back, seeded, within a standoff of the stroke`,
  tolerance: 0.02,
  run: () => ({ computed: mapped(stroke, cellMm), expected: traced(stroke, photons) }),
});

const narrow: Stroke = { widthMm: 60, heightMm: 200, standoffMm: 20, belowMm: 2, looking: 'wall' };
const wide: Stroke = { widthMm: 90, heightMm: 200, standoffMm: 40, belowMm: 5, looking: 'out' };

/** What all of one LED’s light within a radius comes to, whichever way it looks (lm). */
const within = (name: string, normal: readonly [number, number, number], heights: number, expected: number) => ({
  group: 'wall' as const,
  name: `light of one LED ${name} on the wall within ${heights} of its heights`,
  against: 'its illuminance integrated over a disc: R²/(1 + R²) facing the wall, (atan R − R/(1 + R²))/π along it',
  tolerance: 0.005,
  run: () => {
    const [heightMm, count] = [18, 301];
    const reach = heights * heightMm;
    const grid = gridOver({ x: -reach, y: -reach, width: 2 * reach, height: 2 * reach }, count, count);
    const { directLux } = lightWall(
      {
        ...sceneOf(narrow),
        outline: [],
        lights: ledsAt([[0, 0, heightMm]], cosineLaw(1), 1, normal),
      },
      grid,
    );
    const middle = (count - 1) / 2;
    const sum = directLux.reduce(
      (all, lux, cell) =>
        Math.hypot((cell % count) - middle, Math.floor(cell / count) - middle) < count / 2 ? all + lux : all,
      0,
    );
    return { computed: (sum * grid.cellWidthMm * grid.cellHeightMm) / 1e6, expected };
  },
});

const facing = (heights: number): number => heights ** 2 / (1 + heights ** 2);
const along = (heights: number): number => (Math.atan(heights) - heights / (1 + heights ** 2)) / Math.PI;

/** Light behind halo letters that is not straight and near: what bounces, and what comes from far off. */
export const haloBounceCases: readonly ValidationCase[] = [
  bounced('LEDs that face the wall', narrow, 6.7),
  bounced('LEDs that face the wall', narrow, 7.7),
  bounced('LEDs that face the wall', { ...narrow, standoffMm: 40 }, 13.3),
  bounced('LEDs that look along it', { ...narrow, belowMm: 5, looking: 'out' }, 5),
  bounced('LEDs that look along it', wide, 13.3),
  within('that faces it', [0, 0, -1], 8, facing(8)),
  within('that faces it', [0, 0, -1], 20, facing(20)),
  within('that looks along it', [1, 0, 0], 8, along(8)),
  within('that looks along it', [1, 0, 0], 25, along(25)),
];
