import { offset, ringLength, type Outline, type Ring } from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { fieldsOf, pathOf } from '../../document/design/index.js';
import type { Strip } from '../../document/catalogue/index.js';
import { runsOfLaid } from '../common/runs-of-laid.js';
import { layAlong, maxLeds, type StripPath } from '../../light/laying/index.js';
import type { LightRuns, Point3 } from '../../light/runs/index.js';
import { besideLoopMm, outermost, type StackedGeometry } from './geometry.js';
import type { StackedAssembly, StackedLight } from './schema.js';

const own = fieldsOf<StackedAssembly>();

/** Rings that strip runs along are followed this closely (mm). */
const followedMm = 0.05;

/** Round a stack: the rings that strip runs along, and whether it looks into them or out of them. */
interface Loop {
  readonly ring: Ring;
  readonly looks: 'in' | 'out';
  readonly zMm: number;
}

/** Heights of the loops over the base, the lowest first. */
export const loopHeights = (
  { roomMm, stripMm }: Pick<StackedGeometry, 'roomMm' | 'stripMm'>,
  { loops, fromBaseMm }: Pick<StackedLight, 'loops' | 'fromBaseMm'>,
  stripWidthMm: number,
): readonly number[] => {
  const middle = Math.max(stripMm / 2, Math.min(roomMm - stripMm / 2, fromBaseMm ?? stripMm / 2));
  const pitch = stripWidthMm + besideLoopMm;
  return Array.from({ length: loops }, (_, loop) => middle + (loop - (loops - 1) / 2) * pitch);
};

const loopsOf = (geometry: StackedGeometry, light: StackedLight, strip: Strip): readonly Loop[] => {
  const { inside, ledge } = geometry;
  const heights = loopHeights(geometry, light, strip.widthMm);
  const along = (outline: Outline, by: number): Ring | null => outermost(offset(outline, by, followedMm));
  const sides: readonly (readonly [ring: Ring | null, looks: 'in' | 'out'])[] =
    ledge === null
      ? [[along(inside, -strip.heightMm), 'in']]
      : [
          [along([ledge.line], strip.heightMm), 'out'],
          ...(light.facing === 'both' ? ([[along([ledge.line], -ledge.widthMm - strip.heightMm), 'in']] as const) : []),
        ];
  return sides.flatMap(([ring, looks]) => (ring === null ? [] : heights.map((zMm) => ({ ring, looks, zMm }))));
};

/** Strip on its edge in loops round the inside of a stack. Fails when it gives too many LEDs. */
export const stackedRuns = (geometry: StackedGeometry, light: StackedLight, strip: Strip): Result<LightRuns> => {
  const ledPitchMm = 1000 / strip.ledsPerM;
  const laid = loopsOf(geometry, light, strip).flatMap((loop) => {
    const path: StripPath = { points: loop.ring, closed: true };
    return layAlong([path], {
      stripWidthMm: strip.heightMm,
      cutPitchMm: strip.cutPitchMm,
      ledPitchMm,
      bendRadiusMm: strip.bendRadiusMm,
      coated: strip.protection !== 'bare',
      modules: strip.form === 'modules',
      keepOff: [],
      startMm: startOf(loop.ring),
      moved: new Map(),
      nudged: new Map(),
      leftOut: new Set(),
    }).segments.map((segment) => ({ segment, loop }));
  });
  const count = laid.reduce((sum, { segment }) => sum + segment.leds.length, 0);
  if (count > maxLeds)
    return failure({
      path: pathOf(own.light.loops),
      message: `give ${count.toLocaleString('en')} LEDs; Vitrum lights up to ${maxLeds.toLocaleString('en')} in one design`,
    });
  /** Outer rings run anticlockwise: out is to the right of the way. */
  const lookOf =
    (looks: Loop['looks']) =>
    ([ax, ay]: readonly [number, number]): Point3 =>
      looks === 'out' ? [ay, -ax || 0, 0] : [-ay || 0, ax, 0];
  const throwMm =
    geometry.ledge === null ? geometry.roomMm : Math.min(geometry.roomMm, light.fromWallMm ?? geometry.roomMm);
  return success(
    runsOfLaid(
      laid.map(({ segment, loop }) => ({ segment, zMm: loop.zMm, on: 'rim' as const, lookOf: lookOf(loop.looks) })),
      strip,
      throwMm,
      light.cuts ?? [],
    ),
  );
};

/** A loop begins at its lowest place, where the lead usually comes in (mm along the ring). */
const startOf = (ring: Ring): number => {
  const lowest = ring.reduce((best, [, y], at) => (y < ring[best]![1] ? at : best), 0);
  return ringLength(ring.slice(0, lowest + 1)) - closing(ring, lowest);
};

/** From a place of a ring straight back to its first: what the length of a ring counts, and that of a line does not. */
const closing = (ring: Ring, at: number): number => Math.hypot(ring[at]![0] - ring[0]![0], ring[at]![1] - ring[0]![1]);
