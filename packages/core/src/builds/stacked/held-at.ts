import { measureLine, offset, type Point, type Ring } from '../../base/outlines/index.js';
import { outermost, type StackedGeometry, type StandingRing } from './geometry.js';

/** Screws and pins want so much wall: their own width and as much again on both sides (mm); typical. */
export const leastWallMm = 9;
/** From screw to screw round the wall, and the fewest. */
const screwEveryMm = 160;
const fewestScrews = 3;
/** Pins that keep rings in line while the glue sets. */
const pinCount = 3;

/** Holes for screws, and pins (mm). */
export const screwHoleMm = 3.5;
/** Across a pin (mm). */
export const pinMm = 6;

/** The middle of the wall, all round the outside. */
const wallLine = ({ outline, wallMm }: StackedGeometry): Ring | null => outermost(offset(outline, -wallMm / 2, 0.05));

/** Where the base is screwed to the rings, and pins stand between the screws; none in a wall too narrow for them. */
export const heldAt = (
  geometry: StackedGeometry,
): { readonly screws: readonly Point[]; readonly pins: readonly Point[] } => {
  const ring = geometry.wallMm < leastWallMm ? null : wallLine(geometry);
  if (ring === null) return { screws: [], pins: [] };
  const line = measureLine(ring, true);
  const count = Math.max(fewestScrews, Math.ceil(line.lengthMm / screwEveryMm));
  const at = (share: number): Point => line.station(share * line.lengthMm).at;
  return {
    screws: Array.from({ length: count }, (_, screw) => at((screw + 0.25) / count)),
    // Between two screws each, as evenly round as there are screws.
    pins: Array.from({ length: pinCount }, (_, pin) => at((Math.floor((pin * count) / pinCount) + 0.75) / count)),
  };
};

/** Runs of opaque rings one on the other: pins go through each, and never through what glows. */
export const opaqueRuns = ({ rings }: Pick<StackedGeometry, 'rings'>): readonly (readonly StandingRing[])[] =>
  rings.reduce<readonly (readonly StandingRing[])[]>((runs, ring) => {
    if (ring.glows) return runs;
    const last = runs.at(-1);
    return last !== undefined && last.at(-1)!.index === ring.index - 1
      ? [...runs.slice(0, -1), [...last, ring]]
      : [...runs, [ring]];
  }, []);

/** A pin stays so far short of the plates that it goes through (mm). */
const pinShortMm = 1;

/** Lengths of the pins: of each run of two rings or more. */
export const pinLengthsMm = (geometry: Pick<StackedGeometry, 'rings'>): readonly number[] =>
  opaqueRuns(geometry)
    .filter((run) => run.length > 1)
    .map((run) => run.at(-1)!.toZMm - run[0]!.fromZMm - pinShortMm);
