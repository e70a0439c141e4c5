import type { Lettering } from '../../artwork/lettering/index.js';
import {
  bandAlong,
  outlineArea,
  rectRing,
  solidParts,
  subtract,
  unite,
  type Outline,
  type Point,
  type Rect,
  type Ring,
} from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';
import type { Strip } from '../../document/catalogue/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import { bentPath, layAlong, maxLeds, type StripPath } from '../../light/laying/index.js';
import type { LightRuns, Point3, Segment } from '../../light/runs/index.js';
import type { SectionShape } from '../../light/section/index.js';
import type { StripBed } from '../../power/heat/index.js';
import { runsOfLaid } from '../common/runs-of-laid.js';
import { uprightStretches } from '../letters/upright.js';
import type { LayersMaterials } from './materials.js';
import { rimPlayMm, sheetOutline } from './outlines.js';
import type { Scene } from './scene.js';
import type { LayersAssembly, SceneDesign } from './schema.js';

/** Nearer to the rim than this an edge is at it (mm). */
const touchMm = 0.05;
/** Lines end so far from the rim (mm). */
const endsMm = 2;
/** The least piece of a line that strip is laid along (mm). */
const leastMm = 5;

/** Whether strip of a scene lies round the rim of its case. */
export const liesRoundRim = ({ light, scene }: Pick<LayersAssembly, 'light' | 'scene'>): boolean =>
  light.layout === 'rim' && !scene.stripBehind;

/** The share of a straight stretch that lies in a rectangle; null where none does (Y.-D. Liang & B. Barsky, 1984). */
const stretchIn = (
  [x0, y0]: Point,
  [x1, y1]: Point,
  { x, y, width, height }: Rect,
): readonly [number, number] | null => {
  let [from, to] = [0, 1];
  for (const [away, room] of [
    [x0 - x1, x0 - x],
    [x1 - x0, x + width - x0],
    [y0 - y1, y0 - y],
    [y1 - y0, y + height - y0],
  ] as const) {
    if (away === 0) {
      if (room < 0) return null;
    } else if (away < 0) from = Math.max(from, room / away);
    else to = Math.min(to, room / away);
  }
  return from < to ? [from, to] : null;
};

/** What of a ring lies in a rectangle: the ring itself, or open lines. */
export const ringWithin = (ring: Ring, within: Rect): readonly StripPath[] => {
  const inside = ([px, py]: Point): boolean =>
    px > within.x && px < within.x + within.width && py > within.y && py < within.y + within.height;
  if (ring.every(inside)) return [{ points: ring, closed: true }];
  // Begun outside, no line goes on past the end of the list.
  const begin = ring.findIndex((point) => !inside(point));
  const turned = [...ring.slice(begin), ...ring.slice(0, begin + 1)];
  const lines: Point[][] = [];
  let open: Point[] | null = null;
  for (let at = 1; at < turned.length; at += 1) {
    const [from, to] = [turned[at - 1]!, turned[at]!];
    const stretch = stretchIn(from, to, within);
    if (stretch === null) {
      open = null;
      continue;
    }
    const on = (share: number): Point => [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])];
    if (open === null || stretch[0] > 0) lines.push((open = [on(stretch[0])]));
    open.push(on(stretch[1]));
    if (stretch[1] < 1) open = null;
  }
  return lines.map((points) => ({ points, closed: false }));
};

const lengthOf = ({ points }: StripPath): number =>
  points.slice(1).reduce((mm, [x, y], at) => mm + Math.hypot(x - points[at]![0], y - points[at]![1]), 0);

/** Lines inside a sheet along those of its edges that are not at the rim, the middle of the strip `insetMm` in. */
export const linesBehind = (
  outline: Outline,
  { inside }: CaseGeometry,
  insetMm: number,
  bendRadiusMm: number,
): readonly StripPath[] => {
  const around = (offMm: number): Rect => ({
    x: -inside.widthMm / 2 - offMm,
    y: -inside.heightMm / 2 - offMm,
    width: inside.widthMm + 2 * offMm,
    height: inside.heightMm + 2 * offMm,
  });
  // As if the sheet went on past the rim: what follows the rim falls outside of the box, and lines run straight up to it.
  const beyond = subtract([rectRing(around(4 * insetMm))], [rectRing(around(-rimPlayMm - touchMm))]);
  return solidParts(unite([...outline, ...beyond]))
    .flatMap((part) => bentPath(part, insetMm, bendRadiusMm))
    .flatMap((ring) => ringWithin(ring, around(-rimPlayMm - endsMm)))
    .filter((path) => path.closed || lengthOf(path) >= leastMm);
};

/**
 * Strip along the edges of a sheet, hidden behind it: on its rear side, or on the back. Fails where the design names no
 * such sheet, and where no line along its edges is left.
 */
