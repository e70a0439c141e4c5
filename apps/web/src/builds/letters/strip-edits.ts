import { set, type Design, type DesignChange, type FieldRef, type LetterAssembly, type Segment } from '@vitrum/core';
import { chosenIndex, useSelection } from '../../document/selection';
import { useDocument } from '../../document/document-store';
import type { Place } from '../../lamp-room/front-view';

type Moved = NonNullable<LetterAssembly['light']['moved']>[number];

/** What of a design’s strip is held: a segment, or one module of it. */
export type Held = Pick<Moved, 'segment' | 'module'>;

const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** The same empty list each time, so that who watches it is not told of changes that are none. */
const noneMoved: readonly Moved[] = [];

const isOf =
  ({ segment, module }: Held) =>
  (each: Moved): boolean =>
    each.segment === segment && each.module === module;

/** The segments and modules that were pushed and are held, of letters in the open design as it is now. */
export const movedNow = (design: Design | null, assemblyId: string | null): readonly Moved[] => {
  const light = design?.assemblies[chosenIndex(design, assemblyId)]?.light as LetterAssembly['light'] | undefined;
  return light?.moved ?? noneMoved;
};

/** The same, watched. */
export const useMoved = (): readonly Moved[] => {
  const assemblyId = useSelection((state) => state.assemblyId);
  return useDocument(({ design }) => movedNow(design, assemblyId));
};

/** How far a segment or module was pushed; null when it lies as solved. */
export const pushOf = (moved: readonly Moved[], held: Held): number | null => moved.find(isOf(held))?.alongMm ?? null;

type MovedField = FieldRef<LetterAssembly['light']['moved']>;

/** Pushes a segment or a module along its path and holds it there. */
export const pushAlong = (field: MovedField, moved: readonly Moved[], held: Held, alongMm: number): DesignChange => [
  set(field, [...moved.filter((each) => !isOf(held)(each)), { ...held, alongMm: tenth(alongMm) }]),
];

/** Lets a segment or a module lie as solved. */
export const letLie = (field: MovedField, moved: readonly Moved[], held: Held): DesignChange => [
  set(
    field,
    moved.filter((each) => !isOf(held)(each)),
  ),
];

/** Leaves a segment out. */
export const leaveOut = (
  field: FieldRef<LetterAssembly['light']['leftOut']>,
  leftOut: readonly number[],
  segment: number,
): DesignChange => [set(field, [...leftOut, segment])];

/** How far along the path of a segment a place is from its start; before the start it is negative (mm). */
export const alongSegment = ({ path }: Segment, [x, y]: Place): number => {
  let best = { far: Infinity, mm: 0 };
  let mm = 0;
  path.slice(1).forEach(([qx, qy], index) => {
    const [px, py] = path[index]!;
    const [dx, dy] = [qx - px, qy - py];
    const length = Math.hypot(dx, dy);
    const first = index === 0 ? -Infinity : 0;
    const on = length > 0 ? Math.max(first, Math.min(length, ((x - px) * dx + (y - py) * dy) / length)) : 0;
    const far = length > 0 ? Math.hypot(x - px - (on * dx) / length, y - py - (on * dy) / length) : Infinity;
    if (far < best.far) best = { far, mm: mm + on };
    mm += length;
  });
  return best.mm;
};
