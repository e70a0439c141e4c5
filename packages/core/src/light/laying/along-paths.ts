import { roundOff } from '../../base/maths/index.js';
import { measureLine, type MeasuredLine, type Point } from '../../base/outlines/index.js';
import type { CornerWay, StripCorner } from '../runs/types.js';
import type { StripPath } from './outline-paths.js';
import { snapToCut } from './snap.js';

/** What is laid along paths, and what it must keep off. */
export interface AlongOptions {
  readonly stripWidthMm: number;
  readonly cutPitchMm: number;
  /** Left on past the mark at both ends, to solder on (mm); none when left out. */
  readonly spareMm?: number;
  readonly ledPitchMm: number;
  /** The tightest bow the strip takes (mm). */
  readonly bendRadiusMm: number;
  /** Its coating lifts where it is bent too tightly, unless it is notched. */
  readonly coated: boolean;
  /** Modules on a wire: they go round any corner, and in rows they stand on a common grid. */
  readonly modules: boolean;
  /** Posts and holes: no strip lies within `mm` of them. */
  readonly keepOff: readonly { readonly at: Point; readonly mm: number }[];
  /** Where the first segment of a closed path without corners starts (mm along it). */
  readonly startMm: number;
  /** Segments pushed along their path and held there, by number (mm). */
  readonly moved: ReadonlyMap<number, number>;
  /** Single modules pushed along their wire and held there: by segment, then by module, counted from 1 (mm). */
  readonly nudged: ReadonlyMap<number, ReadonlyMap<number, number>>;
  /** Numbers of segments that are left out. */
  readonly leftOut: ReadonlySet<number>;
}

/** A stretch of a path between corners and what is in the way, and what lies on it. */
export interface LaidStretch {
  /** Which path it is of, counted from 0, and its length (mm). */
  readonly path: number;
  readonly roomMm: number;
  /** Whether it begins and ends where an open path does. */
  readonly atStart: boolean;
  readonly atEnd: boolean;
  /** Number of the segment on it; null where not one cut fits. */
  readonly segment: number | null;
  readonly lengthMm: number;
  readonly middle: Point;
}

/** One segment of strip along a path. */
export interface LaidSegment {
  /** Counted from 1 in the order of laying; segments left out leave gaps. */
  readonly number: number;
  /** Where it runs, from where current enters to where it ends. */
  readonly path: readonly Point[];
  readonly lengthMm: number;
  /** Left bare for want of a cut mark (mm). */
  readonly leftoverMm: number;
  /** Its LEDs, each with the unit vector along the strip there, and how far from the start it sits. */
  readonly leds: readonly { readonly at: Point; readonly along: Point; readonly mm: number }[];
}

/** A turn sharper than this within a bend is a corner (degrees). */
const cornerDeg = 30;
/** Strip is forced into bends this much tighter than it should take, no more. */
const tight = 1.3;
/** Up to this sharp, a notch in the coating lets strip bend (degrees). */
const notchDeg = 50;
/** Up to this sharp, a loop of strip gets round; beyond, it is cut and wired (degrees). */
const loopDeg = 75;
/** Places that a path is drawn by (mm). */
const drawnMm = 2;
/** Places at which a path is looked at for what it must keep off (mm). */
const lookMm = 1;

const angleBetween = (a: Point, b: Point): number =>
  (Math.acos(Math.min(1, Math.max(-1, a[0] * b[0] + a[1] * b[1]))) * 180) / Math.PI;

type PlacedCorner = StripCorner & { readonly mm: number };

const wayRound = (turnDeg: number, coated: boolean): CornerWay => {
  if (coated && turnDeg <= notchDeg) return 'notch';
  return turnDeg <= loopDeg ? 'loop' : 'cut-and-wire';
};

/** As fast as at its fastest, but for rounding (degrees); how nearly the ends of that are found (mm). */
const sameDeg = 1e-6;
const foundMm = 1e-4;

/** The middle of the stretch on which a path turns as fast as at `mm`: of a sharp corner that is a window wide, and the corner its middle. */
const middleOfTurn = (turnAt: (mm: number) => number, mm: number, turnDeg: number, windowMm: number): number => {
  const edge = (way: 1 | -1): number => {
    let [inside, outside] = [0, windowMm];
    while (outside - inside > foundMm) {
      const middle = (inside + outside) / 2;
      if (turnAt(mm + way * middle) >= turnDeg - sameDeg) inside = middle;
      else outside = middle;
    }
    return inside;
  };
  return mm + (edge(1) - edge(-1)) / 2;
};

