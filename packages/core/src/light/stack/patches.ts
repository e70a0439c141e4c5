import { degPerRad } from '../../base/maths/index.js';
import {
  inOutline,
  inRing,
  intersect,
  measureLine,
  outlineBounds,
  outlineCentroid,
  rectRing,
  ringArea,
  subtract,
  type Outline,
  type Point,
  type Ring,
} from '../../base/outlines/index.js';
import { gridOver, type Grid } from '../../base/raster/index.js';
import { mostCorners } from './seen-polygon.js';
import type { StackRoom } from './types.js';

/** Cells of base and lid, each, and stretches of wall in all, at the most. */
export interface PatchLimits {
  readonly mostCells: number;
  readonly mostStretches: number;
}

/** Places along a side of a cell at which it is looked at. */
const placesAlong = 4;
/** No patch of wall is higher than this share of the room. */
const highestShare = 0.4;

/** A cell of base and lid: its outline within the room, what of the whole cell that is, and places spread over it (x, y, x, y …). */
export interface PlanCell {
  readonly cell: number;
  readonly ring: Ring;
  readonly areaMm2: number;
  readonly share: number;
  readonly places: Float64Array;
  readonly middle: Point;
}

/** A stretch of wall: its ends, the way out of the room. */
export interface Stretch {
  readonly from: Point;
  readonly to: Point;
  readonly out: Point;
  readonly ring: number;
  readonly lengthMm: number;
}

/** A layer of wall patches, and which band of the design it is of. */
export interface WallLayer {
  readonly fromZMm: number;
  readonly toZMm: number;
  readonly band: number;
}

/**
 * Everything that light in a stack meets: cells of the base, cells of the lid, then the wall, stretch by stretch, layer by layer, then both
 * sides of the ledge.
 */
export interface Patches {
  readonly grid: Grid;
  readonly cells: readonly PlanCell[];
  readonly stretches: readonly Stretch[];
  readonly layers: readonly WallLayer[];
  /** Stretches of the ledge, its outer side and then its inner one. */
  readonly ledge: readonly Stretch[];
  readonly heightMm: number;
  readonly count: number;
  readonly areaMm2: Float64Array;
  /** Middle and normal of each (x, y, z); its corners (x, y, z …), from which on and how many. */
  readonly middle: Float64Array;
  readonly normal: Float64Array;
  readonly corners: Float64Array;
  readonly firstCorner: Int32Array;
  readonly cornerCount: Int32Array;
}

/** What a patch is, its cell of base or lid, its layer of wall, and its place in plan: cells, then stretches of wall and ledge. */
export interface PatchKind {
  readonly kind: 'base' | 'lid' | 'wall' | 'ledge';
  readonly cell: number;
  readonly layer: number;
  readonly plan: number;
}

/** Tells what a patch is by its number. */
export const patchOf = ({ cells, stretches, layers }: Patches, patch: number): PatchKind => {
  const n = cells.length;
  if (patch < 2 * n) {
    const cell = patch % n;
    return { kind: patch < n ? 'base' : 'lid', cell, layer: 0, plan: cell };
  }
  const wall = patch - 2 * n;
  const walls = stretches.length * layers.length;
  return wall < walls
    ? { kind: 'wall', cell: 0, layer: wall % layers.length, plan: n + Math.floor(wall / layers.length) }
    : { kind: 'ledge', cell: 0, layer: 0, plan: n + stretches.length + wall - walls };
};

/** Three places along a stretch. */
const alongStretch = ({ from, to }: Stretch): Float64Array =>
  Float64Array.from(
    [1 / 6, 1 / 2, 5 / 6].flatMap((share) => [0, 1].map((axis) => from[axis]! + share * (to[axis]! - from[axis]!))),
  );

/** Places in plan of everything that patches stand at. */
export const plansOf = ({ cells, stretches, ledge }: Patches): readonly Float64Array[] => [
  ...cells.map(({ places }) => places),
  ...stretches.map(alongStretch),
  ...ledge.map(alongStretch),
];

/** Smaller than this share of a cell, a piece of it is none. */
const leastShare = 0.004;

