import type { Block } from '../../light/radiosity/index.js';
import type { Strip } from '../../document/catalogue/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import { snapToCut } from '../../light/laying/index.js';
import type { Point3, Segment } from '../../light/runs/index.js';
import { measureLine, type Point } from '../../base/outlines/index.js';
import { boxSides, type BoxSide, type LightDesign } from './schema.js';
import { passesOf, timesAlong } from './sides.js';
import { segmentAlong, type Blueprint } from '../../light/laying/index.js';

/**
 * A ledge that carries strip which looks out at the returns stands so far in from them, where a design does not say. It is
 * taken as thin: it keeps no light from the face.
 */
export const usualInsetMm = 20;
/** Places that a bent piece is drawn by (mm). */
const drawnMm = 4;
/** Steps of a quarter round. */
const quarterSteps = 12;

/** How far from the middle the LEDs run: inward of the strip on the returns, outward of it on a ledge within them. */
const reachOf = ({ inside }: CaseGeometry, light: LightDesign, strip: Strip): Point => {
  const fromReturn =
    light.facing === 'out' ? Math.max(1, (light.insetMm ?? usualInsetMm) - strip.heightMm) : strip.heightMm;
  return [Math.max(1, inside.widthMm / 2 - fromReturn), Math.max(1, inside.heightMm / 2 - fromReturn)];
};

/** Whether a segment round the rim looks out at the returns, from a ledge. */
export const looksOut = ({ on, normal, from }: Pick<Segment, 'on' | 'normal' | 'from'>): boolean =>
  on !== 'back' && on !== 'block' && normal[0] * from[0] + normal[1] * from[1] > 0;

/** Inward from each side. */
const inward: Readonly<Record<BoxSide, Point>> = { top: [0, -1], right: [-1, 0], bottom: [0, 1], left: [1, 0] };

const facingOf = (light: LightDesign, [x, y]: Point): Point3 =>
  light.facing === 'front' ? [0, 0, 1] : light.facing === 'out' ? [-x || 0, -y || 0, 0] : [x, y, 0];

/** Between strips that lie one beside the other (mm). */
const besideMm = 1;

/** From the back to one of several turns: spread over the depth, or one beside the other about the height that is asked for. */
const heightOf = (
  turn: number,
  turns: number,
  deepMm: number,
  { fromBackMm }: Pick<LightDesign, 'fromBackMm'>,
  { widthMm }: Pick<Strip, 'widthMm'>,
): number => {
  if (fromBackMm === null || fromBackMm === undefined) return ((turn + 0.5) * deepMm) / turns;
  const half = Math.min(widthMm / 2, deepMm / 2);
  return Math.min(deepMm - half, Math.max(half, fromBackMm + (turn - (turns - 1) / 2) * (widthMm + besideMm)));
};

/** Cut pieces along the returns, clockwise from the top: what a side carries is spread over its depth. */
const cutRim = (geometry: CaseGeometry, light: LightDesign, strip: Strip): readonly Blueprint[] => {
  const [reachX, reachY] = reachOf(geometry, light, strip);
  // On a ledge a side is as long as the ledge.
  const shorter = light.facing === 'out' ? 2 * (light.insetMm ?? usualInsetMm) : 0;
  const across = geometry.inside.widthMm - shorter - 2 * light.endMarginMm;
  const up = geometry.inside.heightMm - shorter - 2 * light.endMarginMm;
  const along = (side: BoxSide, z: number): Blueprint => {
    const rest = { normal: facingOf(light, inward[side]), on: side };
    switch (side) {
      case 'top':
        return segmentAlong(strip, across, [0, reachY, z], [1, 0, 0], rest);
      case 'right':
        return segmentAlong(strip, up, [reachX, 0, z], [0, -1, 0], rest);
      case 'bottom':
        return segmentAlong(strip, across, [0, -reachY, z], [-1, 0, 0], rest);
      case 'left':
        return segmentAlong(strip, up, [-reachX, 0, z], [0, 1, 0], rest);
    }
  };
  const passes = passesOf(light);
  const times = timesAlong(passes);
  return passes.map((side, pass) => {
    const before = passes.slice(0, pass).filter((each) => each === side).length;
    return along(side, heightOf(before, times[side], geometry.lightDepthMm, light, strip));
  });
};

/** The sides that one bent piece runs along: neighbours, clockwise, each once; null where a design asks for others. */
export const bentSides = ({ sides }: Pick<LightDesign, 'sides'>): readonly BoxSide[] | null => {
  const asked = sides ?? boxSides;
  const follows = asked.every(
    (side, at) => at === 0 || boxSides[(boxSides.indexOf(asked[at - 1]!) + 1) % boxSides.length] === side,
  );
  return asked.length <= boxSides.length && follows ? asked : null;
};

/** A quarter round clockwise about a middle, from the way it comes in. */
const quarter = ([x, y]: Point, radius: number, fromTurn: number): readonly Point[] =>
  Array.from({ length: quarterSteps + 1 }, (_, step) => {
    const turn = fromTurn - ((Math.PI / 2) * step) / quarterSteps;
    return [x + radius * Math.cos(turn), y + radius * Math.sin(turn)];
  });

