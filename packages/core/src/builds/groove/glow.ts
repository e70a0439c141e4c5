import type { Brief } from '../../document/design/index.js';
import { outlineBounds, type Point, type Rect } from '../../base/outlines/index.js';
import { cellMiddle, gridOver, mapValue, type Grid } from '../../base/raster/index.js';
import {
  daylightOf,
  evennessOfPatches,
  hueDriftOf,
  type HueDrift,
  judge,
  luminanceOf,
  type Evenness,
  type Glow,
  type GridLimits,
} from '../../light/glow/index.js';
import { bandLuminance } from '../../light/line/index.js';
import type { LightShare } from '../../light/runs/index.js';
import { alongLines, type AlongLines } from './along-lines.js';
import { kindLights, type KindLights } from './kind-lights.js';
import { carrierReflects } from './carrier-looks.js';
import type { GrooveGeometry } from './geometry.js';
import type { LightOut } from './light-out.js';
import type { GrooveMaterials } from './materials.js';
import type { GrooveRuns } from './runs.js';
import type { GrooveAssembly } from './schema.js';

/** What is seen of lines of light, and where their light goes. */
export interface GrooveGlow extends Glow {
  readonly way: LightOut;
  /** Mean luminance over the rectangle round all lines, dark ground counted: what lights a room and glares (cd/m²). */
  readonly overAllCdM2: number;
  /** Share of the lines that has next to no light: less than a seventh of the mean. */
  readonly darkShare: number;
  /** Out of the grooves (lm). */
  readonly outLm: number;
  /** Mean luminance of each line, in their order (cd/m²), and of the carrier where it is lit most beside them. */
  readonly linesCdM2: readonly number[];
  readonly carrierCdM2: number;
}

/** What the glow of lines is worked out from. */
export interface GrooveGlowInputs {
  readonly brief: Brief;
  readonly carrier: GrooveAssembly['carrier'];
  readonly design: GrooveAssembly['groove'];
  readonly geometry: GrooveGeometry;
  readonly materials: GrooveMaterials;
  readonly runs: GrooveRuns;
  readonly share: LightShare;
  readonly limits: GridLimits;
}

/** Lines are judged in patches of so many pitches, so long at the least (mm). */
const patchPitches = 3;
const patchMm = 30;
/** Light beside a proud line is followed so many times as far as it is high. */
const spillReach = 6;
/** Its raster has so many cells along the longer side at the most. */
const mostSpillCells = 400;
/** So many cells go over the width of a line, for its edges to be seen; no map has more than so many times those of other builds. */
const cellsAcross = 6;
const mostTimes = 3;

const gridOf = ({ width, height, ...corner }: Rect, litMm: number, { longSide, maxCells }: GridLimits): Grid => {
  const wanted = Math.min(Math.max(width, height) / longSide, litMm / cellsAcross);
  const cell = Math.max(wanted, Math.sqrt((width * height) / (mostTimes * maxCells)));
  return gridOver(
    { ...corner, width, height },
    Math.max(4, Math.round(width / cell)),
    Math.max(4, Math.round(height / cell)),
  );
};

/** A patch of a line: its mean luminance, and where. */
interface Patch {
  readonly cdM2: number;
  readonly mm: number;
  readonly at: Point;
}

const patchesOf = (along: AlongLines, luminance: Float64Array, longMm: number): readonly Patch[] => {
  const patches: Patch[] = [];
  let from = 0;
  while (from < along.count) {
    let to = from;
    while (to < along.count && along.line[to] === along.line[from]) to += 1;
    const length = (to - from) * along.stepMm[from]!;
    const count = Math.max(1, Math.round(length / longMm));
    for (let patch = 0; patch < count; patch += 1) {
      const [first, last] = [
        from + Math.round((patch * (to - from)) / count),
        from + Math.round(((patch + 1) * (to - from)) / count),
      ];
      let sum = 0;
      for (let at = first; at < last; at += 1) sum += luminance[at]!;
      const middle = Math.min(along.count - 1, (first + last) >> 1);
      if (last > first)
        patches.push({
          cdM2: sum / (last - first),
          mm: (last - first) * along.stepMm[from]!,
          at: [along.x[middle]!, along.y[middle]!],
        });
    }
    from = to;
  }
  return patches;
};

