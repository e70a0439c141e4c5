import { coverage, distanceToOutline, subtract, type Outline, type Rect } from '../../base/outlines/index.js';
import { cellMiddle, gridOver, straightOn, type Grid } from '../../base/raster/index.js';
import type { Brief } from '../../document/design/index.js';
import {
  colourOf,
  daylightOf,
  emittersOf,
  evennessOfPatches,
  hueDriftOf,
  judge,
  throughTint,
  type FluxBalance,
  type Glow,
  type GridLimits,
} from '../../light/glow/index.js';
import { pitchLeft } from '../../light/line/index.js';
import type { FaceStack } from '../../light/optics/index.js';
import type { Distribution } from '../../light/photometry/index.js';
import type { LightRuns, LightShare } from '../../light/runs/index.js';
import { lightStack, wallGlow, type CutRoom, type EdgeViews, type StackRoom } from '../../light/stack/index.js';
import { bandRipple, blurAlong } from './band-light.js';
import type { StackedGeometry } from './geometry.js';
import type { StackedMaterials } from './materials.js';

/** A ring that glows at its edge. */
export interface GlowingBand {
  /** Its place in the design’s list of rings. */
  readonly index: number;
  readonly meanCdM2: number;
  readonly minCdM2: number;
  readonly maxCdM2: number;
  /** Contrast of the LED pitch along it. */
  readonly ripple: number;
  readonly darkestAt: readonly [number, number];
  readonly brightestAt: readonly [number, number];
  readonly outLm: number;
}

/** What is seen of a stack, and where its light goes. */
export interface StackedGlow extends Glow {
  readonly balance: FluxBalance;
  readonly bands: readonly GlowingBand[];
  /** Share of the letters’ area that has less than half of their mean. */
  readonly dimShare: number;
  /** Mean luminance of the letters (cd/m²); 0 where there are none. */
  readonly lettersCdM2: number;
  /** The brightest place on the wall round it (cd/m²). */
  readonly wallCdM2: number;
  readonly indirectShare: number;
}

/** What the glow of a stack is worked out from. */
export interface StackedGlowInputs {
  readonly brief: Brief;
  readonly room: StackRoom;
  readonly cut: CutRoom;
  readonly views: EdgeViews;
  readonly geometry: StackedGeometry;
  readonly materials: StackedMaterials;
  readonly face: FaceStack;
  readonly letters: Outline;
  readonly distribution: Distribution;
  readonly runs: LightRuns;
  readonly share: LightShare;
  readonly limits: GridLimits;
}

/** A wall gives back about so much; the picture’s wall is of this colour. */
const wallReflects = 0.6;
/** What is shown round a stack whose edge glows, and round one whose does not (mm). */
const roundGlowMm = 110;
const roundDarkMm = 16;
/** Less contrast than this at the pitch of the LEDs is lost in the matt edge of a band (Michelson; typical). */
const forgiven = 0.005;
/** Darker than this share of the mean, letters are dim. */
const dim = 0.5;

/** What of the wall is shown with a stack. */
export const shownRect = ({ bounds, rings }: Pick<StackedGeometry, 'bounds' | 'rings'>): Rect => {
  const aroundMm = rings.some((ring) => ring.glows) ? roundGlowMm : roundDarkMm;
  return {
    x: bounds.x - aroundMm,
    y: bounds.y - aroundMm,
    width: bounds.width + 2 * aroundMm,
    height: bounds.height + 2 * aroundMm,
  };
};

const gridFor = (area: Rect, { maxCells }: GridLimits): Grid => {
  const cell = Math.sqrt((area.width * area.height) / maxCells);
  return gridOver(area, Math.max(8, Math.round(area.width / cell)), Math.max(8, Math.round(area.height / cell)));
};

/** Luminances from the dimmest up, and the place of each. */
const sortedCells = (map: Float32Array, share: Float32Array): readonly number[] => {
  const cells: number[] = [];
  for (let cell = 0; cell < map.length; cell += 1) if (share[cell]! > 0.5) cells.push(cell);
  return cells.sort((a, b) => map[a]! - map[b]!);
};

