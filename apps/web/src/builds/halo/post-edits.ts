import { set, type Design, type DesignChange, type FieldRef, type HaloAssembly } from '@vitrum/core';
import { chosenIndex, useSelection } from '../../document/selection';
import { useDocument } from '../../document/document-store';
import type { Place } from '../../lamp-room/front-view';

type Pin = NonNullable<HaloAssembly['posts']['pinned']>[number];
type PinsField = FieldRef<HaloAssembly['posts']['pinned']>;

const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** The same empty list each time, so that who watches it is not told of changes that are none. */
const noPins: readonly Pin[] = [];

/** The pinned posts of the chosen letters, in the open design as it is now. */
export const pinsNow = (design: Design | null, assemblyId: string | null): readonly Pin[] => {
  const assembly = design?.assemblies[chosenIndex(design, assemblyId)];
  return (assembly?.build === 'halo' ? assembly.posts.pinned : undefined) ?? noPins;
};

/** The same, watched. */
export const usePins = (): readonly Pin[] => {
  const assemblyId = useSelection((state) => state.assemblyId);
  return useDocument(({ design }) => pinsNow(design, assemblyId));
};

/** A pin is where its post stands, to a tenth of a millimetre. */
const near = (pin: Pin, [x, y]: Place): boolean => Math.hypot(pin.xMm - x, pin.yMm - y) < 0.2;

/** Index of the pin at a place; -1 when the post there was solved. */
export const pinAt = (pins: readonly Pin[], at: Place): number => pins.findIndex((pin) => near(pin, at));

/** Puts the post that stood at `from` to `to`; a solved one becomes pinned. */
export const pinPost = (field: PinsField, pins: readonly Pin[], from: Place, to: Place): DesignChange => {
  const moved: Pin = { xMm: tenth(to[0]), yMm: tenth(to[1]) };
  const at = pinAt(pins, from);
  return [set(field, at < 0 ? [...pins, moved] : pins.map((pin, index) => (index === at ? moved : pin)))];
};

/** Lets the post at a place be solved again. */
export const freePost = (field: PinsField, pins: readonly Pin[], at: Place): DesignChange => [
  set(
    field,
    pins.filter((pin) => !near(pin, at)),
  ),
];