const evennessOf = (
  patches: readonly Patch[],
  mean: number,
  { brief, runs, geometry }: GrooveGlowInputs,
  { dotContrast }: LightOut,
): Evenness => {
  const sorted = [...patches].sort((a, b) => a.cdM2 - b.cdM2);
  const darkest = sorted[0] ?? { cdM2: 0, at: [0, 0] as Point };
  const brightest = sorted.at(-1) ?? darkest;
  const at = (share: number): number =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]?.cdM2 ?? 0;
  // The eye meets a band as wide as it shines, not a face as large as the carrier.
  const longest = Math.max(1, ...geometry.lines.map(({ lengthMm }) => lengthMm));
  return evennessOfPatches(
    {
      meanCdM2: mean,
      minCdM2: darkest.cdM2,
      maxCdM2: brightest.cdM2,
      lowCdM2: at(0.05),
      highCdM2: at(0.95),
      darkestAt: darkest.at,
      faceMm: Math.sqrt(geometry.groove.litMm * longest),
      fallOffMm: longest,
      pitchMm: runs.ledPitchMm,
      contrast: mean > 0 ? dotContrast : 0,
      dotsAt: brightest.at,
    },
    brief,
  );
};

/** Calls back for every cell of a map within reach of a place, with its index and how far its middle is from there (mm). */
const cellsNear = (
  { columns, rows, area, cellWidthMm, cellHeightMm }: Grid,
  px: number,
  py: number,
  reach: number,
  visit: (cell: number, dx: number, dy: number) => void,
): void => {
  const [left, right] = [
    Math.max(0, Math.floor((px - reach - area.x) / cellWidthMm)),
    Math.min(columns - 1, Math.floor((px + reach - area.x) / cellWidthMm)),
  ];
  const [low, high] = [
    Math.max(0, Math.floor((py - reach - area.y) / cellHeightMm)),
    Math.min(rows - 1, Math.floor((py + reach - area.y) / cellHeightMm)),
  ];
  for (let row = low; row <= high; row += 1)
    for (let column = left; column <= right; column += 1)
      visit(
        row * columns + column,
        area.x + (column + 0.5) * cellWidthMm - px,
        area.y + (row + 0.5) * cellHeightMm - py,
      );
};

/** Lines painted into a map as wide as they shine: what of each cell they cover, and their luminance there. */
const paint = (grid: Grid, along: AlongLines, luminance: Float64Array, litMm: number) => {
  const cells = grid.columns * grid.rows;
  const map = new Float32Array(cells);
  const line = new Int16Array(cells).fill(-1);
  const covered = new Float32Array(cells);
  const nearest = new Float32Array(cells).fill(Infinity);
  const half = litMm / 2;
  const cellMm = Math.max(grid.cellWidthMm, grid.cellHeightMm);
  const stride = strideOf(along, cellMm / 2);
  for (let at = 0; at < along.count; at += stride)
    cellsNear(grid, along.x[at]!, along.y[at]!, half + cellMm, (cell, dx, dy) => {
      const away = Math.sqrt(dx * dx + dy * dy);
      if (away >= nearest[cell]!) return;
      const share = Math.min(1, Math.max(0, (half - away) / cellMm + 0.5), litMm / cellMm);
      if (share <= 0) return;
      nearest[cell] = away;
      covered[cell] = share;
      line[cell] = along.line[at]!;
      // Edges of lines are as bright as what of their cell they cover.
      map[cell] = luminance[at]! * share;
    });
  return { map, covered, line };
};

/** Every so manieth place is enough where they may be so far apart (mm). */
const strideOf = ({ stepMm, count }: AlongLines, apartMm: number): number =>
  count === 0 ? 1 : Math.max(1, Math.floor(apartMm / stepMm[0]!));

/**
 * Light that falls on the carrier beside lines that stand proud of it (lx): each place of a line as an upright band as high as it stands,
 * dE = L/2 · x (1/ρ² − 1/(ρ² + R²)) ds, x from the line and ρ from the place; over a long line π L (1 − cos β) / 2, tan β = R / x. On a
 * raster of its own, as coarse as that light is: nearer to a line than its edge it goes on as at the edge.
 */
