import {
  bandAlong,
  moveOutline,
  outlineBounds,
  outlineByShape,
  rectRing,
  solidParts,
  splitAlongAll,
  unite,
  type CutLine,
  type Outline,
  type Point,
  type Rect,
  type Registration,
  type Ring,
  type Split,
} from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { fieldsOf, pathOf } from '../../document/design/index.js';
import type { SignGeometry } from '../../light/geometry/index.js';
import { drawnOutline } from '../common/drawn-outline.js';
import { roundedRing } from '../common/rounded-ring.js';
import type { GrooveSize } from './groove-size.js';
import { wallsBeside, type Walls } from './walls.js';
import type { LitLine } from './lines.js';
import type { GrooveMaterials } from './materials.js';
import type { CarrierDesign, GrooveAssembly } from './schema.js';

const own = fieldsOf<GrooveAssembly>();

/**
 * A carrier with its groove, in mm: x right, y up from the middle of the carrier; z from its rear face toward the viewer. What is behind it
 * (spacers, a plate behind letters) has negative z.
 */
export interface GrooveGeometry extends SignGeometry {
  readonly groove: GrooveSize;
  /** Lines as they lie on the carrier. */
  readonly lines: readonly LitLine[];
  /** What the groove takes of the face, and what of it shines. */
  readonly grooveArea: Outline;
  readonly litArea: Outline;
  /** Where the origin of the lines as designed lies on the carrier. */
  readonly linesAt: Point;
  /** The outline of the carrier, and the parts that it is cut in. */
  readonly outline: Outline;
  readonly parts: readonly Outline[];
  /** Where pins go in, from part to part. */
  readonly pins: readonly Point[];
  readonly bounds: Rect;
  /** Of the sheet that the groove is cut into, and of the layer or plate behind it; none: 0. */
  readonly sheetMm: number;
  readonly backMm: number;
  /** Front of the carrier; rear of all that is held to it; where wires lie behind. */
  readonly frontZMm: number;
  readonly rearZMm: number;
  readonly wiresZMm: number;
  /** The floor that strip lies on, and its LEDs. */
  readonly floorZMm: number;
  readonly ledZMm: number;
  /** What is left under the groove. */
  readonly leftMm: number;
  /** What is left beside it, and the least that should be. */
  readonly walls: Walls;
  readonly leastWallMm: number;
}

/** Round ends and bends of bands are drawn this closely (mm). */
const roundMm = 0.02;
const round = { ends: 'round', corners: 'round' } as const;

/** Bands of one kind of line, kept by their shape: most changes of a design leave them, and a groove asks again and again. */
const bandsLike = outlineByShape((lines, widthMm: number, kind: 'open' | 'closed') =>
  bandAlong(lines, widthMm, kind === 'closed', round, roundMm),
);

/** Lines as bands: closed ones come back to their start. */
export const bandsOf = (lines: readonly Pick<LitLine, 'points' | 'closed'>[], widthMm: number): Outline => {
  const bands = (['open', 'closed'] as const).flatMap((kind): readonly Outline[] => {
    const own = lines.filter(({ closed }) => closed === (kind === 'closed')).map(({ points }) => points);
    return own.length === 0 ? [] : [bandsLike(own, widthMm, kind)];
  });
  return bands.length === 1 ? bands[0]! : unite(bands.flat());
};

/** The outline of a carrier, in the axes of its lines. */
const outlineOf = (
  carrier: CarrierDesign,
  lines: readonly LitLine[],
  lettering: Outline,
  scale: number,
): Result<Outline> => {
  const bounds = outlineBounds(lines.map(({ points }) => points))!;
  const margin = Math.max(1, carrier.marginMm);
  const corner = carrier.cornerMm ?? 0;
  const rounded = ({ x, y, width, height }: Rect): Outline => {
    const radius = Math.min(corner, width / 2, height / 2);
    return [radius > 0 ? roundedRing({ x, y, width, height }, radius, radius) : rectRing({ x, y, width, height })];
  };
  const [asideX, asideY] = [carrier.offsetXMm ?? 0, carrier.offsetYMm ?? 0];
  if (carrier.kind === 'letters')
    return lettering.length === 0
      ? failure({
          path: pathOf(own.carrier.kind),
          message: 'is letters, and there are none: say what it reads, or load their outline',
        })
      : success(lettering.map((ring) => ring.map(([x, y]): Point => [x * scale, y * scale])));
  switch (carrier.shape) {
    case 'margin':
      return success(
        rounded({
          x: bounds.x - margin,
          y: bounds.y - margin,
          width: bounds.width + 2 * margin,
          height: bounds.height + 2 * margin,
        }),
      );
    case 'contour':
      return success(bandsOf(lines, 2 * margin));
    case 'rectangle': {
      const { widthMm = 600, heightMm = 400 } = carrier;
      return success(
        rounded({ x: -widthMm / 2 - asideX, y: -heightMm / 2 - asideY, width: widthMm, height: heightMm }),
      );
    }
    case 'drawing': {
      const drawn = carrier.outline ? drawnOutline(carrier.outline, carrier.widthMm ?? 600) : [];
      return drawn.length === 0
        ? failure({ path: pathOf(own.carrier.outline), message: 'is to be a drawing; load one with one closed line' })
        : success(moveOutline(drawn, -asideX, -asideY));
    }
  }
};

