import { set, type DesignChange, type FieldRef } from '@vitrum/core';

/** Where something stands that was put by hand. */
export interface Pin {
  readonly xMm: number;
  readonly yMm: number;
}

/** The pinned places of a design. */
export type PinsField = FieldRef<readonly Pin[] | undefined>;

type Place = readonly [number, number];

const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** The same empty list each time, so that who watches it is not told of changes that are none. */
export const noPins: readonly Pin[] = [];

/** A pin is where its thing stands, to a tenth of a millimetre. */
const nearMm = 0.2;

/** Whether two places are one. */
export const isNear = (one: Place, other: Place): boolean => Math.hypot(one[0] - other[0], one[1] - other[1]) < nearMm;

const near = ({ xMm, yMm }: Pin, at: Place): boolean => isNear([xMm, yMm], at);

/** Index of the pin at a place; -1 when what stands there was solved. */
export const pinAt = (pins: readonly Pin[], at: Place): number => pins.findIndex((pin) => near(pin, at));

/** Puts what stood at `from` to `to`; what was solved becomes pinned. */
export const pinTo = (field: PinsField, pins: readonly Pin[], from: Place, to: Place): DesignChange => {
  const moved: Pin = { xMm: tenth(to[0]), yMm: tenth(to[1]) };
  const at = pinAt(pins, from);
  return [set(field, at < 0 ? [...pins, moved] : pins.map((pin, index) => (index === at ? moved : pin)))];
};

/** Lets what stands at a place be solved again. */
export const freePin = (field: PinsField, pins: readonly Pin[], at: Place): DesignChange => [
  set(
    field,
    pins.filter((pin) => !near(pin, at)),
  ),
];