const spillOver = (area: Rect, along: AlongLines, luminance: Float64Array, litMm: number, proudMm: number) => {
  const radius = Math.min(proudMm, litMm / 2);
  if (radius <= 0.05) return null;
  const cell = Math.max(radius / 2, Math.max(area.width, area.height) / mostSpillCells);
  const grid = gridOver(area, Math.max(2, Math.ceil(area.width / cell)), Math.max(2, Math.ceil(area.height / cell)));
  const lux = new Float32Array(grid.columns * grid.rows);
  const reach = spillReach * radius + litMm / 2;
  const tangents = tangentsOf(along);
  const stride = strideOf(along, radius / 2);
  for (let at = 0; at < along.count; at += stride) {
    const [ux, uy] = [tangents.x[at]!, tangents.y[at]!];
    const half = (luminance[at]! * along.stepMm[at]! * stride) / 2;
    cellsNear(grid, along.x[at]!, along.y[at]!, reach, (cell, dx, dy) => {
      const aside = Math.max(litMm / 2, Math.abs(dx * uy - dy * ux));
      const forward = dx * ux + dy * uy;
      const away2 = forward * forward + aside * aside;
      lux[cell]! += half * aside * (1 / away2 - 1 / (away2 + radius * radius));
    });
  }
  return { grid, lux };
};

/** The way along the line at every place. */
const tangentsOf = ({ count, x, y, line }: AlongLines) => {
  const [tx, ty] = [new Float64Array(count), new Float64Array(count)];
  for (let at = 0; at < count; at += 1) {
    const from = at > 0 && line[at - 1] === line[at] ? at - 1 : at;
    const to = at < count - 1 && line[at + 1] === line[at] ? at + 1 : at;
    const length = Math.hypot(x[to]! - x[from]!, y[to]! - y[from]!) || 1;
    [tx[at], ty[at]] = [(x[to]! - x[from]!) / length, (y[to]! - y[from]!) / length];
  }
  return { x: tx, y: ty };
};

/** Darker than this share of the mean a patch is without light. */
const unlitShare = 1 / 7;

const darkShareOf = (patches: readonly Patch[], mean: number): number => {
  const total = patches.reduce((sum, { mm }) => sum + mm, 0);
  const dark = patches.reduce((sum, { cdM2, mm }) => sum + (cdM2 < unlitShare * mean ? mm : 0), 0);
  return total > 0 ? dark / total : 0;
};

/** Lines of unlike light are each as even as they are by themselves: brought to one mean before they are judged together. */
const alike = (
  luminance: Float64Array,
  { line }: AlongLines,
  { kinds, ofLine }: KindLights,
  linesCdM2: readonly number[],
  lengths: readonly number[],
  mean: number,
): Float64Array => {
  if (kinds.length === 1) return luminance;
  const [sums, totals] = [kinds.map(() => 0), kinds.map(() => 0)];
  ofLine.forEach((kind, at) => {
    sums[kind]! += linesCdM2[at]! * lengths[at]!;
    totals[kind]! += lengths[at]!;
  });
  const factors = sums.map((sum, kind) => (sum > 0 ? (mean * totals[kind]!) / sum : 1));
  return luminance.map((value, at) => value * factors[ofLine[line[at]!]!]!);
};

/** Luminance of lines of each light by itself: zero on the others. */
const byKind = (
  luminance: Float64Array,
  { line }: AlongLines,
  { kinds, ofLine }: KindLights,
): readonly Float64Array[] =>
  kinds.length === 1
    ? [luminance]
    : kinds.map((_, kind) => luminance.map((value, at) => (ofLine[line[at]!] === kind ? value : 0)));

/**
 * Hues of lines of several lights, cell by cell, against the hue of the first: a line has its own, and beside lines what falls there of
 * each is mixed.
 */
const ownHues = (
  grid: Grid,
  line: Int16Array,
  { kinds, ofLine }: KindLights,
  luxOf: (kind: number, cell: number) => number,
): HueDrift => {
  const { columns, rows } = grid;
  const base = kinds[0]!.hue;
  const factors = new Float32Array(3 * columns * rows);
  for (let cell = 0; cell < columns * rows; cell += 1) {
    const shown = line[cell]!;
    const shares = shown >= 0 ? [] : kinds.map((_, kind) => luxOf(kind, cell));
    const total = shares.reduce((sum, each) => sum + each, 0);
    for (let part = 0; part < 3; part += 1) {
      const own =
        shown >= 0
          ? kinds[ofLine[shown]!]!.hue[part]!
          : total > 0
            ? shares.reduce((sum, each, kind) => sum + each * kinds[kind]!.hue[part]!, 0) / total
            : base[part]!;
      factors[3 * cell + part] = own / Math.max(leastHue, base[part]!);
    }
  }
  return { columns, rows, factors };
};

/** No channel of the first hue counts as less than this, for others are told against it. */
const leastHue = 1e-3;

