import { solveLinear } from '../../base/maths/index.js';
import { coverage, type Outline } from '../../base/outlines/index.js';
import { straightOn, type Grid } from '../../base/raster/index.js';
import { intensityOf } from '../photometry/index.js';
import { exchangeOf, type Exchange } from './exchange.js';
import { directAt, firstLight } from './first.js';
import { hidingIn, viewsIn, type Hides } from './hidden.js';
import { layPatches, patchOf, plansOf, stretchesOf, type PatchLimits, type Patches } from './patches.js';
import type { StackInputs, StackLight, StackRoom, WallPlace } from './types.js';

const mm2PerM2 = 1e6;
/** What may stay unsettled, as a share of the first reflection. */
const tolerance = 1e-4;
/** Places round the wall at which its light is told, at the most; no nearer than this (mm). */
const mostPlaces = 720;
const nearestMm = 1.5;
/** Heights of a band at which straight light is taken. */
const bandHeights = [1 / 6, 1 / 2, 5 / 6] as const;

export type { PatchLimits };

/** A room cut into patches, with what they see of each other: what its surfaces give back is not in it. */
export interface CutRoom {
  readonly patches: Patches;
  readonly exchange: Exchange;
  readonly hides: Hides | null;
}

/** As fine as light is worked out where nobody waits for it. */
const fine: PatchLimits = { mostCells: 360, mostStretches: 80 };

/** Cuts a room into patches. Only its shape, its heights and its ledge count: light in it may be settled again and again. */
export const cutRoom = (room: StackRoom, limits: PatchLimits = fine): CutRoom => {
  const patches = layPatches(room, limits);
  const hides = hidingIn(room);
  return { patches, hides, exchange: exchangeOf(patches, viewsIn(room, plansOf(patches))) };
};

/** Rows that each row of coarse cells is covered by: few cells, so that each must be right. */
const finerRows = 12;

/** Share of coarse cells that an outline covers. */
const finelyCovered = (outline: Outline, { area, columns, rows }: Grid): Float64Array => {
  const fine = coverage(outline, area, columns, rows * finerRows);
  return Float64Array.from({ length: columns * rows }, (_, cell) => {
    let sum = 0;
    const first = Math.floor(cell / columns) * finerRows;
    for (let row = first; row < first + finerRows; row += 1) sum += fine[row * columns + (cell % columns)]!;
    return sum / finerRows;
  });
};

/** What of each cell lies in the room, on both sides of a ledge. */
const sharesOf = (cells: Patches['cells']): ReadonlyMap<number, number> => {
  const shares = new Map<number, number>();
  for (const { cell, share } of cells) shares.set(cell, (shares.get(cell) ?? 0) + share);
  return shares;
};

/** What each patch gives back, what it lets out, and what of that is let in. */
const surfacesOf = ({ patches }: CutRoom, room: StackRoom) => {
  const { count, cells, layers, grid } = patches;
  const shares = sharesOf(cells);
  const inlaid = finelyCovered(room.inlays, grid);
  const [reflects, passes] = [new Float64Array(count), new Float64Array(count)];
  for (let patch = 0; patch < count; patch += 1) {
    const { kind, cell: own, layer } = patchOf(patches, patch);
    if (kind === 'base') reflects[patch] = room.baseReflects;
    else if (kind === 'lid') {
      const { cell, share } = cells[own]!;
      const letIn = Math.min(1, inlaid[cell]! / (shares.get(cell) ?? share));
      reflects[patch] = letIn * room.inlay.reflects + (1 - letIn) * room.lid.reflects;
      passes[patch] = letIn * room.inlay.passes + (1 - letIn) * room.lid.passes;
    } else if (kind === 'ledge') reflects[patch] = room.ledge?.reflects ?? 0;
    else {
      const band = room.bands[layers[layer]!.band]!;
      reflects[patch] = band.reflects;
      passes[patch] = band.passes;
    }
  }
  return { reflects, passes };
};

/** A map by cell, cells outside the room filled from their neighbours so that it may be drawn finer. */
const spread = (map: Float64Array, known: Uint8Array, { columns, rows }: Grid): Float64Array => {
  let [values, has] = [map, known];
  for (let round = 0; round < 2; round += 1) {
    const [nextValues, nextHas] = [values.slice(), has.slice()];
    for (let cell = 0; cell < values.length; cell += 1) {
      if (has[cell] === 1) continue;
      const [column, row] = [cell % columns, Math.floor(cell / columns)];
      let [sum, count] = [0, 0];
      for (let j = Math.max(0, row - 1); j <= Math.min(rows - 1, row + 1); j += 1)
        for (let i = Math.max(0, column - 1); i <= Math.min(columns - 1, column + 1); i += 1)
          if (has[j * columns + i] === 1) {
            sum += values[j * columns + i]!;
            count += 1;
          }
      if (count === 0) continue;
      nextValues[cell] = sum / count;
      nextHas[cell] = 1;
    }
    [values, has] = [nextValues, nextHas];
  }
  return values;
};

/**
 * Light in a stack: straight from every LED, and what base, lid and wall give each other until it has settled. On the lid it is told where
 * letters are let in, on the wall band by band.
 */
