import type { Design, DesignChange, Segment } from '@vitrum/core';

/** A place on the front, mm from the middle. */
export type Place = readonly [number, number];

interface Pin {
  readonly xMm: number;
  readonly yMm: number;
}

const halo = (design: Design | null) => {
  const assembly = design?.assemblies[0];
  return assembly?.build === 'halo' ? assembly : null;
};

const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** The same empty list each time, so that who watches it is not told of changes that are none. */
const noPins: readonly Pin[] = [];
const noneMoved: readonly Moved[] = [];

/** The pinned posts of a design. */
export const pinsOf = (design: Design | null): readonly Pin[] => halo(design)?.posts.pinned ?? noPins;

/** A pin is where its post stands, to a tenth of a millimetre. */
const near = (pin: Pin, [x, y]: Place): boolean => Math.hypot(pin.xMm - x, pin.yMm - y) < 0.2;

/** Index of the pin at a place; -1 when the post there was solved. */
export const pinAt = (pins: readonly Pin[], at: Place): number => pins.findIndex((pin) => near(pin, at));

/** Puts the post that stood at `from` to `to`; a solved one becomes pinned. */
export const pinPost = (pins: readonly Pin[], from: Place, to: Place): DesignChange => {
  const moved: Pin = { xMm: tenth(to[0]), yMm: tenth(to[1]) };
  const at = pinAt(pins, from);
  const value = at < 0 ? [...pins, moved] : pins.map((pin, index) => (index === at ? moved : pin));
  return [{ path: 'assemblies.0.posts.pinned', value }];
};

/** Lets the post at a place be solved again. */
export const freePost = (pins: readonly Pin[], at: Place): DesignChange => [
  { path: 'assemblies.0.posts.pinned', value: pins.filter((pin) => !near(pin, at)) },
];

interface Moved {
  readonly piece: number;
  /** Of a string of modules, the one that was pushed; the whole piece when left out. */
  readonly module?: number | undefined;
  readonly alongMm: number;
}

/** What of a design’s strip is held: a piece, or one module of it. */
export type Held = Pick<Moved, 'piece' | 'module'>;

const isOf =
  ({ piece, module }: Held) =>
  (each: Moved): boolean =>
    each.piece === piece && each.module === module;

/** The pieces and modules of a design that were pushed and are held. */
export const movedOf = (design: Design | null): readonly Moved[] => {
  const assembly = design?.assemblies[0];
  return assembly === undefined || assembly.build === 'lightbox' ? noneMoved : (assembly.light.moved ?? noneMoved);
};

/** How far a piece or module was pushed; null when it lies as solved. */
export const pushOf = (moved: readonly Moved[], held: Held): number | null => moved.find(isOf(held))?.alongMm ?? null;

/** Pushes a piece or a module along its path and holds it there. */
export const pushAlong = (moved: readonly Moved[], held: Held, alongMm: number): DesignChange => [
  {
    path: 'assemblies.0.light.moved',
    value: [...moved.filter((each) => !isOf(held)(each)), { ...held, alongMm: tenth(alongMm) }],
  },
];

/** Lets a piece or a module lie as solved. */
export const letLie = (moved: readonly Moved[], held: Held): DesignChange => [
  { path: 'assemblies.0.light.moved', value: moved.filter((each) => !isOf(held)(each)) },
];

/** Lays a piece, or leaves it out. */
export const layPiece = (leftOut: readonly number[], piece: number, laid: boolean): DesignChange => [
  {
    path: 'assemblies.0.light.leftOut',
    value: laid ? leftOut.filter((each) => each !== piece) : [...leftOut, piece],
  },
];

/** How far along the path of a piece a place is from its start; before the start it is negative (mm). */
export const alongPiece = ({ path }: Segment, [x, y]: Place): number => {
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