/** Corners of a path that the strip does not follow: where it turns more within a bend than a bend allows. */
const cornersOf = (
  line: MeasuredLine,
  closed: boolean,
  { bendRadiusMm, coated }: AlongOptions,
): readonly PlacedCorner[] => {
  const window = Math.max(2, bendRadiusMm / 2);
  const step = Math.max(0.5, window / 8);
  const count = Math.max(16, Math.ceil(line.lengthMm / step));
  const turnAt = (mm: number): number =>
    angleBetween(line.station(mm - window / 2).along, line.station(mm + window / 2).along);
  const turns = Array.from({ length: count }, (_, look) => {
    const mm = ((look + 0.5) * line.lengthMm) / count;
    return { mm, turnDeg: turnAt(mm) };
  });
  const follows = (window / bendRadiusMm) * (180 / Math.PI);
  const sharp = (turnDeg: number): boolean => turnDeg > Math.max(cornerDeg, tight * follows);
  const found: PlacedCorner[] = [];
  turns.forEach(({ mm, turnDeg }, at) => {
    const before = turns[closed ? (at + count - 1) % count : Math.max(0, at - 1)]!;
    const after = turns[closed ? (at + 1) % count : Math.min(count - 1, at + 1)]!;
    // The middle of each stretch that turns too fast.
    if (!sharp(turnDeg) || before.turnDeg > turnDeg || after.turnDeg >= turnDeg) return;
    const near = found.some(
      (other) => Math.abs(other.mm - mm) < window || (closed && line.lengthMm - Math.abs(other.mm - mm) < window),
    );
    if (near) return;
    const middle = middleOfTurn(turnAt, mm, turnDeg, window);
    found.push({ mm: middle, at: line.station(middle).at, turnDeg, way: wayRound(turnDeg, coated) });
  });
  return found.sort((a, b) => a.mm - b.mm);
};

/** A stretch of a path, from `from` for `room` mm. */
interface Stretch {
  readonly from: number;
  readonly room: number;
  /** It goes all round, so that its start may lie anywhere. */
  readonly round: boolean;
}

/** From corner to corner, or all of it where there is none. */
const betweenCorners = (
  line: MeasuredLine,
  closed: boolean,
  corners: readonly PlacedCorner[],
  clear: number,
): readonly Stretch[] => {
  if (corners.length === 0) return [{ from: 0, room: line.lengthMm, round: closed }];
  if (closed)
    return corners.map(({ mm }, at) => {
      const next = corners[(at + 1) % corners.length]!.mm;
      const room = next > mm ? next - mm : next - mm + line.lengthMm;
      return { from: mm + clear, room: room - 2 * clear, round: false };
    });
  const ends = [0, ...corners.flatMap(({ mm }) => [mm - clear, mm + clear]), line.lengthMm];
  return Array.from({ length: ends.length >> 1 }, (_, at) => ({
    from: ends[2 * at]!,
    room: ends[2 * at + 1]! - ends[2 * at]!,
    round: false,
  }));
};

/** What lies near enough to a path to be in its way. */
const nearPath = (points: readonly Point[], keepOff: AlongOptions['keepOff']): AlongOptions['keepOff'] => {
  if (keepOff.length === 0) return keepOff;
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return keepOff.filter(
    ({ at, mm }) => at[0] > left - mm && at[0] < right + mm && at[1] > low - mm && at[1] < high + mm,
  );
};

/** A stretch without what lies too near to a post or a hole. */
const clearOf = (line: MeasuredLine, stretch: Stretch, keepOff: AlongOptions['keepOff']): readonly Stretch[] => {
  if (keepOff.length === 0) return [stretch];
  const count = Math.max(1, Math.ceil(stretch.room / lookMm));
  const blocked = (step: number): boolean => {
    const { at } = line.station(stretch.from + (step * stretch.room) / count);
    return keepOff.some((other) => Math.hypot(at[0] - other.at[0], at[1] - other.at[1]) < other.mm);
  };
  const free: Stretch[] = [];
  let start: number | null = null;
  for (let step = 0; step <= count + 1; step += 1) {
    const open = step <= count && !blocked(step);
    if (open && start === null) start = step;
    if (open || start === null) continue;
    const [from, to] = [(start * stretch.room) / count, ((step - 1) * stretch.room) / count];
    if (to > from)
      free.push({
        from: stretch.from + from,
        room: to - from,
        round: stretch.round && free.length === 0 && to - from === stretch.room,
      });
    start = null;
  }
  return free;
};

