import type { WallMaterials } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import type { LettersGeometry } from '../geometry/index.js';
import {
  hueDriftOf,
  colourOf,
  daylightOf,
  luminanceOf,
  strongestRipple,
  thresholdFrom,
  throughTint,
  vanishingDistance,
  type Evenness,
  type Glow,
  type GridLimits,
  type LineRipple,
  type SeenRipple,
} from '../glow/index.js';
import type { LetterRuns, LightShare } from '../runs/index.js';
import {
  measureLine,
  outlineBounds,
  ringLength,
  type Outline,
  type Point,
  type Rect,
} from '../../base/outlines/index.js';
import type { Distribution } from '../photometry/index.js';
import { gridOver, mapValue, smoothMapValue, type Grid } from '../../base/raster/index.js';
import { edgeGlow, postShadows, type EdgeReport, type PostShadow } from './edge.js';
import { leaksOf, type Leaks } from './leaks.js';
import { letterLights, type Looking } from './lights.js';
import { luxAt, sourcesOf, withoutPosts, type Sources } from './sources.js';
import { alongRings, type AlongRings } from './along-rings.js';
import type { HaloScene, StandingPost, WallLight } from './types.js';
import { judgeHalo } from './verdict.js';
import { lightWall } from './wall-light.js';

/** What is seen of the wall behind halo letters. */
export interface HaloGlow extends Glow {
  /** How far out from the edge the glow falls to half and to a tenth, medians along the outline (mm). */
  readonly halfMm: number;
  readonly tenthMm: number;
  /** Mean luminance of the wall where it has at least half of what it has at the edge (cd/m²). */
  readonly overHalfCdM2: number;
  /** Where posts darken the edge. */
  readonly shadows: readonly PostShadow[];
  readonly leaks: Leaks;
  /** Light on the wall, what bounces counted each time it falls, and on what is seen of it (lm). */
  readonly onWallLm: number;
  readonly seenLm: number;
  /** What leaves into the room: of the seen wall’s light the share that it gives back. */
  readonly outLm: number;
  /** Share of the light on the wall that came by way of the letters’ backs. */
  readonly bouncedShare: number;
}

/** What the glow of halo letters is worked out from. */
export interface HaloGlowInputs {
  readonly brief: Brief;
  readonly outline: Outline;
  readonly geometry: LettersGeometry;
  readonly materials: WallMaterials;
  readonly runs: LetterRuns;
  /** What the circuit lets its LEDs give. */
  readonly share: LightShare;
  readonly distribution: Distribution;
  readonly posts: readonly StandingPost[];
  readonly looking: Looking;
  readonly setbackMm: number;
  readonly limits: GridLimits;
}

/** The wall is lit this many LED heights beyond the letters, where the glow is below a thousandth of its edge. */
const marginHeights = 11;
const leastMarginMm = 60;
/** Cells wanted over the LEDs’ height above the wall. */
const cellsPerHeight = 3;
/** Places along the outline at which the edge is looked at: so many over the LEDs’ height, and no more in all. */
const placesPerHeight = 6;
const mostPlaces = 1800;
/** Widths are looked for at so many places, in steps of this share of the LEDs’ height. */
const widthPlaces = 90;
const widthStep = 0.15;
/** A glow wider than so many LED heights is that of several letters together. */
const widestHeights = 7;
/** The eye takes the edge together over about the width of the glow, so many LED heights: sharp tips need not shine. */
const poolHeights = 2.5;

const wallGrid = (outline: Outline, heightMm: number, { maxCells }: GridLimits): Grid => {
  const bounds = outlineBounds(outline) ?? { x: -50, y: -50, width: 100, height: 100 };
  const margin = Math.max(leastMarginMm, marginHeights * heightMm);
  const area: Rect = {
    x: bounds.x - margin,
    y: bounds.y - margin,
    width: bounds.width + 2 * margin,
    height: bounds.height + 2 * margin,
  };
  const cell = Math.max(heightMm / cellsPerHeight, Math.sqrt((area.width * area.height) / maxCells));
  return gridOver(area, Math.max(8, Math.round(area.width / cell)), Math.max(8, Math.round(area.height / cell)));
};

const shareOf = (values: readonly number[], share: number): number =>
  values.length === 0 ? 0 : [...values].sort((a, b) => a - b)[Math.round(share * (values.length - 1))]!;