/** A piece of a cell by its outline; places of the cell that lie in it, its middle where none does. */
const pieceOf = (cell: number, ring: Ring, all: readonly Point[], cellMm2: number): readonly PlanCell[] => {
  const areaMm2 = Math.abs(ringArea(ring));
  const middle = outlineCentroid([ring]);
  if (middle === null || areaMm2 < leastShare * cellMm2) return [];
  const within = all.filter((place) => inRing(place, ring));
  return [
    {
      cell,
      ring: simplified(ring),
      areaMm2,
      share: areaMm2 / cellMm2,
      places: Float64Array.from((within.length > 0 ? within : [middle]).flat()),
      middle,
    },
  ];
};

/** No piece of a cell has more corners than are looked at. */
const simplified = (ring: Ring): Ring =>
  ring.length <= mostCorners ? ring : ring.filter((_, at) => at % Math.ceil(ring.length / mostCorners) === 0);

const cellsOf = (
  { outline, ledge }: StackRoom,
  mostCells: number,
): { readonly grid: Grid; readonly cells: readonly PlanCell[] } => {
  const bounds = outlineBounds(outline) ?? { x: -1, y: -1, width: 2, height: 2 };
  const side = Math.sqrt((bounds.width * bounds.height) / mostCells);
  const grid = gridOver(
    bounds,
    Math.max(2, Math.ceil(bounds.width / side)),
    Math.max(2, Math.ceil(bounds.height / side)),
  );
  const [width, height] = [grid.cellWidthMm, grid.cellHeightMm];
  const cells = Array.from({ length: grid.columns * grid.rows }, (_, cell): readonly PlanCell[] => {
    const [x, y] = [bounds.x + (cell % grid.columns) * width, bounds.y + Math.floor(cell / grid.columns) * height];
    const all = Array.from({ length: placesAlong ** 2 }, (__, part): Point => [
      x + (((part % placesAlong) + 0.5) / placesAlong) * width,
      y + ((Math.floor(part / placesAlong) + 0.5) / placesAlong) * height,
    ]);
    const whole = rectRing({ x, y, width, height });
    const within = [...all, ...whole].filter((place) => inOutline(place, outline)).length;
    const clipped = within === all.length + whole.length ? [whole] : intersect([whole], outline);
    // What lies on both sides of a ledge is two cells: else light would get through it.
    const inLedge = ledge === null ? 0 : [...all, ...whole].filter((place) => inRing(place, ledge.line)).length;
    const pieces =
      ledge === null || inLedge === 0 || inLedge === all.length + whole.length
        ? clipped
        : [...intersect(clipped, [ledge.line]), ...subtract(clipped, [ledge.line])];
    return pieces.flatMap((ring) => pieceOf(cell, ring, all, width * height));
  }).flat();
  return { grid, cells };
};

/** A ring turns a corner where it turns by more than this (degrees): no stretch goes round one. */
const cornerDeg = 25;

/** A ring as the lines between its corners; itself, closed, where it has none. */
const betweenCorners = (ring: Ring): readonly { readonly points: Ring; readonly closed: boolean }[] => {
  const isCorner = ring.map((at, index) => {
    const before = ring[(index + ring.length - 1) % ring.length]!;
    const next = ring[(index + 1) % ring.length]!;
    const [ax, ay, bx, by] = [at[0] - before[0], at[1] - before[1], next[0] - at[0], next[1] - at[1]];
    const turn = Math.abs(Math.atan2(ax * by - ay * bx, ax * bx + ay * by));
    return turn * degPerRad > cornerDeg;
  });
  const corners = isCorner.flatMap((is, index) => (is ? [index] : []));
  if (corners.length === 0) return [{ points: ring, closed: true }];
  return corners.map((from, at) => {
    const to = corners[(at + 1) % corners.length]!;
    const count = to > from ? to - from : to - from + ring.length;
    return {
      points: Array.from({ length: count + 1 }, (_, step) => ring[(from + step) % ring.length]!),
      closed: false,
    };
  });
};