/** How far into its room a segment starts: the leftover shared, or as it was pushed, within the room. */
const startOf = (
  line: MeasuredLine,
  stretch: Stretch,
  leftoverMm: number,
  number: number,
  options: AlongOptions,
): number => {
  const pushed = options.moved.get(number) ?? 0;
  if (stretch.round) return options.startMm + leftoverMm / 2 + pushed;
  if (options.modules) {
    // On level rows modules stand on a grid common to all rows.
    const { at, along } = line.station(stretch.from);
    const first = at[0] + along[0] * (options.ledPitchMm / 2);
    const toGrid = along[0] >= 0 ? -first : first;
    const gridded =
      Math.abs(along[1]) < roundOff
        ? ((toGrid % options.ledPitchMm) + options.ledPitchMm) % options.ledPitchMm
        : leftoverMm / 2;
    return Math.min(leftoverMm, Math.max(0, gridded + pushed));
  }
  return Math.min(leftoverMm, Math.max(0, leftoverMm / 2 + pushed));
};

/** A module leaves its place by no more than this share of the pitch: its wires are no longer, and its neighbour stays apart. */
const mostNudged = 0.45;

/** Strip on one stretch, whole cuts. */
const segmentOn = (line: MeasuredLine, stretch: Stretch, number: number, options: AlongOptions): LaidSegment | null => {
  const { spareMm = 0 } = options;
  const { lengthMm } = snapToCut(stretch.room - 2 * spareMm, options.cutPitchMm);
  if (lengthMm <= 0) return null;
  const leftoverMm = stretch.room - lengthMm;
  const start = stretch.from + startOf(line, stretch, leftoverMm, number, options);
  const drawn = Math.max(1, Math.ceil(lengthMm / drawnMm));
  const nudges = options.modules ? options.nudged.get(number) : undefined;
  const most = mostNudged * options.ledPitchMm;
  return {
    number,
    path: Array.from({ length: drawn + 1 }, (_, at) => line.station(start + (at * lengthMm) / drawn).at),
    lengthMm,
    leftoverMm,
    leds: Array.from({ length: Math.round(lengthMm / options.ledPitchMm) }, (_, led) => {
      const nudge = Math.min(most, Math.max(-most, nudges?.get(led + 1) ?? 0));
      const mm = (led + 0.5) * options.ledPitchMm + nudge;
      return { ...line.station(start + mm), mm };
    }),
  };
};

/**
 * Lays strip along paths: each stretch between corners that the strip cannot follow, and clear of posts, gets whole cuts;
 * what is left over is shared between its ends. Segments are numbered path by path.
 */
export const layAlong = (
  paths: readonly StripPath[],
  options: AlongOptions,
): {
  readonly segments: readonly LaidSegment[];
  readonly leftOut: readonly LaidSegment[];
  readonly corners: readonly StripCorner[];
  readonly stretches: readonly LaidStretch[];
} => {
  const [segments, leftOut]: [LaidSegment[], LaidSegment[]] = [[], []];
  const stretches: LaidStretch[] = [];
  const corners: StripCorner[] = [];
  let number = 0;
  for (const [index, { points, closed }] of paths.entries()) {
    const line = measureLine(points, closed);
    const keepOff = nearPath(points, options.keepOff);
    const own = options.modules ? [] : cornersOf(line, closed, options);
    corners.push(...own.map(({ at, turnDeg, way }) => ({ at, turnDeg, way })));
    for (const stretch of betweenCorners(line, closed, own, options.stripWidthMm / 2))
      for (const free of clearOf(line, stretch, keepOff)) {
        const segment = segmentOn(line, free, number + 1, options);
        stretches.push({
          path: index,
          roomMm: free.room,
          atStart: !closed && free.from <= roundOff,
          atEnd: !closed && free.from + free.room >= line.lengthMm - roundOff,
          segment: segment === null ? null : number + 1,
          lengthMm: segment?.lengthMm ?? 0,
          middle: line.station(free.from + free.room / 2).at,
        });
        if (segment === null) continue;
        number += 1;
        (options.leftOut.has(number) ? leftOut : segments).push(segment);
      }
  }
  return { segments, leftOut, corners, stretches };
};