/** The edge as the eye judges it: slow changes along it, and the scallops that LEDs make. */
const evennessAlong = (
  along: AlongRings,
  report: EdgeReport,
  scallop: LineRipple,
  cdPerLux: number,
  pitchMm: number,
  brief: Brief,
  faceMm: number,
): Evenness => {
  const { smooth, atTip, lit } = along;
  const slow = smooth.map((lux) => lux * cdPerLux);
  const all = [...slow.keys()];
  const beside = lit.some(Boolean) ? all.filter((at) => lit[at]) : all;
  const litSlow = beside.map((at) => slow[at]!);
  const mean = litSlow.reduce((sum, value) => sum + value, 0) / Math.max(1, litSlow.length);
  const open = beside.filter((at) => !atTip[at]);
  const counted = open.length > 0 ? open : beside;
  const darkest = counted.reduce((at, index) => (slow[index]! < slow[at]! ? index : at), counted[0] ?? 0);
  const [min, max] = [slow[darkest] ?? 0, litSlow.reduce((most, value) => Math.max(most, value), 0)];
  const seen = (ofPitch: number): SeenRipple => ({ pitchMm: ofPitch, luminance: mean, faceMm });
  const dots = {
    pitchMm,
    contrast: scallop.contrast,
    threshold: thresholdFrom(seen(pitchMm), brief.readingDistanceMm),
    vanishesAtMm: vanishingDistance(seen(pitchMm), scallop.contrast),
    at: scallop.at,
  };
  const high = shareOf(litSlow, 0.95);
  return {
    meanCdM2: mean,
    minCdM2: min,
    maxCdM2: max,
    minOverMean: mean > 0 ? min / mean : 0,
    minOverMax: max > 0 ? min / max : 0,
    lowCdM2: shareOf(litSlow, 0.05),
    highCdM2: high,
    darkestAt: report.places[darkest]?.at ?? [0, 0],
    fallOff: {
      contrast: high + min > 0 ? (high - min) / (high + min) : 0,
      threshold: thresholdFrom(seen(faceMm), brief.readingDistanceMm),
    },
    dots,
    bands: null,
    dotContrast: scallop.contrast,
    dotsVanishAtMm: dots.vanishesAtMm,
  };
};

/** Farther from the mean than this is worth a mark, on an edge that changes more than a face. */
const hotOver = 1.5;
const darkUnder = 0.6;

/** The brightest and the darkest place of each quarter of the sign that stand out along the edge. */
const spotsAlong = (report: EdgeReport, { smooth, atTip, lit }: AlongRings, cdPerLux: number): Glow['spots'] => {
  const mean = smooth.reduce((sum, lux) => sum + lux, 0) / Math.max(1, smooth.length);
  const best = new Map<string, number>();
  report.places.forEach(({ at: [x, y] }, index) => {
    const quarter = `${x < 0 ? 'l' : 'r'}${y < 0 ? 'b' : 't'}`;
    const value = smooth[index]!;
    for (const [kind, stands, over] of [
      ['hot', value > hotOver * mean, 1],
      ['dark', value < darkUnder * mean && !atTip[index] && lit[index], -1],
    ] as const) {
      const key = `${kind}${quarter}`;
      const known = best.get(key);
      if (stands && (known === undefined || over * (value - smooth[known]!) > 0)) best.set(key, index);
    }
  });
  return [...best].map(([key, index]) => {
    const kind = key.startsWith('hot') ? ('hot' as const) : ('dark' as const);
    const value = smooth[index]!;
    return {
      kind,
      at: report.places[index]!.at,
      cdM2: value * cdPerLux,
      overMean: value / mean,
      nearest: [],
      wall: null,
      why:
        kind === 'hot'
          ? 'strip on both sides of the edge, or closer to it, adds up here'
          : 'strip stops short of the edge here, or turns away from it',
    };
  });
};

/** The letters as what is lit and what lights. */
const sceneOf = (
  { outline, geometry, materials, runs, share, distribution, looking, posts }: HaloGlowInputs,
  lumensPerM: number,
): HaloScene => ({
  outline,
  standoffMm: geometry.standoffMm,
  returnMm: geometry.returnMm,
  posts,
  lights: letterLights(runs, lumensPerM / materials.strip.ledsPerM, share.fluxShare, distribution, looking),
  wallReflectance: luminanceOf(materials.wall.reflectanceRgb),
  backReflectance: materials.backFinish.reflectance,
});

/** The edge looked at all round: what light it gets, where posts darken it, what ripples along it. */
const edgeOf = ({ outline, geometry, runs, posts }: HaloGlowInputs, sources: Sources, wall: WallLight, grid: Grid) => {
  const free = withoutPosts(sources);
  const bouncedAt = (at: Point): number => smoothMapValue(wall.bouncedLux, grid, at);
  const roundMm = outline.reduce((sum, ring) => sum + ringLength(ring), 0);
  const stepMm = Math.max(geometry.ledZMm / placesPerHeight, 1, roundMm / mostPlaces);
  const every = Math.max(1, Math.round(roundMm / stepMm / widthPlaces));
  const probe = {
    luxAt: (at: Point): number => luxAt(sources, at[0], at[1]) + bouncedAt(at),
    roughlyAt: (at: Point): number => mapValue(wall.directLux, grid, at) + bouncedAt(at),
    stepMm: Math.max(1, widthStep * geometry.ledZMm),
    within: grid.area,
    mostMm: widestHeights * geometry.ledZMm,
    ends: (at: Point) => mapValue(wall.hidden, grid, at) > 0.9,
  };
  const report = edgeGlow(probe, outline, stepMm, every);
  const withoutThem = { ...probe, luxAt: (at: Point) => luxAt(free, at[0], at[1]) + bouncedAt(at) };
  const shadows = posts.every(({ stands }) => stands !== 'in-the-light')
    ? []
    : postShadows(report, edgeGlow(withoutThem, outline, stepMm, Number.MAX_SAFE_INTEGER));
  const scallop = strongestRipple(
    outline.map((ring) => ({ line: measureLine(ring, true), closed: true })),
    {
      pitchMm: runs.ledPitchMm,
      // Shadows of posts are told apart from what repeats with the LEDs.
      directAt: (at) => luxAt(free, at[0], at[1]),
      allAt: probe.luxAt,
    },
  );
  const along = alongRings(report.places, Math.max(runs.ledPitchMm, poolHeights * geometry.ledZMm), {
    laid: runs.segments.map(({ path }) => path.map(([x, y]): Point => [x, y])),
    leftOut: runs.leftOut,
  });
  return { report, shadows, scallop, along };
};