/** The floor of the groove over the rear of the carrier. */
const floorOf = (carrier: CarrierDesign, sheetMm: number, backMm: number, depthMm: number): number => {
  switch (carrier.kind) {
    case 'two-layer':
      // Cut through, the groove is as deep as its layer.
      return backMm;
    case 'clear':
      return Math.min(sheetMm, depthMm);
    case 'board':
    case 'letters':
      return sheetMm - depthMm;
  }
};

/** Walls thinner than this do not survive a bit (mm); typical. Walls up to so thick are looked for. */
const thinnestWallMm = 2;
const seenWallMm = 12;

/** Wires behind a carrier lie so far off its rear (mm). */
const wiresOffMm = 3;

/** Every part cut along all seams. */
const splitAll = (parts: readonly Outline[], lines: readonly CutLine[], registration: Registration): Split => {
  const cut = parts.map((part) => splitAlongAll(part, lines, registration));
  return { parts: cut.flatMap((each) => each.parts), pins: cut.flatMap((each) => each.pins) };
};

/**
 * Sizes of a carrier and its groove; fails where they contradict each other, with the field. Takes no more of a design than it
 * goes by: a change of anything else leaves it as it was. `wanted`: the groove by what lies in it. `scale`: of lettering.
 */
export const grooveGeometry = (
  carrier: CarrierDesign,
  lies: GrooveAssembly['groove']['lies'],
  wanted: GrooveSize,
  sheet: GrooveMaterials['sheet'],
  back: GrooveMaterials['back'],
  lines: readonly LitLine[],
  lettering: Outline,
  scale: number,
): Result<GrooveGeometry> => {
  const through = carrier.kind === 'two-layer';
  const groove = through ? { ...wanted, depthMm: sheet.thicknessMm } : wanted;
  if (!through && groove.depthMm >= sheet.thicknessMm)
    return failure({
      path: pathOf(own.carrier.boardId),
      message: `is ${sheet.thicknessMm} mm thick, and the groove ${Math.round(10 * groove.depthMm) / 10} mm deep would come through; take a thicker one, a lower cover, or two layers`,
    });
  const shaped = outlineOf(carrier, lines, lettering, scale);
  if (!shaped.ok) return shaped;
  const bounds = outlineBounds(shaped.value)!;
  // All about the middle of the carrier.
  const centre: Point = [bounds.x + bounds.width / 2, bounds.y + bounds.height / 2];
  const moved = moveOutline(shaped.value, -centre[0], -centre[1]);
  const placed = lines.map((line) => ({ ...line, points: moveOutline([line.points], -centre[0], -centre[1])[0]! }));
  const split = splitAll(
    // Letters are cut one by one.
    carrier.kind === 'letters' ? solidParts(moved) : [moved],
    (carrier.splits ?? []).map(({ xMm, yMm, angleDeg }) => ({ at: [xMm, yMm], angleDeg })),
    carrier.registration ?? 'tabs',
  );
  const leastWallMm = carrier.leastWallMm ?? Math.max(thinnestWallMm, groove.depthMm / 2);
  const backMm = back?.thicknessMm ?? 0;
  const layered = through ? backMm : 0;
  const plate = carrier.kind === 'letters' ? backMm : 0;
  const frontZMm = layered + sheet.thicknessMm;
  const floorZMm = floorOf(carrier, sheet.thicknessMm, backMm, groove.depthMm);
  const rearZMm = -plate - carrier.spacerMm;
  return success({
    outside: { widthMm: bounds.width, heightMm: bounds.height, depthMm: frontZMm + groove.proudMm - rearZMm },
    groove,
    lines: placed,
    grooveArea: bandsOf(placed, groove.widthMm),
    litArea: bandsOf(placed, groove.litMm),
    linesAt: [-centre[0], -centre[1]],
    outline: moved,
    parts: split.parts,
    pins: split.pins,
    bounds: { x: -bounds.width / 2, y: -bounds.height / 2, width: bounds.width, height: bounds.height },
    sheetMm: sheet.thicknessMm,
    backMm,
    frontZMm,
    rearZMm,
    wiresZMm: -plate - Math.min(wiresOffMm, Math.max(1, carrier.spacerMm / 2)),
    floorZMm,
    ledZMm: sheet.clear
      ? Math.max(0, floorZMm - 0.5)
      : floorZMm + (lies === 'edge' ? groove.stripHighMm / 2 : groove.stripHighMm),
    walls: wallsBeside(placed, moved, groove.widthMm, Math.max(seenWallMm, 2 * leastWallMm)),
    leastWallMm,
    leftMm: through ? backMm : sheet.thicknessMm - groove.depthMm,
  });
};

/** A rectangle as a part: the plate behind letters goes so far round them (mm). */
export const plateOf = ({ bounds }: GrooveGeometry, marginMm: number): Ring =>
  rectRing({
    x: bounds.x - marginMm,
    y: bounds.y - marginMm,
    width: bounds.width + 2 * marginMm,
    height: bounds.height + 2 * marginMm,
  });
