import {
  moveOutline,
  offset,
  outlineArea,
  outlineBounds,
  ringArea,
  simplify,
  solidParts,
  type Outline,
  type Point,
  type Rect,
  type Ring,
} from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { fieldsOf, pathOf } from '../../document/design/index.js';
import type { SignGeometry } from '../../light/geometry/index.js';
import { drawnOutline } from '../common/drawn-outline.js';
import { roundedRing } from '../common/rounded-ring.js';
import { glows, type SheetStock } from '../common/sheet-stock.js';
import type { StackedMaterials } from './materials.js';
import { usualFromWallMm, type PlatesDesign, type StackedAssembly, type StackedLight } from './schema.js';

const own = fieldsOf<StackedAssembly>();

/** A ring where it lies. */
export interface StandingRing {
  readonly index: number;
  readonly stock: SheetStock;
  readonly fromZMm: number;
  readonly toZMm: number;
  readonly glows: boolean;
}

/** Stacked plates in mm: x right, y up from the middle of the lid, z from the inner side of the base toward the viewer. */
export interface StackedGeometry extends SignGeometry {
  readonly outline: Outline;
  /** The inside of the rings. */
  readonly inside: Outline;
  readonly bounds: Rect;
  readonly rings: readonly StandingRing[];
  readonly wallMm: number;
  readonly baseMm: number;
  /** From the base to the lid. */
  readonly roomMm: number;
  readonly lidMm: number;
  readonly frontZMm: number;
  /** What carries strip that looks out: its outer side, how wide its ring is, how high. Null where strip is on the wall. */
  readonly ledge: { readonly line: Ring; readonly widthMm: number; readonly heightMm: number } | null;
  /** Strip takes so much of the height, all its loops. */
  readonly stripMm: number;
}

/** A circle is drawn by so many corners. */
const roundCorners = 96;
/** The ring that carries strip within a stack is so wide (mm). */
const ledgeMm = 8;
/** Less is left within a ledge than a hand gets in (mm). */
const withinLedgeMm = 4;
/** Between loops, and over and under them (mm). */
export const besideLoopMm = 1;
/** Outlines are followed this closely by strip and light (mm). */
const followedMm = 0.05;

const outlineOf = (plates: PlatesDesign): Result<Outline> => {
  const { widthMm, heightMm } = plates;
  switch (plates.shape) {
    case 'round':
      return success([
        Array.from({ length: roundCorners }, (_, corner): Point => {
          const turn = (corner * 2 * Math.PI) / roundCorners;
          return [(widthMm / 2) * Math.cos(turn), (heightMm / 2) * Math.sin(turn)];
        }),
      ]);
    case 'rectangle': {
      const radius = Math.min(plates.cornerMm ?? 0, widthMm / 2, heightMm / 2);
      return success([
        roundedRing({ x: -widthMm / 2, y: -heightMm / 2, width: widthMm, height: heightMm }, radius, radius),
      ]);
    }
    case 'drawing': {
      // Overlapping rings of a drawing are one outline, its holes the other way round.
      const drawn = plates.drawing ? offset(drawnOutline(plates.drawing, widthMm), 0) : [];
      const parts = solidParts(drawn);
      if (parts.length === 0)
        return failure({
          path: pathOf(own.plates.drawing),
          message: 'is to be their outline; load one with one closed line',
        });
      return parts.length > 1
        ? failure({
            path: pathOf(own.plates.drawing),
            message: `has ${parts.length} separate areas; plates are one area each: join them, or make a sign of each`,
          })
        : success(drawn);
    }
  }
};

/** Loops one over the other, with what lies between. */
export const loopsMm = ({ loops }: Pick<StackedLight, 'loops'>, stripWidthMm: number): number =>
  loops * stripWidthMm + (loops + 1) * besideLoopMm;

/** The largest ring of an outline, which runs round it; null where it has none. */
export const outermost = (outline: Outline): Ring | null =>
  outline.reduce<Ring | null>((best, ring) => (best === null || ringArea(ring) > ringArea(best) ? ring : best), null);

/** Sizes of stacked plates; fails where nothing is left within the rings, or within the ledge, with the field. */
export const stackedGeometry = (
  plates: PlatesDesign,
  light: StackedLight,
  { base, rings, lid, strip }: StackedMaterials,
): Result<StackedGeometry> => {
  const shaped = outlineOf(plates);
  if (!shaped.ok) return shaped;
  const drawn = outlineBounds(shaped.value)!;
  const outline = moveOutline(shaped.value, -drawn.x - drawn.width / 2, -drawn.y - drawn.height / 2);
  const inside = simplify(offset(outline, -plates.wallMm, followedMm), followedMm);
  const room = outermost(inside);
  if (room === null || solidParts(inside).length > 1)
    return failure({
      path: pathOf(own.plates.wallMm),
      message:
        room === null
          ? `is ${plates.wallMm} mm all round, and nothing is left within; make rings narrower or the plates larger`
          : `is ${plates.wallMm} mm, which parts the room within; make rings narrower, or the outline wider at its waist`,
    });
  const fromWall = light.fromWallMm ?? usualFromWallMm;
  const line = light.facing === 'in' ? null : outermost(simplify(offset(inside, -fromWall, followedMm), followedMm));
  if (light.facing !== 'in' && (line === null || ringArea(line) < Math.PI * (ledgeMm + withinLedgeMm) ** 2))
    return failure({
      path: pathOf(own.light.fromWallMm),
      message: `is ${fromWall} mm, and no ledge finds room within; make it less, or put the strip on the wall`,
    });
  let z = 0;
  const standing = rings.map((stock, index): StandingRing => {
    const fromZMm = z;
    z += stock.thicknessMm;
    return { index, stock, fromZMm, toZMm: z, glows: glows(stock) };
  });
  const roomMm = z;
  const stripMm = loopsMm(light, strip.widthMm);
  const bounds = outlineBounds(outline)!;
  return success({
    outside: {
      widthMm: bounds.width,
      heightMm: bounds.height,
      depthMm: base.thicknessMm + roomMm + lid.thicknessMm,
    },
    outline,
    inside,
    bounds,
    rings: standing,
    wallMm: plates.wallMm,
    baseMm: base.thicknessMm,
    roomMm,
    lidMm: lid.thicknessMm,
    frontZMm: roomMm + lid.thicknessMm,
    ledge:
      line === null
        ? null
        : {
            line,
            widthMm: ledgeMm,
            heightMm: Math.min(roomMm, Math.max(stripMm, (light.fromBaseMm ?? 0) + stripMm / 2)),
          },
    stripMm,
  });
};

/** The room in which strip, wires and light are (mm²). */
export const roomMm2 = ({ inside }: Pick<StackedGeometry, 'inside'>): number => Math.abs(outlineArea(inside));
