import { measureLine, type Point } from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';
import type { Strip } from '../../document/catalogue/index.js';
import { fieldsOf, pathOf } from '../../document/design/index.js';
import { layAlong, maxLeds, segmentOfLaid, withCuts, type LaidSegment } from '../../light/laying/index.js';
import type { LightRuns, OwnStrip, Point3, Segment, StripCorner } from '../../light/runs/index.js';
import { clearStretches, type LinePiece } from './clear-stretches.js';
import { wiringOrder } from './wiring-order.js';
import type { GrooveGeometry } from './geometry.js';
import type { GrooveSize } from './groove-size.js';
import { ownStripOf, type GrooveMaterials } from './materials.js';
import type { GrooveAssembly, GrooveLightDesign } from './schema.js';

const own = fieldsOf<GrooveAssembly>();

/** A stretch of line that one run of strip is to fill. */
export interface GrooveRun {
  /** Number of its line. */
  readonly line: number;
  readonly roomMm: number;
  readonly lengthMm: number;
  /** Of the strip that it takes. */
  readonly cutPitchMm: number;
  /** Without strip, at both ends together (mm). */
  readonly bareMm: number;
  /** Whether it begins and ends at a free end of its line, which may be moved. */
  readonly freeStart: boolean;
  readonly freeEnd: boolean;
  /** It goes all round a closed line. */
  readonly round: boolean;
  /** Number of its segment; null where not one cut fits. */
  readonly segment: number | null;
  readonly middle: Point;
}

/** A hole for the wires at an end of a segment. */
export interface WireHole {
  readonly segment: number;
  readonly end: 'start' | 'end';
  readonly at: Point;
  readonly diameterMm: number;
}

/** Strip in grooves. */
export interface GrooveRuns extends LightRuns {
  readonly alongX: Float64Array;
  readonly alongY: Float64Array;
  readonly corners: readonly StripCorner[];
  readonly stretches: readonly GrooveRun[];
  /** At both ends of every segment. */
  readonly holes: readonly WireHole[];
}

/** A hole takes a pair of wires with what they are joined by (mm); typical. */
export const wireHoleMm = 6;

const segmentOf = (laid: LaidSegment, number: number, zMm: number, { strip, own }: Kind, spareMm: number): Segment => ({
  ...segmentOfLaid(laid, { number, zMm, normal: [0, 0, 1], on: 'letter', ledsPerM: strip.ledsPerM }),
  ...(spareMm > 0 ? { spareMm } : {}),
  ...(own === null ? {} : { own: { strip: own.strip, light: own.light } }),
});

/** On the way on from an end, as far as the line leaves bare, and never past half a hole. */
const holeBeyond = (path: readonly Point3[], bareMm: number, end: WireHole['end']): Point => {
  const [last, before] = end === 'end' ? [path.at(-1)!, path.at(-2)!] : [path[0]!, path[1]!];
  const length = Math.hypot(last[0] - before[0], last[1] - before[1]) || 1;
  const by = Math.min(wireHoleMm / 2, bareMm / 2) / length;
  return [last[0] + (last[0] - before[0]) * by, last[1] + (last[1] - before[1]) * by];
};

/** Holes at the ends of segments; each lies on its line. */
export const wireHolesOf = (segments: readonly Segment[]): readonly WireHole[] =>
  segments.flatMap(({ number, path, leftoverMm }) =>
    (['start', 'end'] as const).map((end) => ({
      segment: number,
      end,
      at: holeBeyond(path, leftoverMm, end),
      diameterMm: wireHoleMm,
    })),
  );

const stretchOf = (
  piece: LinePiece & { readonly lengthMm: number },
  laid: ReturnType<typeof layAlong>['stretches'][number],
  segment: number | null,
  cutPitchMm: number,
): GrooveRun => ({
  cutPitchMm,
  line: piece.line,
  roomMm: laid.roomMm,
  lengthMm: laid.lengthMm,
  bareMm: laid.roomMm - laid.lengthMm,
  // An end that stops short of another line is not free to be moved.
  freeStart: laid.atStart && piece.atStart,
  freeEnd: laid.atEnd && piece.atEnd,
  round: piece.closed && laid.roomMm >= piece.lengthMm - 1e-6,
  segment,
  middle: laid.middle,
});

/** A segment with its way turned round: current enters where it ended. */
const reversedOf = ({ path, leds, lengthMm, ...rest }: LaidSegment): LaidSegment => ({
  ...rest,
  lengthMm,
  path: [...path].reverse(),
  leds: [...leds].reverse().map(({ at, along, mm }) => ({ at, along: [-along[0], -along[1]], mm: lengthMm - mm })),
});

/** Segments in the order in which they are wired with least wire, numbered so. */
const inWiringOrder = (segments: readonly LaidSegment[], entry: Point): readonly LaidSegment[] =>
  wiringOrder(
    segments.map(({ path }) => ({ from: path[0]!, to: path.at(-1)! })),
    entry,
  ).map(({ piece, reversed }) => (reversed ? reversedOf(segments[piece]!) : segments[piece]!));

