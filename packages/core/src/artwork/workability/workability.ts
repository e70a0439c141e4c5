import type { Tool } from '../../document/catalogue/index.js';
import {
  byShape,
  inRing,
  outlineBounds,
  ringArea,
  solidParts,
  type Outline,
  type Point,
  type Rect,
  type Ring,
} from '../../base/outlines/index.js';
import { narrowPlaces, surroundings, tightCorners, type NarrowPlace } from './widths.js';

/** A place where the tool cannot do what is drawn. */
export interface LostPlace {
  readonly kind: 'thin' | 'gap' | 'corner';
  readonly rect: Rect;
  /** Width of the stroke or gap at its narrowest; of a corner, the radius that is left (mm). */
  readonly widthMm: number;
}

/** How an outline fares under the tool that cuts it. */
export interface Workability {
  /** Strokes too thin to stand, gaps too narrow for the tool, and inside corners it leaves round; the narrowest first. */
  readonly lost: readonly LostPlace[];
  /** The narrowest stroke and gap, where they are less than the tool wants (mm); null when all will do. */
  readonly narrowestStrokeMm: number | null;
  readonly narrowestGapMm: number | null;
  /** Holes, whose middles fall out. */
  readonly counters: number;
  /** Solid parts that hang on nothing else, islands in counters not counted. */
  readonly parts: number;
  /** Larger than the tool reaches, by so much (mm); 0 when it fits either way round. */
  readonly overBedMm: number;
}

const overBed = (outline: Outline, { bedWidthMm, bedHeightMm }: Tool): number => {
  const bounds = outlineBounds(outline);
  if (bounds === null) return 0;
  const over = (width: number, height: number): number => Math.max(0, width - bedWidthMm, height - bedHeightMm);
  return Math.min(over(bounds.width, bounds.height), over(bounds.height, bounds.width));
};

const about = ([x, y]: Point, mm: number): Rect => ({ x: x - mm, y: y - mm, width: 2 * mm, height: 2 * mm });

const narrowestOf = (places: readonly LostPlace[], kind: LostPlace['kind']): number | null =>
  places.reduce<number | null>(
    (least, place) => (place.kind === kind && (least === null || place.widthMm < least) ? place.widthMm : least),
    null,
  );

const movedPlaces = (places: readonly NarrowPlace[], dx: number, dy: number): readonly NarrowPlace[] =>
  places.map(({ rect, widthMm }) => ({ rect: { ...rect, x: rect.x + dx, y: rect.y + dy }, widthMm }));

const thinIn = (part: Outline, leastMm: number): readonly NarrowPlace[] => narrowPlaces(part, leastMm);

/** Narrow strokes looked for once for each shape of letter. */
export const thinByShape = () => byShape(thinIn, movedPlaces);

/**
 * Holds an outline against a tool: strokes across, gaps across, corners, loose parts and the size of the bed, which all of
 * it must fit, or each of the `parts` that it is cut in. `thin` may be memoized.
 */
export const workabilityOf = (
  outline: Outline,
  tool: Tool,
  parts: readonly Outline[] = [outline],
  thin = thinIn,
): Workability => {
  const radius = tool.cutMm / 2;
  const lost = [
    ...solidParts(outline).flatMap((part) =>
      thin(part, tool.leastStrokeMm).map((place): LostPlace => ({ ...place, kind: 'thin' })),
    ),
    ...narrowPlaces(surroundings(outline, tool.cutMm), tool.cutMm, outline).map((place): LostPlace => ({
      ...place,
      kind: 'gap',
    })),
    ...tightCorners(outline, radius).map((corner): LostPlace => ({
      kind: 'corner',
      rect: about(corner, tool.cutMm),
      widthMm: radius,
    })),
  ].sort((a, b) => a.widthMm - b.widthMm);
  const holes = outline.filter((ring) => ringArea(ring) < 0);
  const within = (ring: Ring): boolean => holes.some((hole) => inRing(ring[0]!, hole));
  return {
    lost,
    narrowestStrokeMm: narrowestOf(lost, 'thin'),
    narrowestGapMm: narrowestOf(lost, 'gap'),
    counters: holes.length,
    parts: outline.filter((ring) => ringArea(ring) > 0 && !within(ring)).length,
    overBedMm: parts.reduce((most, part) => Math.max(most, overBed(part, tool)), 0),
  };
};