/** Luminance of lines so long, spread over the rectangle round them. */
const overAll = ({ lines, groove }: GrooveGeometry, totalMm: number, meanCdM2: number): number => {
  const round = outlineBounds(lines.map(({ points }) => points));
  if (round === null) return 0;
  const area = (round.width + groove.litMm) * (round.height + groove.litMm);
  return (meanCdM2 * Math.min(area, totalMm * groove.litMm)) / area;
};

/** The glow stage of strip in grooves: luminance along every line, what of it falls on the carrier, and what the eye makes of it. */
export const grooveGlowOf = (inputs: GrooveGlowInputs): GrooveGlow => {
  const { brief, carrier, design, geometry, materials, runs, share, limits } = inputs;
  const { groove, bounds } = geometry;
  const { strip } = materials;
  const lights = kindLights(brief, { carrier, groove: design }, geometry, materials, runs);
  const { hue, light } = lights.kinds[0]!;
  const ofSegment = lights.ofSegment.map((kind) => lights.kinds[kind]!.light);
  const used = [...new Set(lights.ofLine)].map((kind) => lights.kinds[kind]!.light.way);
  // Dots are told where they show most.
  const way = used.reduce((worst, each) => (each.dotContrast > worst.dotContrast ? each : worst), used[0] ?? light.way);
  const along = alongLines(geometry, runs, ofSegment, share);
  const luminance = along.lmPerMm.map((lm) => bandLuminance(lm, groove.litMm, groove.cover));
  const [sums, lengths] = [geometry.lines.map(() => 0), geometry.lines.map(() => 0)];
  for (let at = 0; at < along.count; at += 1) {
    sums[along.line[at]!]! += luminance[at]! * along.stepMm[at]!;
    lengths[along.line[at]!]! += along.stepMm[at]!;
  }
  const linesCdM2 = sums.map((sum, line) => (lengths[line]! > 0 ? sum / lengths[line]! : 0));
  const totalMm = lengths.reduce((sum, each) => sum + each, 0);
  const mean = totalMm > 0 ? sums.reduce((sum, each) => sum + each, 0) / totalMm : 0;
  const patches = patchesOf(
    along,
    alike(luminance, along, lights, linesCdM2, lengths, mean),
    Math.max(patchMm, patchPitches * runs.ledPitchMm),
  );
  const evenness = evennessOf(patches, mean, inputs, way);
  const grid = gridOf(bounds, groove.litMm, limits);
  const { map, covered, line } = paint(grid, along, luminance, groove.litMm);
  const spills = byKind(luminance, along, lights).map((own) =>
    spillOver(bounds, along, own, groove.litMm, groove.proudMm),
  );
  const luxOf = (kind: number, cell: number): number => {
    const spill = spills[kind];
    return spill ? mapValue(spill.lux, spill.grid, cellMiddle(grid, cell)) : 0;
  };
  const reflects = luminanceOf(carrierReflects(carrier, materials));
  let carrierCdM2 = 0;
  for (let cell = 0; spills[0] !== null && cell < map.length; cell += 1) {
    const lux = spills.reduce((sum, _, kind) => sum + luxOf(kind, cell), 0);
    const spilt = (lux * reflects) / Math.PI;
    map[cell]! += spilt * (1 - covered[cell]!);
    if (covered[cell] === 0) carrierCdM2 = Math.max(carrierCdM2, spilt);
  }
  let [emittedLm, outLm] = [0, 0];
  share.fluxShare.forEach((each, led) => {
    const own = ofSegment[runs.leds.segment[led]!]!;
    emittedLm += each * own.lmPerLed;
    outLm += each * own.lmPerLed * own.way.out;
  });
  const daylight = daylightOf(evenness.meanCdM2, way.unlitReflects);
  return {
    grid,
    luminance: map,
    letters: covered,
    hue,
    drift: lights.kinds.length > 1 ? ownHues(grid, line, lights, luxOf) : hueDriftOf(runs, share, strip, grid),
    evenness,
    verdict: judge(evenness, daylight, brief),
    spots: [],
    daylight,
    faceReflectance: way.unlitReflects,
    unlitRgb: [way.unlitReflects, way.unlitReflects, way.unlitReflects],
    emittedLm,
    resolved: true,
    way,
    darkShare: darkShareOf(patches, mean),
    overAllCdM2: overAll(geometry, totalMm, mean),
    outLm,
    linesCdM2,
    carrierCdM2,
  };
};