/** Lines that have the same strip, set alike. */
interface Kind {
  readonly strip: Strip;
  readonly own: OwnStrip | null;
  readonly lines: ReadonlySet<number>;
}

/** Lines by their strip and its light, the assembly’s own first. */
const kindsOf = (lines: GrooveGeometry['lines'], materials: GrooveMaterials): readonly Kind[] => {
  const found = new Map<OwnStrip | null, Set<number>>([[null, new Set()]]);
  for (const line of lines) {
    const own = ownStripOf(materials, line);
    found.set(own, (found.get(own) ?? new Set()).add(line.number));
  }
  return [...found].map(([own, numbers]) => ({ own, strip: own?.strip ?? materials.strip, lines: numbers }));
};

/** Strip of one kind along its pieces of line. */
const layKind = (pieces: readonly LinePiece[], strip: Strip, groove: GrooveSize, coated: boolean, spareMm: number) =>
  layAlong(
    pieces.map(({ points, closed }) => ({ points, closed })),
    {
      stripWidthMm: groove.stripAcrossMm,
      cutPitchMm: strip.cutPitchMm,
      spareMm,
      ledPitchMm: 1000 / strip.ledsPerM,
      bendRadiusMm: groove.bendRadiusMm,
      coated,
      modules: false,
      keepOff: [],
      startMm: 0,
      moved: new Map(),
      nudged: new Map(),
      leftOut: new Set(),
    },
  );

/**
 * Strip along the lines, whole cuts, clear of each other where lines meet; numbered in the order in which pieces are wired with least wire
 * from where the lead comes in. Fails when there are too many LEDs.
 */
export const grooveRuns = (
  { lines, groove, ledZMm }: GrooveGeometry,
  light: GrooveLightDesign,
  materials: GrooveMaterials,
  [entryX, entryY]: Point3,
): Result<GrooveRuns> => {
  const { cover } = materials;
  const pieces = clearStretches(lines, groove.widthMm).map((piece) => ({
    ...piece,
    lengthMm: measureLine(piece.points, piece.closed).lengthMm,
  }));
  const laid = kindsOf(lines, materials).map((kind) => {
    const own = pieces.filter(({ line }) => kind.lines.has(line));
    return { ...kind, pieces: own, ...layKind(own, kind.strip, groove, cover !== null, light.spareMm ?? 0) };
  });
  // One kind after the other, so that a chain is of one: each in the order in which it is wired with least wire.
  const segments: (LaidSegment & { readonly kind: Kind })[] = [];
  const numbers = laid.map((kind) => {
    const last = segments.at(-1)?.path.at(-1) ?? [entryX, entryY];
    const first = segments.length;
    segments.push(...inWiringOrder(kind.segments, last).map((each) => ({ ...each, kind })));
    return new Map(segments.slice(first).map(({ number }, index) => [number, first + index + 1]));
  });
  const leds = segments.flatMap((each, segment) => each.leds.map((led) => ({ ...led, segment })));
  if (leds.length > maxLeds)
    return failure({
      path: pathOf(own.light.stripId),
      message: `gives ${leds.length.toLocaleString('en')} LEDs; Vitrum lights up to ${maxLeds.toLocaleString('en')} in one design`,
    });
  const whole: GrooveRuns = {
    segments: segments.map((each, index) => segmentOf(each, index + 1, ledZMm, each.kind, light.spareMm ?? 0)),
    leds: {
      count: leds.length,
      x: Float64Array.from(leds, ({ at }) => at[0]),
      y: Float64Array.from(leds, ({ at }) => at[1]),
      z: new Float64Array(leds.length).fill(ledZMm),
      segment: Uint32Array.from(leds, ({ segment }) => segment),
      along: Float64Array.from(leds, ({ mm }) => mm),
    },
    alongX: Float64Array.from(leds, ({ along }) => along[0]),
    alongY: Float64Array.from(leds, ({ along }) => along[1]),
    stripMm: segments.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
    ledPitchMm: Math.max(...laid.map(({ strip }) => 1000 / strip.ledsPerM)),
    rowPitchMm: null,
    throwMm: groove.overStripMm,
    corners: laid.flatMap(({ corners }) => corners),
    stretches: laid.flatMap((kind, at) =>
      kind.stretches.map((each) =>
        stretchOf(
          kind.pieces[each.path]!,
          each,
          each.segment === null ? null : (numbers[at]!.get(each.segment) ?? null),
          kind.strip.cutPitchMm,
        ),
      ),
    ),
    holes: [],
  };
  const runs = withCuts(whole, light.cuts ?? [], materials.strip.cutPitchMm);
  return success({ ...runs, holes: wireHolesOf(runs.segments) });
};

/** The length of all lines (mm). */
export const linesMm = ({ lines }: Pick<GrooveGeometry, 'lines'>): number =>
  lines.reduce((sum, { points, closed }) => sum + measureLine(points, closed).lengthMm, 0);
