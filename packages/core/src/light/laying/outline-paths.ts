import {
  coarseArcMm,
  inRing,
  levelStretches,
  offset,
  outlineBounds,
  ringArea,
  ringLength,
  solidParts,
  type Outline,
  type Point,
} from '../../base/outlines/index.js';

/** A line that strip is to follow. */
export interface StripPath {
  readonly points: readonly Point[];
  readonly closed: boolean;
}

/** Strip is bent round corners of letters where it takes a bow this tight (mm); a wider one would leave the corner dark. */
const bentUpToMm = 16;
/** Rounding that costs more than this share of the way is left be. */
const mostLost = 0.3;

const roundMm = (outline: Outline): number => outline.reduce((sum, ring) => sum + ringLength(ring), 0);

/** The path inside one part at a depth, its outward corners rounded to the bow of the strip where that loses little. */
export const bentPath = (part: Outline, depthMm: number, bendRadiusMm: number): Outline => {
  const plain = offset(part, -depthMm, coarseArcMm);
  if (bendRadiusMm > bentUpToMm || plain.length === 0) return plain;
  // A little more than asked, since arcs are drawn by short chords.
  const radius = 1.05 * bendRadiusMm;
  const bent = offset(offset(part, -depthMm - radius, coarseArcMm), radius, coarseArcMm);
  return bent.length === plain.length && roundMm(bent) > (1 - mostLost) * roundMm(plain) ? bent : plain;
};

/**
 * Paths along the outline, one or several lines of them: the middle of the strip `setbackMm` and half its width inside
 * the edge, each further line `linePitchMm` more. Letters lie on the left of each path. `inside` may be memoized.
 */
export const outlinePaths = (
  outline: Outline,
  options: {
    readonly setbackMm: number;
    readonly stripWidthMm: number;
    readonly lineCount: number;
    readonly linePitchMm: number;
    readonly bendRadiusMm: number;
  },
  inside: typeof bentPath = bentPath,
): readonly StripPath[] =>
  // Part by part: sweeping over small drawings one by one is far quicker than over all at once.
  Array.from(
    { length: options.lineCount },
    (_, line) => options.setbackMm + options.stripWidthMm / 2 + line * options.linePitchMm,
  )
    .flatMap((depthMm) => solidParts(outline).flatMap((part) => inside(part, depthMm, options.bendRadiusMm)))
    .map((points) => ({ points, closed: true }));

/**
 * Level rows that fill the letters, `pitchMm` apart and half of it from top and bottom of what is `insetMm` inside the
 * edge; every second one runs the other way. Rows stay whole within one part of the letters before the next begins.
 */
export const rowPaths = (outline: Outline, insetMm: number, pitchMm: number): readonly StripPath[] => {
  const solids = [...solidParts(offset(outline, -insetMm, coarseArcMm))].sort(
    (a, b) => Math.min(...a[0]!.map(([x]) => x)) - Math.min(...b[0]!.map(([x]) => x)),
  );
  return solids.flatMap((solid): readonly StripPath[] => {
    const ys = solid[0]!.map(([, y]) => y);
    const [low, high] = [Math.min(...ys), Math.max(...ys)];
    const count = Math.max(1, Math.round((high - low) / pitchMm));
    return Array.from({ length: count }, (_, row) => high - ((row + 0.5) * (high - low)) / count).flatMap((y, row) => {
      const segments = levelStretches(solid, y).map(([from, to]): StripPath => ({
        points:
          row % 2 === 0
            ? [
                [from, y],
                [to, y],
              ]
            : [
                [to, y],
                [from, y],
              ],
        closed: false,
      }));
      return row % 2 === 0 ? segments : segments.reverse();
    });
  });
};

/** Solid parts of an outline that none of these points lies in. */
export const bareParts = (outline: Outline, points: readonly Point[]): Outline =>
  outline.filter((ring) => {
    if (ringArea(ring) <= 0) return false;
    const { x, y, width, height } = outlineBounds([ring])!;
    return !points.some(
      (point) => point[0] > x && point[0] < x + width && point[1] > y && point[1] < y + height && inRing(point, ring),
    );
  });
