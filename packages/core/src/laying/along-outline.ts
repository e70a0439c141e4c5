import {
  inRing,
  measureLine,
  offset,
  ringArea,
  type MeasuredLine,
  type Outline,
  type Point,
  type Ring,
} from '../outlines/index.js';
import { snapToCut } from './snap.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { abs, acos, ceil, hypot, max, min, PI } = Math;

/** How strip is laid along the outline of a letter. */
export interface OutlineWish {
  /** From the outline to the near side of the strip (mm). */
  readonly setbackMm: number;
  /** How many lines of strip, side by side inwards, and from the middle of one to the next (mm). */
  readonly lines: number;
  readonly linePitchMm: number;
  readonly stripWidthMm: number;
  readonly cutPitchMm: number;
  readonly ledPitchMm: number;
  /** The tightest bow the strip takes (mm). */
  readonly bendRadiusMm: number;
}

/** How strip gets round a corner that it cannot be bent round: looped up and over, or cut and wired. */
export type CornerWay = 'loop' | 'cut-and-wire';

/** A corner on the way, and how strip gets round it. */
export interface StripCorner {
  readonly at: Point;
  readonly turnDeg: number;
  readonly way: CornerWay;
}

/** One piece of strip along an outline. */
export interface OutlinePiece {
  /** Counted from 1 in the order of wiring. */
  readonly number: number;
  readonly line: number;
  /** Where it runs, from where current enters to where it ends. */
  readonly path: readonly Point[];
  readonly lengthMm: number;
  /** Left bare for want of a cut mark, shared between both ends (mm). */
  readonly leftoverMm: number;
  /** Its LEDs, each with the unit vector along the strip there. */
  readonly leds: readonly { readonly at: Point; readonly along: Point }[];
}

/** A wire from the end of one piece to the start of the next. */
export interface Jumper {
  readonly from: Point;
  readonly to: Point;
  readonly lengthMm: number;
}

/** Strip along the outline of letters. */
export interface OutlineRuns {
  readonly pieces: readonly OutlinePiece[];
  readonly corners: readonly StripCorner[];
  readonly jumpers: readonly Jumper[];
  readonly stripMm: number;
  /** Solid parts too narrow for the strip at this setback: they stay without. */
  readonly bare: Outline;
}

/** A turn sharper than this within a bend is a corner (degrees). */
const cornerDeg = 30;
/** Strip is forced into bends this much tighter than it should take, no more. */
const tight = 1.15;
/** Up to this sharp, a loop of strip gets round; beyond, it is cut and wired (degrees). */
const loopDeg = 75;
/** Places that a path is drawn by (mm). */
const drawnMm = 2;
/** Room for solder and bend at each end of a wire (mm). */
const jointSlackMm = 30;

const angleBetween = (a: Point, b: Point): number => (acos(min(1, max(-1, a[0] * b[0] + a[1] * b[1]))) * 180) / PI;

/** Corners of a closed path that the strip does not follow: where it turns more within a bend than a bend allows. */
const cornersOf = (line: MeasuredLine, bendRadiusMm: number): readonly (StripCorner & { readonly mm: number })[] => {
  const window = max(2, bendRadiusMm / 2);
  const step = max(0.5, window / 8);
  const count = max(16, ceil(line.lengthMm / step));
  const turns = Array.from({ length: count }, (_, look) => {
    const mm = ((look + 0.5) * line.lengthMm) / count;
    return { mm, turnDeg: angleBetween(line.station(mm - window / 2).along, line.station(mm + window / 2).along) };
  });
  const follows = (window / bendRadiusMm) * (180 / PI);
  const sharp = (turnDeg: number): boolean => turnDeg > max(cornerDeg, tight * follows);
  const found: (StripCorner & { readonly mm: number })[] = [];
  turns.forEach(({ mm, turnDeg }, at) => {
    const [before, after] = [turns[(at + count - 1) % count]!, turns[(at + 1) % count]!];
    // The middle of each stretch that turns too fast.
    if (!sharp(turnDeg) || before.turnDeg > turnDeg || after.turnDeg >= turnDeg) return;
    const near = found.some((other) => abs(other.mm - mm) < window || line.lengthMm - abs(other.mm - mm) < window);
    if (!near) found.push({ mm, at: line.station(mm).at, turnDeg, way: turnDeg <= loopDeg ? 'loop' : 'cut-and-wire' });
  });
  return found.sort((a, b) => a.mm - b.mm);
};

