import {
  fieldsOf,
  inPlace,
  set,
  unplaced,
  type AnyAssembly,
  type AssemblyEvaluation,
  type DesignChange,
  type Placement,
} from '@vitrum/core';
import type { Place } from '../lamp-room/front-view';

type Standing = Pick<AssemblyEvaluation, 'id' | 'index' | 'placing'> & {
  readonly assembly: { readonly place: Placement };
};

const half = (mm: number): number => Math.round(mm * 2) / 2;

/** Puts the middle of an assembly at a place of the sign; it stays on what it stands on. To half a millimetre. */
export const moveTo = (assemblies: readonly Standing[], own: Standing, [x, y]: Place): DesignChange => {
  const { on } = own.assembly.place;
  const below = assemblies.find(({ id }) => id === on)?.placing ?? inPlace;
  const [xMm, yMm] = unplaced(below, [x, y]);
  const { place } = fieldsOf<AnyAssembly>(`assemblies.${own.index}`);
  return [set(place.xMm, half(xMm)), set(place.yMm, half(yMm))];
};