/** Where one piece runs: along each side, round the corner to the next; all four from the middle of the bottom on. */
const bentLine = (
  sides: readonly BoxSide[],
  [reachX, reachY]: Point,
  radius: number,
  marginMm: number,
): readonly Point[] => {
  const corner: Readonly<Record<BoxSide, readonly Point[]>> = {
    top: quarter([reachX - radius, reachY - radius], radius, Math.PI / 2),
    right: quarter([reachX - radius, radius - reachY], radius, 0),
    bottom: quarter([radius - reachX, radius - reachY], radius, -Math.PI / 2),
    left: quarter([radius - reachX, reachY - radius], radius, Math.PI),
  };
  const start: Readonly<Record<BoxSide, Point>> = {
    top: [marginMm - reachX, reachY],
    right: [reachX, reachY - marginMm],
    bottom: [reachX - marginMm, -reachY],
    left: [-reachX, marginMm - reachY],
  };
  const end: Readonly<Record<BoxSide, Point>> = {
    top: [reachX - marginMm, reachY],
    right: [reachX, marginMm - reachY],
    bottom: [marginMm - reachX, -reachY],
    left: [-reachX, reachY - marginMm],
  };
  if (sides.length === boxSides.length) {
    const middle: Point = [0, -reachY];
    return [middle, ...(['bottom', 'left', 'top', 'right'] as const).flatMap((side) => corner[side]), middle];
  }
  const [first, last] = [sides[0]!, sides.at(-1)!];
  return [start[first], ...sides.slice(0, -1).flatMap((side) => corner[side]), end[last]];
};

/** A piece of the rim, and the way each of its LEDs looks where it is bent. */
export interface RimPiece {
  readonly blueprint: Blueprint;
  /** At a place along it (mm): where, the way along, and the way its LEDs look; null where it is straight. */
  readonly at: ((mm: number) => { readonly at: Point; readonly along: Point; readonly looks: Point3 }) | null;
}

/** Where a bent piece runs, and what its turns are spread over. */
interface Bend {
  readonly on: 'rim' | 'block';
  readonly sides: readonly BoxSide[];
  /** Half as wide and as high as what the LEDs run along, and its middle (mm). */
  readonly reach: Point;
  readonly middle: Point;
  readonly deepMm: number;
  /** By the way in from there. */
  readonly looks: (inward: Point) => Point3;
}

/** One piece for each turn, bent round the corners as tightly as the strip may be. */
const bentPieces = (
  { on, sides, reach, middle, deepMm, looks }: Bend,
  light: LightDesign,
  strip: Strip,
): readonly RimPiece[] => {
  const radius = Math.min(strip.bendRadiusMm, reach[0], reach[1]);
  const line = measureLine(
    bentLine(sides, reach, radius, light.endMarginMm).map(([x, y]) => [x + middle[0], y + middle[1]] as const),
    false,
  );
  const { lengthMm, leftoverMm } = snapToCut(line.lengthMm, strip.cutPitchMm);
  const at = (mm: number) => {
    const { at: place, along } = line.station(leftoverMm / 2 + mm);
    // Clockwise: in is to the right of the way.
    return { at: place, along, looks: looks([along[1], -along[0]]) };
  };
  const steps = Math.max(1, Math.ceil(lengthMm / drawnMm));
  return Array.from({ length: light.turnCount }, (_, turn): RimPiece => {
    const z =
      on === 'rim' ? heightOf(turn, light.turnCount, deepMm, light, strip) : ((turn + 0.5) * deepMm) / light.turnCount;
    const path = Array.from({ length: steps + 1 }, (_step, step): Point3 => {
      const place = at((step * lengthMm) / steps).at;
      return [place[0], place[1], z];
    });
    return {
      blueprint: {
        on,
        normal: at(0).looks,
        from: path[0]!,
        to: path.at(-1)!,
        path,
        lengthMm,
        leftoverMm,
        ledCount: Math.round((lengthMm * strip.ledsPerM) / 1000),
      },
      at,
    };
  });
};

/** Round the inside of the returns, in cut pieces or bent round the corners. */
export const rimPieces = (geometry: CaseGeometry, light: LightDesign, strip: Strip): readonly RimPiece[] => {
  const sides = light.corners === 'bent' ? bentSides(light) : null;
  return sides === null
    ? cutRim(geometry, light, strip).map((blueprint) => ({ blueprint, at: null }))
    : bentPieces(
        {
          on: 'rim',
          sides,
          reach: reachOf(geometry, light, strip),
          middle: [0, 0],
          deepMm: geometry.lightDepthMm,
          looks: (inwards) => facingOf(light, inwards),
        },
        light,
        strip,
      );
};

/** One piece for each turn round a block, its corners rounded for it. */
export const bentRoundBlock = (block: Block, light: LightDesign, strip: Strip): readonly RimPiece[] =>
  bentPieces(
    {
      on: 'block',
      sides: boxSides,
      reach: [(block.x1 - block.x0) / 2 + strip.heightMm, (block.y1 - block.y0) / 2 + strip.heightMm],
      middle: [(block.x0 + block.x1) / 2, (block.y0 + block.y1) / 2],
      deepMm: block.heightMm,
      looks: ([x, y]) => (light.facing === 'front' ? [0, 0, 1] : [-x || 0, -y || 0, 0]),
    },
    light,
    strip,
  );
