import type { LetterAssembly } from './results.js';
import { fieldsOf, pathOf } from '../../document/design/index.js';
import type { Strip } from '../../document/catalogue/index.js';
import type { LetterLight } from './schema.js';
import type { Post } from '../../light/wall/index.js';
import {
  bareParts,
  bentPath,
  layAlong,
  maxLeds,
  outlinePaths,
  rowPaths,
  segmentOfLaid,
  withCuts,
  type LaidSegment,
  type StripPath,
} from '../../light/laying/index.js';
import type { LetterRuns, Segment } from '../../light/runs/index.js';
import { medialAxis, wideStrokes, type MedialLine } from '../../base/medial/index.js';
import { byShape, outlineByShape, solidParts, type Outline } from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';

const own = fieldsOf<LetterAssembly>();

/** Strip keeps this far off a post (mm), besides its own half width. */
const postClearMm = 2;

const movedLines = (lines: readonly MedialLine[], dx: number, dy: number): readonly MedialLine[] =>
  lines.map((line) => ({ ...line, points: line.points.map(([x, y]) => [x + dx, y + dy]) }));

/** How much of the strip is seen from the wall or the face: its width, or its height when it stands on its side. */
const shownMmOf = (light: LetterLight, strip: Strip): number =>
  light.standing === true ? strip.heightMm : strip.widthMm;

/** The lines that strip is to follow in letters; those of letters that only moved are memoized. */
export const letterPaths = () => {
  const bent = outlineByShape(bentPath);
  // Whatever strip lies there, the middles of the strokes stay where they are.
  const middles = byShape(medialAxis, movedLines);
  return (outline: Outline, light: LetterLight, strip: Strip): readonly StripPath[] => {
    const stripWidthMm = shownMmOf(light, strip);
    const inset = light.setbackMm + stripWidthMm / 2;
    switch (light.layout) {
      case 'outline':
        return outlinePaths(outline, { ...light, stripWidthMm, bendRadiusMm: strip.bendRadiusMm }, bent);
      case 'rows':
        return rowPaths(outline, inset, light.linePitchMm);
      case 'centre':
        return solidParts(outline).flatMap((part) =>
          wideStrokes(middles(part), 2 * inset).map(({ points, closed }) => ({ points, closed })),
        );
    }
  };
};

/** The middle of the strip lies on its bed; LEDs a little below it. */
const segmentOf = (laid: LaidSegment, bed: LetterBed, ledsPerM: number): Segment =>
  segmentOfLaid(laid, {
    number: laid.number,
    zMm: bed.ledZMm,
    normal: bed.facing === 'wall' ? [0, 0, -1] : [0, 0, 1],
    on: 'letter',
    ledsPerM,
  });

/** How far single modules were pushed, by segment and module. */
const nudgesOf = (held: NonNullable<LetterLight['moved']>): ReadonlyMap<number, ReadonlyMap<number, number>> => {
  const nudges = new Map<number, Map<number, number>>();
  for (const { segment, module, alongMm } of held)
    if (module !== undefined)
      nudges.set(segment, (nudges.get(segment) ?? new Map<number, number>()).set(module, alongMm));
  return nudges;
};

/** What carries the strip: how high its LEDs are, and whether they face the wall behind or the face in front. */
export interface LetterBed {
  readonly ledZMm: number;
  readonly facing: 'wall' | 'face';
}

/**
 * Strip or modules laid along paths in letters, off their posts. Fails when it is asked for what is no layout, or when there are too many LEDs.
 */
export const letterRuns = (
  outline: Outline,
  paths: readonly StripPath[],
  bed: LetterBed,
  light: LetterLight,
  strip: Strip,
  posts: readonly Post[],
  throwMm: number,
): Result<LetterRuns> => {
  if (light.standing === true && light.layout !== 'outline')
    return failure({
      path: pathOf(own.light.standing),
      message: 'strip stands on its side along the outline only; lay it flat, or along the outline',
    });
  const shownMm = shownMmOf(light, strip);
  const held = light.moved ?? [];
  const ledPitchMm = 1000 / strip.ledsPerM;
  const { segments, leftOut, corners } = layAlong(paths, {
    stripWidthMm: shownMm,
    cutPitchMm: strip.cutPitchMm,
    ledPitchMm,
    bendRadiusMm: strip.bendRadiusMm,
    coated: strip.protection !== 'bare',
    modules: strip.form === 'modules',
    keepOff: posts.map(({ at, diameterMm }) => ({ at, mm: diameterMm / 2 + shownMm / 2 + postClearMm })),
    startMm: light.startMm ?? 0,
    moved: new Map(held.filter(({ module }) => module === undefined).map(({ segment, alongMm }) => [segment, alongMm])),
    nudged: nudgesOf(held),
    leftOut: new Set(light.leftOut ?? []),
  });
  const leds = segments.flatMap((laid, segment) => laid.leds.map((led) => ({ ...led, segment })));
  if (leds.length > maxLeds)
    return failure({
      path: pathOf(own.light.stripId),
      message: `gives ${leds.length.toLocaleString('en')} LEDs; Vitrum lights up to ${maxLeds.toLocaleString('en')} in one design`,
    });
  const lines = light.layout === 'outline' ? light.lineCount - 1 : 0;
  const runs: LetterRuns = {
    segments: segments.map((laid) => segmentOf(laid, bed, strip.ledsPerM)),
    leds: {
      count: leds.length,
      x: Float64Array.from(leds, ({ at }) => at[0]),
      y: Float64Array.from(leds, ({ at }) => at[1]),
      z: new Float64Array(leds.length).fill(bed.ledZMm),
      segment: Uint32Array.from(leds, ({ segment }) => segment),
      along: Float64Array.from(leds, ({ mm }) => mm),
    },
    alongX: Float64Array.from(leds, (led) => led.along[0]),
    alongY: Float64Array.from(leds, (led) => led.along[1]),
    stripMm: segments.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
    ledPitchMm,
    rowPitchMm: light.layout === 'rows' ? light.linePitchMm : null,
    throwMm,
    corners,
    leftOut: leftOut.map(({ path }) => path),
    bare: bareParts(
      outline,
      leds.map(({ at }) => at),
    ),
    reachInMm: light.layout === 'outline' ? light.setbackMm + shownMm + lines * light.linePitchMm : 0,
  };
  return success(withCuts(runs, light.cuts ?? [], strip.cutPitchMm));
};