export const runsBehind = (
  { sheets, stripBehind: behind }: SceneDesign,
  light: LayersAssembly['light'],
  geometry: CaseGeometry,
  { strip }: Pick<LayersMaterials, 'strip'>,
  letters: Lettering,
): Result<LightRuns> => {
  if (!behind) throw new Error('no strip behind a sheet is asked for');
  const sheet = sheets.find(({ id }) => id === behind.sheetId);
  if (sheet === undefined)
    return failure({
      path: 'scene.stripBehind.sheetId',
      message: `names “${behind.sheetId}”, and no sheet is called so; choose one of the sheets, or lay the strip in the case`,
    });
  const shaped = sheetOutline(sheet, geometry, letters);
  // What is wrong with its outline is told where the sheet stands.
  const outline = shaped.ok ? shaped.value : [];
  const lines = linesBehind(outline, geometry, behind.setbackMm + strip.widthMm / 2, strip.bendRadiusMm);
  if (shaped.ok && lines.length === 0)
    return failure({
      path: 'scene.stripBehind.setbackMm',
      message: `leaves no line for strip ${strip.widthMm} mm wide behind ${sheet.name}: it is too narrow, or all its edges are at the rim; make it less, choose another sheet, or lay the strip in the case`,
    });
  const ledPitchMm = 1000 / strip.ledsPerM;
  const laid = layAlong(lines, {
    stripWidthMm: strip.widthMm,
    cutPitchMm: strip.cutPitchMm,
    ledPitchMm,
    bendRadiusMm: strip.bendRadiusMm,
    coated: strip.protection !== 'bare',
    modules: strip.form === 'modules',
    keepOff: [],
    startMm: 0,
    moved: new Map(),
    nudged: new Map(),
    leftOut: new Set(),
  }).segments;
  const toBack = behind.looks === 'back';
  const zMm = toBack ? sheet.heightMm - strip.heightMm : strip.heightMm;
  const count = laid.reduce((sum, { leds }) => sum + leds.length, 0);
  if (count > maxLeds)
    return failure({
      path: 'scene.stripBehind.sheetId',
      message: `gives ${count.toLocaleString('en')} LEDs; Vitrum lights up to ${maxLeds.toLocaleString('en')} in one design`,
    });
  const looks: Point3 = [0, 0, toBack ? -1 : 1];
  return success(
    runsOfLaid(
      laid.map((segment) => ({
        segment,
        zMm,
        on: toBack ? ('sheet' as const) : ('back' as const),
        lookOf: () => looks,
      })),
      strip,
      toBack ? zMm : sheet.heightMm - zMm,
      light.cuts ?? [],
    ),
  );
};

/** Strip on the rear side of a sheet, as high as that came to stand on its spacers. */
export const raisedTo = (
  runs: LightRuns,
  { sheets }: Pick<Scene, 'sheets'>,
  { stripBehind: behind }: SceneDesign,
  { heightMm }: Pick<Strip, 'heightMm'>,
): LightRuns => {
  const carrier = behind?.looks === 'back' ? sheets.find(({ sheet }) => sheet.id === behind.sheetId) : undefined;
  if (carrier === undefined) return runs;
  const z = carrier.rearZMm - heightMm;
  const at = ([x, y]: Point3): Point3 => [x, y, z];
  return {
    ...runs,
    segments: runs.segments.map((segment) => ({
      ...segment,
      from: at(segment.from),
      to: at(segment.to),
      path: segment.path.map(at),
    })),
    leds: { ...runs.leds, z: new Float64Array(runs.leds.count).fill(z) },
    throwMm: Math.max(1, z),
  };
};

/** A piece of strip behind a sheet: what it covers, and from which height to which (mm from the back). */
export interface StripBand {
  readonly covers: Outline;
  readonly fromZMm: number;
  readonly toZMm: number;
}

/** Strip behind sheets; none where it lies in the case as in any other. */
export const stripBands = (
  { stripBehind: behind }: Pick<SceneDesign, 'stripBehind'>,
  { segments }: LightRuns,
  { widthMm, heightMm }: Pick<Strip, 'widthMm' | 'heightMm'>,
): readonly StripBand[] =>
  behind
    ? segments.map(({ on, path }: Segment) => {
        const z = path[0]![2];
        return {
          covers: bandAlong([path.map(([x, y]): Point => [x, y])], widthMm, false, { ends: 'flat', corners: 'round' }),
          fromZMm: on === 'sheet' ? z : z - heightMm,
          toZMm: on === 'sheet' ? z + heightMm : z,
        };
      })
    : [];

/** Strip behind a sheet where an upright slice meets it. */
export const stripInSlice = (bands: readonly StripBand[], { name }: Strip, x: number): readonly SectionShape[] =>
  bands.flatMap(({ covers, fromZMm, toZMm }) =>
    uprightStretches(covers, x).map(([low, high]): SectionShape => ({
      role: 'strip',
      material: name,
      ring: rectRing({ x: fromZMm, y: low, width: toZMm - fromZMm, height: high - low }),
    })),
  );

/** What strip on the rear side of a sheet gives its heat to: that sheet, with air on both sides. */
export const bedBehind = (
  bed: StripBed,
  { stripBehind: behind }: SceneDesign,
  { stripMm }: LightRuns,
  { sheets }: Pick<Scene, 'sheets'>,
): StripBed => {
  const carrier = behind?.looks === 'back' ? sheets.find(({ sheet }) => sheet.id === behind.sheetId) : undefined;
  return carrier === undefined || stripMm === 0
    ? bed
    : {
        conductsWmK: carrier.stock.conductsWmK,
        thicknessMm: carrier.stock.thicknessMm,
        openSides: 2,
        pitchMm: outlineArea(carrier.outline) / stripMm,
      };
};