/** The glow stage of stacked plates: letters in the lid, bands at the edge, and what they throw on the wall. */
export const stackedGlowOf = (inputs: StackedGlowInputs): StackedGlow => {
  const { brief, room, cut, geometry, materials, face, letters, distribution, runs, share, limits } = inputs;
  const colour = colourOf(brief.light, materials.strip);
  const tinted = throughTint(colour.hue, face.tint);
  const perLed = colour.lumensPerM / materials.strip.ledsPerM;
  const lights = emittersOf(runs, perLed, share.fluxShare, distribution, runs.leds.count > mostSingle);
  const glowing = geometry.rings.filter((ring) => ring.glows);
  const area = shownRect(geometry);
  const grid = gridFor(area, limits);
  const lit = lightStack({ room, lights, grid }, cut);
  const lettered = coverage(letters, grid.area, grid.columns, grid.rows);
  const lidCovers = coverage(subtract(geometry.outline, letters), grid.area, grid.columns, grid.rows);
  const even = (tinted.luminanceShare * room.inlay.passes) / Math.PI;
  const luminance = lit.lidLux.map((lux) => lux * even);

  const bands = glowing.map((ring): { readonly band: GlowingBand; readonly cdM2: Float64Array } => {
    const passes = room.bands[ring.index]!.passes;
    const cdM2 = blurAlong(
      lit.places,
      lit.bandLux[ring.index]!.map((lux) => (lux * passes) / Math.PI),
      geometry.wallMm,
    );
    const sorted = Array.from(cdM2.keys()).sort((a, b) => cdM2[a]! - cdM2[b]!);
    const [darkest, brightest] = [sorted[Math.floor(0.02 * sorted.length)] ?? 0, sorted.at(-1) ?? 0];
    const placeOf = (at: number) => [lit.places[at]!.x, lit.places[at]!.y] as const;
    return {
      cdM2,
      band: {
        index: ring.index,
        meanCdM2: cdM2.reduce((sum, each) => sum + each, 0) / Math.max(1, cdM2.length),
        minCdM2: cdM2[darkest] ?? 0,
        maxCdM2: cdM2[brightest] ?? 0,
        ripple: bandRipple(lit.places, cdM2, runs.ledPitchMm),
        darkestAt: placeOf(darkest),
        brightestAt: placeOf(brightest),
        outLm: lit.balance.bandLm[ring.index]!,
      },
    };
  });
  const wall = wallGlow(
    inputs.views,
    bands.map(({ cdM2 }) => ({ places: lit.places, cdM2 })),
  );
  const onWall = straightOn(wall.lux, wall.grid, grid);
  const outside = coverage(geometry.outline, grid.area, grid.columns, grid.rows);
  let wallCdM2 = 0;
  for (let cell = 0; cell < luminance.length; cell += 1) {
    const cdM2 = (onWall[cell]! * wallReflects) / Math.PI;
    if (outside[cell]! < 0.5) wallCdM2 = Math.max(wallCdM2, cdM2);
    luminance[cell] = luminance[cell]! * Math.min(1, lettered[cell]!) + cdM2 * (1 - outside[cell]!);
  }

  // Letters are judged; a stack without any is judged by its bands.
  const cells = sortedCells(lit.lidLux, lettered);
  const values = cells.map((cell) => lit.lidLux[cell]! * even);
  const lettersCdM2 = values.reduce((sum, each) => sum + each, 0) / Math.max(1, values.length);
  const [band] = [...bands].sort((a, b) => b.band.ripple - a.band.ripple).map((each) => each.band);
  const judged = values.length > 0 ? values : bands.flatMap(({ cdM2 }) => [...cdM2].sort((a, b) => a - b));
  const mean = values.length > 0 ? lettersCdM2 : (band?.meanCdM2 ?? 0);
  const quantile = (part: number): number => judged[Math.min(judged.length - 1, Math.floor(part * judged.length))] ?? 0;
  const ripple = Math.max(band?.ripple ?? 0, rippleOnLetters(inputs));
  const dots = ripple < forgiven ? 0 : ripple;
  const dimmest = cells[Math.floor(0.01 * cells.length)];
  const evenness = evennessOfPatches(
    {
      meanCdM2: mean,
      minCdM2: quantile(0.01),
      maxCdM2: judged.at(-1) ?? 0,
      lowCdM2: quantile(0.05),
      highCdM2: quantile(0.95),
      darkestAt: dimmest === undefined ? (band?.darkestAt ?? [0, 0]) : cellMiddle(grid, dimmest),
      faceMm: Math.sqrt(geometry.bounds.width * geometry.bounds.height),
      fallOffMm: Math.max(geometry.bounds.width, geometry.bounds.height),
      pitchMm: runs.ledPitchMm,
      contrast: Math.min(1, dots),
      dotsAt: band?.brightestAt ?? [0, 0],
    },
    brief,
  );
  const reflects = Math.min(0.9, 0.04 + face.outerReflectance);
  const daylight = daylightOf(evenness.meanCdM2, reflects);
  const { emittedLm, lidLm, bandLm, absorbedLm } = lit.balance;
  return {
    grid,
    luminance,
    letters: lidCovers,
    hue: tinted.hue,
    drift: hueDriftOf(runs, share, materials.strip, grid),
    evenness,
    verdict: judge(evenness, daylight, brief),
    spots: [],
    daylight,
    faceReflectance: reflects,
    unlitRgb: [wallReflects, wallReflects, wallReflects],
    emittedLm,
    resolved: true,
    balance: {
      emittedLm,
      outLm: lidLm + bandLm.reduce((sum, lm) => sum + lm, 0),
      absorbedFaceLm: 0,
      absorbedCaseLm: absorbedLm,
    },
    bands: bands.map((each) => each.band),
    dimShare: values.length === 0 ? 0 : values.filter((each) => each < dim * lettersCdM2).length / values.length,
    lettersCdM2,
    wallCdM2,
    indirectShare: lit.indirectShare,
  };
};

/** More LEDs than this are taken together where they stand close. */
const mostSingle = 160;

/** LEDs beside letters ripple on their edges: by the nearest of them, and what the room evens. */
const rippleOnLetters = ({ runs, letters, geometry }: StackedGlowInputs): number => {
  const { leds } = runs;
  if (letters.length === 0 || leds.count === 0) return 0;
  let nearest = Infinity;
  for (let led = 0; led < leds.count; led += Math.max(1, Math.floor(leds.count / 60))) {
    const flat = distanceToOutline([leds.x[led]!, leds.y[led]!], letters);
    nearest = Math.min(nearest, Math.hypot(flat, geometry.roomMm - leds.z[led]!));
  }
  return Math.min(1, pitchLeft(runs.ledPitchMm, nearest));
};