/** The wall in stretches of `stepMm` at the most, none round a corner. Outer rings run anticlockwise, holes clockwise. */
export const stretchesOf = (outline: Outline, stepMm: number): readonly Stretch[] =>
  outline.flatMap((ring, index) =>
    betweenCorners(ring).flatMap(({ points, closed }) => {
      const line = measureLine(points, closed);
      const count = Math.max(closed ? 4 : 1, Math.ceil(line.lengthMm / stepMm));
      return Array.from({ length: count }, (_, at): Stretch => {
        const from = line.station((at * line.lengthMm) / count).at;
        // The end of a closed line is its start.
        const to =
          at === count - 1
            ? closed
              ? points[0]!
              : points.at(-1)!
            : line.station(((at + 1) * line.lengthMm) / count).at;
        const chord = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
        return {
          from,
          to,
          out: [(to[1] - from[1]) / chord, (from[0] - to[0]) / chord],
          ring: index,
          lengthMm: line.lengthMm / count,
        };
      });
    }),
  );

const layersOf = ({ bands }: StackRoom, heightMm: number): readonly WallLayer[] => {
  let z = 0;
  return bands.flatMap((band, index) => {
    const count = Math.max(1, Math.ceil(band.heightMm / (highestShare * heightMm)));
    const from = z;
    z += band.heightMm;
    return Array.from({ length: count }, (_, at): WallLayer => ({
      fromZMm: from + (at * band.heightMm) / count,
      toZMm: from + ((at + 1) * band.heightMm) / count,
      band: index,
    }));
  });
};

/** From the base to the lid (mm): the heights of all rings. */
export const heightOf = ({ bands }: Pick<StackRoom, 'bands'>): number =>
  bands.reduce((sum, { heightMm }) => sum + heightMm, 0);

/** Cuts base, lid and wall into patches. */
export const layPatches = (room: StackRoom, { mostCells, mostStretches }: PatchLimits): Patches => {
  const heightMm = heightOf(room);
  const { grid, cells } = cellsOf(room, mostCells);
  const roundMm = room.outline.reduce((sum, ring) => sum + measureLine(ring, true).lengthMm, 0);
  const stretches = stretchesOf(room.outline, roundMm / mostStretches);
  const layers = layersOf(room, heightMm);
  // Its outer side is seen from without: out of the room is into the ledge.
  const outer = room.ledge === null ? [] : stretchesOf([room.ledge.line], roundMm / mostStretches);
  const ledge = [...outer.map((each): Stretch => ({ ...each, out: [-each.out[0], -each.out[1]] })), ...outer];
  const walls = 2 * cells.length + stretches.length * layers.length;
  const count = walls + ledge.length;
  const areaMm2 = new Float64Array(count);
  const [middle, normal] = [new Float64Array(3 * count), new Float64Array(3 * count)];
  const [firstCorner, cornerCount] = [new Int32Array(count), new Int32Array(count)];
  const places: number[] = [];
  const lay = (
    patch: number,
    at: readonly [number, number, number],
    way: readonly [number, number, number],
    round: readonly number[],
    mm2: number,
  ): void => {
    areaMm2[patch] = mm2;
    middle.set(at, 3 * patch);
    normal.set(way, 3 * patch);
    firstCorner[patch] = places.length / 3;
    cornerCount[patch] = round.length / 3;
    places.push(...round);
  };
  cells.forEach(({ ring, areaMm2: mm2, middle: [mx, my] }, index) => {
    for (const [patch, z, up] of [
      [index, 0, 1],
      [cells.length + index, heightMm, -1],
    ] as const)
      lay(
        patch,
        [mx, my, z],
        [0, 0, up],
        ring.flatMap(([x, y]) => [x, y, z]),
        mm2,
      );
  });
  const stand = (patch: number, { from: [ax, ay], to: [bx, by], out }: Stretch, low: number, high: number): void =>
    lay(
      patch,
      [(ax + bx) / 2, (ay + by) / 2, (low + high) / 2],
      [-out[0], -out[1], 0],
      [ax, ay, low, bx, by, low, bx, by, high, ax, ay, high],
      Math.hypot(bx - ax, by - ay) * (high - low),
    );
  stretches.forEach((each, stretch) =>
    layers.forEach(({ fromZMm, toZMm }, layer) =>
      stand(2 * cells.length + stretch * layers.length + layer, each, fromZMm, toZMm),
    ),
  );
  ledge.forEach((each, at) => stand(walls + at, each, 0, room.ledge!.heightMm));
  return {
    grid,
    cells,
    stretches,
    layers,
    ledge,
    heightMm,
    count,
    areaMm2,
    middle,
    normal,
    corners: Float64Array.from(places),
    firstCorner,
    cornerCount,
  };
};
