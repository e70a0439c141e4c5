import type { Brief } from '../../document/design/index.js';
import { outlineBounds, type Point } from '../../base/outlines/index.js';
import { straightOn } from '../../base/raster/index.js';
import {
  daylightOf,
  evennessOfPatches,
  hueDriftOf,
  judge,
  luminanceOf,
  type Evenness,
  type Glow,
  type GridLimits,
} from '../../light/glow/index.js';
import { bandLuminance } from '../../light/line/index.js';
import type { LightShare } from '../../light/runs/index.js';
import { alongLines, type AlongLines } from './along-lines.js';
import { kindLights } from './kind-lights.js';
import { gridOf, paint } from './lines-on-map.js';
import { alike, byKind, ownHues } from './own-hues.js';
import { spillOver } from './spill.js';
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

/** Darker than this share of the mean a patch is without light. */
const unlitShare = 1 / 7;

const darkShareOf = (patches: readonly Patch[], mean: number): number => {
  const total = patches.reduce((sum, { mm }) => sum + mm, 0);
  const dark = patches.reduce((sum, { cdM2, mm }) => sum + (cdM2 < unlitShare * mean ? mm : 0), 0);
  return total > 0 ? dark / total : 0;
};

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
  const spilt = spills.flatMap((each) => (each === null ? [] : [straightOn(each.lux, each.grid, grid)]));
  const perLux = luminanceOf(carrierReflects(carrier, materials)) / Math.PI;
  let carrierCdM2 = 0;
  for (const lux of spilt)
    for (let cell = 0; cell < map.length; cell += 1) {
      if (lux[cell] === 0) continue;
      map[cell]! += lux[cell]! * perLux * (1 - covered[cell]!);
      if (covered[cell] === 0) carrierCdM2 = Math.max(carrierCdM2, map[cell]!);
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
    drift: lights.kinds.length > 1 ? ownHues(grid, line, lights, spilt) : hueDriftOf(runs, share, strip, grid),
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