/** The wall’s luminance as a map, and its light added up: seen, behind the letters, bounced, and where it is bright. */
const groundOf = ({ directLux, bouncedLux, hidden }: WallLight, grid: Grid, cdPerLux: number, halfLux: number) => {
  const luminance = new Float32Array(directLux.length);
  const cellM2 = (grid.cellWidthMm * grid.cellHeightMm) / 1e6;
  let [seen, behind, hiddenCells, bounced, overHalf, halfCells] = [0, 0, 0, 0, 0, 0];
  for (let cell = 0; cell < luminance.length; cell += 1) {
    const lux = directLux[cell]! + bouncedLux[cell]!;
    const open = 1 - hidden[cell]!;
    luminance[cell] = lux * cdPerLux;
    seen += lux * open;
    behind += lux * hidden[cell]!;
    hiddenCells += hidden[cell]!;
    if (lux >= halfLux) {
      overHalf += lux * open;
      halfCells += open;
    }
    bounced += bouncedLux[cell]!;
  }
  return {
    luminance,
    seenLm: seen * cellM2,
    bouncedLm: bounced * cellM2,
    behindLux: hiddenCells > 0 ? behind / hiddenCells : 0,
    overHalfCdM2: halfCells > 0 ? (overHalf / halfCells) * cdPerLux : 0,
  };
};

/**
 * The glow stage of halo letters: luminance of the wall toward a viewer on the normal, as a map, and the edge along the
 * outline to the last digit: every LED’s light summed at each place of it, what bounces taken from the map.
 */
export const haloGlowOf = (inputs: HaloGlowInputs): HaloGlow => {
  const { brief, outline, geometry, materials, runs, share, limits } = inputs;
  const wallRgb = materials.wall.reflectanceRgb;
  const colour = colourOf(brief.light, materials.strip);
  const scene = sceneOf(inputs, colour.lumensPerM);
  const grid = wallGrid(outline, geometry.ledZMm, limits);
  const sources = sourcesOf(scene);
  const wall = lightWall(scene, grid, sources);
  const { report, shadows, scallop, along } = edgeOf(inputs, sources, wall, grid);
  const tinted = throughTint(colour.hue, wallRgb);
  const cdPerLux = tinted.luminanceShare / Math.PI;
  const faceMm = Math.sqrt(grid.area.width * grid.area.height);
  const evenness = evennessAlong(along, report, scallop, cdPerLux, runs.ledPitchMm, brief, faceMm);
  const ground = groundOf(wall, grid, cdPerLux, evenness.meanCdM2 / cdPerLux / 2);
  const faceReflectance = luminanceOf(wallRgb);
  const daylight = daylightOf(evenness.meanCdM2, faceReflectance);
  return {
    grid,
    luminance: ground.luminance,
    letters: wall.hidden,
    hue: tinted.hue,
    drift: hueDriftOf(runs, share, materials.strip, grid),
    evenness,
    verdict: judgeHalo(evenness, report, daylight, brief),
    spots: spotsAlong(report, along, cdPerLux),
    daylight,
    faceReflectance,
    unlitRgb: wallRgb,
    emittedLm: wall.emittedLm,
    resolved: true,
    halfMm: report.halfMm,
    tenthMm: report.tenthMm,
    overHalfCdM2: ground.overHalfCdM2,
    shadows,
    leaks: leaksOf({
      geometry,
      passesPerMm: materials.board.passesPerMm ?? 0,
      lumensPerM: colour.lumensPerM,
      fromReturnMm: Math.max(0.5, inputs.setbackMm - geometry.wallMm),
      onBacksLux: ground.behindLux * faceReflectance,
    }),
    onWallLm: wall.onWallLm,
    seenLm: ground.seenLm,
    outLm: ground.seenLm * faceReflectance,
    bouncedShare: wall.onWallLm > 0 ? ground.bouncedLm / wall.onWallLm : 0,
  };
};