type Blueprint = Omit<OutlinePiece, 'number'>;

/** Strip on one stretch of a path, whole cuts, the leftover shared between both ends. */
const pieceOn = (
  line: MeasuredLine,
  fromMm: number,
  roomMm: number,
  number: number,
  wish: OutlineWish,
): Blueprint | null => {
  const { lengthMm, leftoverMm } = snapToCut(roomMm, wish.cutPitchMm);
  if (lengthMm <= 0) return null;
  const start = fromMm + leftoverMm / 2;
  const drawn = max(1, ceil(lengthMm / drawnMm));
  return {
    line: number,
    path: Array.from({ length: drawn + 1 }, (_, at) => line.station(start + (at * lengthMm) / drawn).at),
    lengthMm,
    leftoverMm,
    leds: Array.from({ length: Math.round(lengthMm / wish.ledPitchMm) }, (_, led) =>
      line.station(start + (led + 0.5) * wish.ledPitchMm),
    ),
  };
};

/** Strip round one closed path: all round where it has no corners, or from corner to corner. */
const piecesRound = (ring: Ring, number: number, wish: OutlineWish) => {
  const line = measureLine(ring, true);
  const corners = cornersOf(line, wish.bendRadiusMm);
  const clear = wish.stripWidthMm / 2;
  const stretches =
    corners.length === 0
      ? [{ from: 0, room: line.lengthMm }]
      : corners.map(({ mm }, at) => {
          const next = corners[(at + 1) % corners.length]!.mm;
          const room = next > mm ? next - mm : next - mm + line.lengthMm;
          return { from: mm + clear, room: room - 2 * clear };
        });
  const pieces = stretches
    .map(({ from, room }) => pieceOn(line, from, room, number, wish))
    .filter((piece) => piece !== null);
  return { pieces, corners };
};

/** Solid parts of an outline that no path lies in. */
const bareParts = (outline: Outline, paths: Outline): Outline =>
  outline.filter((ring) => ringArea(ring) > 0 && !paths.some((path) => inRing(path[0]!, ring)));

/**
 * Lays strip along the outlines of letters, one or several lines of it inwards from the setback. Each stretch between
 * corners that the strip cannot follow gets whole cuts; what is left over is shared between its ends. Pieces are wired in
 * the order of the rings.
 */
export const layAlongOutline = (outline: Outline, wish: OutlineWish): OutlineRuns => {
  const corners: StripCorner[] = [];
  const blueprints: Blueprint[] = [];
  for (let number = 0; number < wish.lines; number += 1) {
    const depth = wish.setbackMm + wish.stripWidthMm / 2 + number * wish.linePitchMm;
    for (const ring of offset(outline, -depth)) {
      const round = piecesRound(ring, number, wish);
      blueprints.push(...round.pieces);
      corners.push(...round.corners.map(({ at, turnDeg, way }) => ({ at, turnDeg, way })));
    }
  }
  const pieces = blueprints.map((piece, index): OutlinePiece => ({ ...piece, number: index + 1 }));
  return {
    pieces,
    corners,
    jumpers: pieces.slice(1).map((piece, index): Jumper => {
      const from = pieces[index]!.path.at(-1)!;
      const to = piece.path[0]!;
      return { from, to, lengthMm: hypot(from[0] - to[0], from[1] - to[1]) + jointSlackMm };
    }),
    stripMm: pieces.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
    bare: bareParts(outline, offset(outline, -wish.setbackMm - wish.stripWidthMm / 2)),
  };
};