export const lightStack = ({ room, lights, grid }: StackInputs, cut: CutRoom): StackLight => {
  const { patches, exchange, hides } = cut;
  const { count, areaMm2, cells, layers, heightMm } = patches;
  const { areas, sent } = exchange;
  const intensity = intensityOf(lights);
  const { reflects, passes } = surfacesOf(cut, room);
  const first = firstLight(patches, lights, intensity, hides);
  const arrives = (leaving: Float64Array): Float64Array => {
    const per = leaving.map((lm, patch) => (sent[patch]! > 0 ? lm / sent[patch]! : 0));
    const into = new Float64Array(count);
    for (let one = 0; one < count; one += 1) {
      const row = one * count;
      let sum = 0;
      for (let other = 0; other < count; other += 1) sum += areas[row + other]! * per[other]!;
      into[one] = sum;
    }
    return into;
  };
  const back = (incident: Float64Array): Float64Array => incident.map((lm, patch) => lm * reflects[patch]!);
  const leaving = solveLinear((lm) => back(arrives(lm)), back(first), tolerance);
  const later = arrives(leaving);
  const incident = first.map((lm, patch) => lm + later[patch]!);

  let [lidLm, absorbedLm, lit, bounced] = [0, 0, 0, 0];
  const bandLm = room.bands.map(() => 0);
  for (let patch = 0; patch < count; patch += 1) {
    const { kind, layer } = patchOf(patches, patch);
    const out = incident[patch]! * passes[patch]!;
    if (kind === 'lid') lidLm += out;
    if (kind === 'wall') bandLm[layers[layer]!.band]! += out;
    lit += out;
    bounced += later[patch]! * passes[patch]!;
    absorbedLm += incident[patch]! * (1 - reflects[patch]! - passes[patch]!);
  }

  const straight = directAt(lights, intensity, hides);
  const luxOf = (patch: number): number => (later[patch]! * mm2PerM2) / areaMm2[patch]!;
  return {
    grid,
    lidLux: lidLuxOf(room, cut, grid, straight, luxOf, heightMm),
    ...wallLuxOf(room, cut, straight, (stretch, layer) => luxOf(2 * cells.length + stretch * layers.length + layer)),
    balance: {
      emittedLm: lights.fluxLm.reduce((sum, lm) => sum + lm, 0),
      lidLm,
      bandLm,
      absorbedLm,
    },
    indirectShare: lit > 0 ? bounced / lit : 0,
  };
};

type Straight = ReturnType<typeof directAt>;

const lidLuxOf = (
  { inlays }: StackRoom,
  { patches: { cells, grid: coarse } }: CutRoom,
  grid: Grid,
  straight: Straight,
  luxOf: (patch: number) => number,
  heightMm: number,
): Float32Array => {
  const [map, known] = [new Float64Array(coarse.columns * coarse.rows), new Uint8Array(coarse.columns * coarse.rows)];
  const shares = sharesOf(cells);
  cells.forEach(({ cell, share }, index) => {
    map[cell]! += (luxOf(cells.length + index) * share) / shares.get(cell)!;
    known[cell] = 1;
  });
  const lux = straightOn(spread(map, known, coarse), coarse, grid);
  const inlaid = coverage(inlays, grid.area, grid.columns, grid.rows);
  for (let cell = 0; cell < lux.length; cell += 1) {
    if (inlaid[cell] === 0) {
      lux[cell] = 0;
      continue;
    }
    const x = grid.area.x + ((cell % grid.columns) + 0.5) * grid.cellWidthMm;
    const y = grid.area.y + (Math.floor(cell / grid.columns) + 0.5) * grid.cellHeightMm;
    lux[cell]! += straight(x, y, heightMm, 0, 0, -1);
  }
  return lux;
};

const wallLuxOf = (
  room: StackRoom,
  { patches: { stretches, layers } }: CutRoom,
  straight: Straight,
  luxOf: (stretch: number, layer: number) => number,
): { readonly places: readonly WallPlace[]; readonly bandLux: readonly Float64Array[] } => {
  const roundMm = stretches.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const fine = stretchesOf(room.outline, Math.max(nearestMm, roundMm / mostPlaces));
  const places = fine.map(({ from, to, out, lengthMm, ring }): WallPlace => ({
    x: (from[0] + to[0]) / 2,
    y: (from[1] + to[1]) / 2,
    outX: out[0],
    outY: out[1],
    lengthMm,
    ring,
  }));
  const firstOf = room.outline.map((_, ring) => stretches.findIndex((each) => each.ring === ring));
  const countOf = room.outline.map((_, ring) => stretches.filter((each) => each.ring === ring).length);
  const fineFirst = room.outline.map((_, ring) => places.findIndex((each) => each.ring === ring));
  const fineCount = room.outline.map((_, ring) => places.filter((each) => each.ring === ring).length);
  const bandLux = room.bands.map((band, index) => {
    const own = layers.flatMap((layer, at) => (layer.band === index ? [at] : []));
    const [from, to] = [layers[own[0]!]!.fromZMm, layers[own.at(-1)!]!.toZMm];
    // Opaque bands show nothing: what falls on them is not asked for place by place.
    if (band.passes <= 0) return new Float64Array(places.length);
    return Float64Array.from(places, ({ x, y, outX, outY, ring }, at) => {
      let lux = 0;
      for (const share of bandHeights)
        lux += straight(x, y, from + share * (to - from), -outX, -outY, 0) / bandHeights.length;
      const along = ((at - fineFirst[ring]! + 0.5) * countOf[ring]!) / fineCount[ring]! - 0.5;
      const low = Math.floor(along);
      const [a, b] = [low, low + 1].map(
        (each) => firstOf[ring]! + (((each % countOf[ring]!) + countOf[ring]!) % countOf[ring]!),
      ) as [number, number];
      let indirect = 0;
      for (const layer of own)
        indirect += ((1 - along + low) * luxOf(a, layer) + (along - low) * luxOf(b, layer)) / own.length;
      return lux + indirect;
    });
  });
  return { places, bandLux };
};
